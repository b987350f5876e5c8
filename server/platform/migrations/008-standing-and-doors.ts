/** What a licensing body says of a licence beyond its dates; and what a second look at the doors asked for. */
export const up = [
  'ALTER TABLE enquiries ADD standing JSON',
  // Links outlive what they led to, so that they can say that nothing is asked any more.
  'ALTER TABLE enquiry_links DROP FOREIGN KEY enquiry_links_ibfk_1, ADD KEY byEnquiry (enquiryId), ADD KEY byAge (createdAt)',
  'ALTER TABLE vouching_links DROP FOREIGN KEY vouching_links_ibfk_1, ADD KEY byVouching (vouchingId), ADD KEY byAge (createdAt)',
  // A check is sat once for each attempt, whatever windows it is begun in.
  'ALTER TABLE sittings ADD attempt INT NOT NULL DEFAULT 1, ADD savedAt DATETIME(3)',
  `UPDATE sittings s JOIN (SELECT id, ROW_NUMBER() OVER (PARTITION BY applicationId, \`check\` ORDER BY begunAt, id) AS nth FROM sittings) n ON n.id = s.id
     SET s.attempt = n.nth`,
  'ALTER TABLE sittings ADD UNIQUE KEY oneEach (applicationId, `check`, attempt)',
  'ALTER TABLE checks ADD attempts INT NOT NULL DEFAULT 3, ADD waitDays INT NOT NULL DEFAULT 7',
  // The row of a list says what people are called there: who sorts or searches by it learns no hidden name.
  `UPDATE standings SET candidate = COALESCE(reference, '') WHERE hidesName`,
  'ALTER TABLE messages ADD KEY byState (state, createdAt)',
  'ALTER TABLE blobs ADD wholeAt DATETIME(3), ADD KEY byAge (createdAt)',
  'UPDATE blobs SET wholeAt = createdAt',
  `CREATE TABLE resits (
    applicationId CHAR(36) BINARY NOT NULL, \`check\` VARCHAR(40) NOT NULL, attempt INT NOT NULL, notBefore DATE NOT NULL, reason VARCHAR(1000) NOT NULL,
    givenBy VARCHAR(120) NOT NULL, givenAt DATETIME(3) NOT NULL, PRIMARY KEY (applicationId, \`check\`, attempt),
    FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  // A link to confirm brings the name and password it was asked for with, and signs in the browser it was asked in.
  'ALTER TABLE account_links ADD name VARCHAR(120), ADD passwordHash VARCHAR(255), ADD browserHash CHAR(64)',
  'ALTER TABLE sessions ADD seenAt DATETIME(3), ADD confirmedAt DATETIME(3)',
  'UPDATE sessions SET seenAt = createdAt, confirmedAt = createdAt',
  'ALTER TABLE sessions MODIFY seenAt DATETIME(3) NOT NULL, MODIFY confirmedAt DATETIME(3) NOT NULL',
  'ALTER TABLE accounts MODIFY otpSecret VARCHAR(255)',
  `ALTER TABLE once_replies ADD holder CHAR(36) NOT NULL DEFAULT ''`,
  'ALTER TABLE jobs ADD queuedAt DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)',
  'DROP TABLE attempts',
  'CREATE TABLE attempts (bucket VARCHAR(160) PRIMARY KEY, level DOUBLE NOT NULL, countedAt DATETIME(3) NOT NULL, KEY (countedAt))',
  'ALTER TABLE offers ADD remindedAt DATETIME(3), ADD expiryToldAt DATETIME(3), ADD KEY byAnswerDay (answerBy)',
]
