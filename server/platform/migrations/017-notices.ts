/** By which channel somebody is told of what, the number that was confirmed for it, and codes that are to be typed. */
export const up = [
  `CREATE TABLE IF NOT EXISTS notice_choices (
    accountId CHAR(36) BINARY PRIMARY KEY, channels JSON NOT NULL,
    phone VARCHAR(20), phoneConfirmedAt DATETIME(3), noPassingOn BOOLEAN NOT NULL DEFAULT FALSE, version INT NOT NULL)`,
  `CREATE TABLE IF NOT EXISTS phone_codes (
    accountId CHAR(36) BINARY PRIMARY KEY, phone VARCHAR(20) NOT NULL, codeHash CHAR(64) NOT NULL, tries INT NOT NULL,
    expiresAt DATETIME(3) NOT NULL)`,
  'ALTER TABLE messages ADD COLUMN kind VARCHAR(20)',
  'ALTER TABLE messages ADD COLUMN insteadOf CHAR(36) BINARY',
]
