/** What somebody at the desk has begun to type about a document or a claim, and not finished. */
export const up = [
  `CREATE TABLE IF NOT EXISTS unfinished (
    accountId CHAR(36) BINARY NOT NULL, about CHAR(36) BINARY NOT NULL, value JSON NOT NULL, savedAt DATETIME(3) NOT NULL,
    PRIMARY KEY (accountId, about), KEY (about), KEY (savedAt))`,
]
