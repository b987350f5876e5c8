/** Accounts that are looked after: links for several purposes, one-time codes, recovery codes. */
export const up = [
  `ALTER TABLE account_links ADD purpose VARCHAR(20) NOT NULL DEFAULT 'confirm', ADD newMail VARCHAR(200), ADD KEY byAccount (accountId, purpose)`,
  `ALTER TABLE accounts ADD otpSecret VARCHAR(64), ADD otpOnSince DATETIME(3), ADD otpStep BIGINT`,
  `CREATE TABLE recovery_codes (
    accountId CHAR(36) BINARY NOT NULL, codeHash CHAR(64) NOT NULL, usedAt DATETIME(3), PRIMARY KEY (accountId, codeHash),
    FOREIGN KEY (accountId) REFERENCES accounts (id))`,
]
