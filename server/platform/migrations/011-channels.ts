/** Text messages beside mails, and mail that comes in. */
export const up = [
  `ALTER TABLE messages ADD COLUMN IF NOT EXISTS channel VARCHAR(10) NOT NULL DEFAULT 'mail', ADD COLUMN IF NOT EXISTS toPhone VARCHAR(20)`,
  // What a mail server said is kept as the name of its words with the values, like everything else.
  `UPDATE messages SET refusedBecause = JSON_OBJECT('code', 'messages.because.said', 'values', JSON_OBJECT('said', refusedBecause))
    WHERE refusedBecause IS NOT NULL AND NOT (JSON_VALID(refusedBecause) AND refusedBecause LIKE '{"code"%')`,
  'ALTER TABLE messages MODIFY refusedBecause JSON',
  'ALTER TABLE scans ADD COLUMN IF NOT EXISTS candidateId CHAR(36) BINARY',
  `CREATE TABLE IF NOT EXISTS incoming_mails (
    id CHAR(36) BINARY PRIMARY KEY, messageId VARCHAR(300) CHARACTER SET ascii NOT NULL, fromName VARCHAR(200) NOT NULL,
    fromMail VARCHAR(254) NOT NULL, subject VARCHAR(300) NOT NULL, \`text\` MEDIUMTEXT NOT NULL, encloses JSON NOT NULL,
    repliesTo CHAR(36) BINARY, applicationId CHAR(36) BINARY, candidateId CHAR(36) BINARY, kind VARCHAR(20) NOT NULL,
    state VARCHAR(20) NOT NULL, settledBy VARCHAR(120), settledAt DATETIME(3), receivedAt DATETIME(3) NOT NULL,
    UNIQUE KEY once (messageId), KEY byState (state, receivedAt), KEY byApplication (applicationId, receivedAt),
    KEY byCandidate (candidateId))`,
]
