/**
 * What a source asks for before it answers: its own forms, and papers that are on their way to us. What is known already: awards
 * that institutions have told us of, what a candidate says of an award, and programmes that somebody has looked into.
 */
export const up = [
  `CREATE TABLE source_forms (
    sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY, fileName VARCHAR(200) NOT NULL, pages INT NOT NULL, fields JSON NOT NULL,
    uploadedBy VARCHAR(255) NOT NULL, uploadedAt DATETIME(3) NOT NULL)`,
  `CREATE TABLE award_records (
    id CHAR(36) BINARY PRIMARY KEY, sourceId CHAR(36) BINARY NOT NULL, numberKey VARCHAR(80) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    said JSON NOT NULL, enteredBy VARCHAR(255) NOT NULL, enteredAt DATETIME(3) NOT NULL,
    UNIQUE KEY oneNumber (sourceId, numberKey), FOREIGN KEY (sourceId) REFERENCES sources (id))`,
  'ALTER TABLE claims ADD COLUMN IF NOT EXISTS awardStatedAt DATETIME(3)',
  'ALTER TABLE findings ADD COLUMN IF NOT EXISTS basis JSON',
  `CREATE TABLE programme_research (
    id CHAR(36) BINARY PRIMARY KEY, sourceId CHAR(36) BINARY NOT NULL, programmeKey VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    programme JSON NOT NULL, state VARCHAR(16) NOT NULL, ownerId CHAR(36) BINARY, owner VARCHAR(255), consulted JSON NOT NULL, outcome JSON,
    concludedBy VARCHAR(255), concludedById CHAR(36) BINARY, concludedAt DATETIME(3), readBy VARCHAR(255), readAt DATETIME(3), note TEXT,
    openedAt DATETIME(3) NOT NULL, version INT NOT NULL, UNIQUE KEY oneProgramme (sourceId, programmeKey), KEY byState (state, openedAt, id),
    FOREIGN KEY (sourceId) REFERENCES sources (id))`,
  'ALTER TABLE cover_sheets ADD COLUMN IF NOT EXISTS postedAt DATETIME(3), ADD COLUMN IF NOT EXISTS missedAt DATETIME(3)',
]
