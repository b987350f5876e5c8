import { QueryTypes, type Sequelize } from 'sequelize'
import { writeReference } from '#core/references/reference'
import { nextNumber } from '../database/counter'

/**
 * The life of an enquiry: by which way it is asked, what is due next, whose turn it is, and what was tried. A link opens all
 * questions of one letter. Until now a question without an answer ended with its link.
 */
export const up = [
  `ALTER TABLE enquiries
     MODIFY channel VARCHAR(14) NOT NULL,
     ADD COLUMN IF NOT EXISTS reference VARCHAR(24) CHARACTER SET ascii COLLATE ascii_bin,
     ADD COLUMN IF NOT EXISTS batchId CHAR(36) BINARY,
     ADD COLUMN IF NOT EXISTS contactId VARCHAR(64),
     ADD COLUMN IF NOT EXISTS speed VARCHAR(8) NOT NULL DEFAULT 'usual',
     ADD COLUMN IF NOT EXISTS cost JSON,
     ADD COLUMN IF NOT EXISTS costApproved JSON,
     ADD COLUMN IF NOT EXISTS activeKey CHAR(36) BINARY,
     ADD COLUMN IF NOT EXISTS turn VARCHAR(10),
     ADD COLUMN IF NOT EXISTS slack INT NOT NULL DEFAULT 9999,
     ADD COLUMN IF NOT EXISTS country CHAR(2) NOT NULL DEFAULT 'ZZ',
     ADD COLUMN IF NOT EXISTS dueOn DATE,
     ADD COLUMN IF NOT EXISTS reminders INT NOT NULL DEFAULT 0,
     ADD COLUMN IF NOT EXISTS escalations INT NOT NULL DEFAULT 0,
     ADD COLUMN IF NOT EXISTS openedAt DATETIME(3),
     ADD COLUMN IF NOT EXISTS forwardedAt DATETIME(3),
     ADD COLUMN IF NOT EXISTS toPrint VARCHAR(10),
     ADD COLUMN IF NOT EXISTS draft JSON,
     ADD COLUMN IF NOT EXISTS draftVersion INT NOT NULL DEFAULT 0,
     ADD COLUMN IF NOT EXISTS paper JSON,
     ADD COLUMN IF NOT EXISTS declined JSON,
     ADD COLUMN IF NOT EXISTS lacks JSON,
     ADD COLUMN IF NOT EXISTS receipt VARCHAR(24) CHARACTER SET ascii COLLATE ascii_bin,
     ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1`,
  `UPDATE enquiries SET state = 'silent' WHERE state = 'expired'`,
  `UPDATE enquiries SET batchId = id WHERE batchId IS NULL`,
  `UPDATE enquiries e JOIN sources s ON s.id = e.sourceId SET e.country = s.country`,
  `UPDATE enquiries SET remindedAt = NULL WHERE remindedAt IS NOT NULL AND state <> 'open'`,
  `UPDATE enquiries SET turn = 'source', dueOn = answerBy, reminders = IF(remindedAt IS NULL, 0, 1) WHERE state = 'open' AND turn IS NULL`,
  // Of several that are open about one claim the newest goes on holding it.
  `UPDATE enquiries e JOIN (SELECT claimId, MAX(id) AS id FROM enquiries WHERE state = 'open' GROUP BY claimId) n ON n.id = e.id SET e.activeKey = e.claimId`,
  `UPDATE enquiries SET state = 'withdrawn', turn = NULL, dueOn = NULL WHERE state = 'open' AND activeKey IS NULL`,
  `UPDATE enquiries e JOIN claims c ON c.id = e.claimId AND c.credentialVersion = e.credentialVersion AND c.rung = 'asked' SET e.turn = 'desk' WHERE e.state IN ('answered', 'silent')`,
  `UPDATE enquiries e JOIN application_summaries s ON s.applicationId = e.applicationId SET e.slack = s.slack WHERE e.turn IS NOT NULL`,
  `ALTER TABLE enquiries
     MODIFY batchId CHAR(36) BINARY NOT NULL,
     ADD UNIQUE KEY IF NOT EXISTS oneReference (reference),
     ADD UNIQUE KEY IF NOT EXISTS oneAtATime (activeKey),
     ADD KEY IF NOT EXISTS byBatch (batchId),
     ADD KEY IF NOT EXISTS byDue (dueOn, batchId, id),
     ADD KEY IF NOT EXISTS byTurn (turn, slack, askedAt, id),
     ADD KEY IF NOT EXISTS bySource (sourceId, turn, slack, askedAt, id),
     ADD KEY IF NOT EXISTS byChannel (channel, turn, slack, askedAt, id),
     ADD KEY IF NOT EXISTS byCountry (country, turn, slack, askedAt, id),
     ADD KEY IF NOT EXISTS byApplication (applicationId, turn),
     ADD KEY IF NOT EXISTS byPrint (toPrint, id)`,
  `CREATE TABLE IF NOT EXISTS enquiry_steps (
    id CHAR(36) BINARY PRIMARY KEY, enquiryId CHAR(36) BINARY NOT NULL, step VARCHAR(16) NOT NULL, channel VARCHAR(14) NOT NULL, contactId VARCHAR(64),
    at DATETIME(3) NOT NULL, \`by\` VARCHAR(250) NOT NULL, details JSON NOT NULL,
    KEY byEnquiry (enquiryId, at, id), FOREIGN KEY (enquiryId) REFERENCES enquiries (id) ON DELETE CASCADE)`,
  `INSERT IGNORE INTO enquiry_steps (id, enquiryId, step, channel, at, \`by\`, details)
     SELECT UUID(), id, 'asked', channel, askedAt, askedBy, '{}' FROM enquiries e
     WHERE NOT EXISTS (SELECT 1 FROM enquiry_steps s WHERE s.enquiryId = e.id)`,
  `ALTER TABLE enquiry_links
     CHANGE COLUMN IF EXISTS enquiryId batchId CHAR(36) BINARY NOT NULL,
     ADD COLUMN IF NOT EXISTS onlyEnquiryId CHAR(36) BINARY,
     ADD COLUMN IF NOT EXISTS toMail VARCHAR(200) NOT NULL DEFAULT '',
     ADD COLUMN IF NOT EXISTS toName VARCHAR(200) NOT NULL DEFAULT '',
     ADD COLUMN IF NOT EXISTS state VARCHAR(10) NOT NULL DEFAULT 'open',
     ADD COLUMN IF NOT EXISTS forwarded JSON`,
  'ALTER TABLE messages ADD COLUMN IF NOT EXISTS enquiryBatchId CHAR(36) BINARY, ADD KEY IF NOT EXISTS byEnquiryBatch (enquiryBatchId)',
  'CREATE SEQUENCE IF NOT EXISTS numbers_enquiries START WITH 1',
  'ALTER SEQUENCE numbers_enquiries INCREMENT BY 0 NOCACHE',
]

/** Questions of before get the code that people read to each other. */
export async function number(sequelize: Sequelize) {
  const open = await sequelize.query<{ id: string }>(
    "SELECT id FROM enquiries WHERE reference IS NULL AND state = 'open' ORDER BY askedAt, id",
    { type: QueryTypes.SELECT },
  )
  for (const { id } of open)
    await sequelize.query('UPDATE enquiries SET reference = :reference WHERE id = :id', {
      replacements: { id, reference: writeReference('EQ', await nextNumber({ sequelize }, 'enquiries')) },
    })
}
