/** Sign-in through the organisation's own identity provider. */
export const up = [
  `ALTER TABLE accounts ADD COLUMN IF NOT EXISTS providerSubject VARCHAR(400) BINARY UNIQUE,
    ADD COLUMN IF NOT EXISTS breakGlass BOOLEAN NOT NULL DEFAULT FALSE`,
  `CREATE TABLE IF NOT EXISTS provider_sign_ins (stateHash VARCHAR(64) PRIMARY KEY, browserHash VARCHAR(64) NOT NULL,
    verifier TEXT NOT NULL, nonce VARCHAR(120) NOT NULL, accountId CHAR(36) BINARY, next VARCHAR(200),
    expiresAt DATETIME(3) NOT NULL, KEY expiresAt (expiresAt))`,
]
