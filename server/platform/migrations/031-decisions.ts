const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'

/** Decisions that take a second person, what the candidate said before they were final, and decisions that were undone. */
export const up = [
  `CREATE TABLE IF NOT EXISTS claim_reviews (
    id CHAR(36) BINARY NOT NULL PRIMARY KEY, claimId CHAR(36) BINARY NOT NULL, credentialVersion INT NOT NULL,
    state VARCHAR(12) ${ascii} NOT NULL, activeKey CHAR(36) BINARY,
    enquiryId CHAR(36) BINARY, comparison JSON NOT NULL, alone BOOLEAN NOT NULL DEFAULT FALSE, decision VARCHAR(30),
    told JSON, answerBy DATE, answer TEXT, answeredAt DATETIME(3), answerDocuments JSON,
    openedAt DATETIME(3) NOT NULL, endedAt DATETIME(3), version INT NOT NULL,
    UNIQUE KEY (activeKey), KEY (state, answerBy), KEY (claimId))`,
  `CREATE TABLE IF NOT EXISTS review_views (
    reviewId CHAR(36) BINARY NOT NULL, accountId CHAR(36) BINARY NOT NULL, name VARCHAR(255) NOT NULL,
    decision VARCHAR(30) NOT NULL, note TEXT, at DATETIME(3) NOT NULL, PRIMARY KEY (reviewId, accountId))`,
  `CREATE TABLE IF NOT EXISTS finding_undos (
    findingId CHAR(36) BINARY NOT NULL PRIMARY KEY, undoneBy VARCHAR(255) NOT NULL, undoneAt DATETIME(3) NOT NULL)`,
  `INSERT IGNORE INTO finding_undos (findingId, undoneBy, undoneAt)
   SELECT id, decidedBy, undoneAt FROM findings WHERE undoneAt IS NOT NULL`,
  'ALTER TABLE findings ADD COLUMN IF NOT EXISTS reviewId CHAR(36) BINARY',
]
