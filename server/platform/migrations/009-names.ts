/** Tables and columns by the names the field and the web give them. */
export const up = [
  `RENAME TABLE standings TO application_summaries, possible_doubles TO duplicate_pairs, sights TO access_log,
    intakes TO vacancy_groups, once_replies TO idempotency_keys, attempts TO rate_limits`,
  'ALTER TABLE application_summaries CHANGE doubles duplicates BOOLEAN NOT NULL DEFAULT FALSE',
  'ALTER TABLE vacancies CHANGE intakeId groupId CHAR(36) BINARY',
  'ALTER TABLE applications CHANGE besides duplicateOrdinal INT NOT NULL DEFAULT 0',
  `UPDATE merges SET moved = REPLACE(REPLACE(moved, '"besides":', '"duplicateOrdinal":'), '"sights":', '"accessLog":')`,
  `UPDATE jobs SET kind = 'daily' WHERE kind = 'sweep'`,
  `UPDATE jobs SET kind = 'summaries' WHERE kind = 'standings'`,
]
