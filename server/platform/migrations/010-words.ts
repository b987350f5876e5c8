/** Events, reasons and papers are kept as the names of their words with values; sentences of before stay as they were. */
export const up = [
  `ALTER TABLE events ADD COLUMN words VARCHAR(120), ADD COLUMN wordValues JSON,
    ADD COLUMN shownToCandidate BOOLEAN NOT NULL DEFAULT FALSE`,
  'ALTER TABLE application_summaries MODIFY heldUpBy TEXT',
  'UPDATE application_summaries SET heldUpBy = JSON_QUOTE(heldUpBy) WHERE heldUpBy IS NOT NULL',
  'ALTER TABLE application_summaries MODIFY heldUpBy JSON',
  'ALTER TABLE tray_papers MODIFY why TEXT',
  `UPDATE tray_papers SET why = JSON_OBJECT('code', 'problem.reader', 'values', JSON_OBJECT('message', why)) WHERE why <> ''`,
  `UPDATE tray_papers SET why = NULL WHERE why = ''`,
  'ALTER TABLE tray_papers MODIFY why JSON',
  `UPDATE scans SET fault = JSON_OBJECT('code', 'problem.reader', 'values', JSON_OBJECT('message', fault)) WHERE fault IS NOT NULL`,
  'ALTER TABLE scans MODIFY fault JSON',
  // In a cluster every node draws from the same series: none keeps numbers back, and the step is the cluster's own.
  ...['applications', 'vouchings', 'receipts', 'cover_sheets'].map(
    (name) => `ALTER SEQUENCE numbers_${name} INCREMENT BY 0 NOCACHE`,
  ),
]
