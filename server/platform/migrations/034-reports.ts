const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'

/** What was stated of people to whom, signed, and the keys it was signed with. */
export const up = [
  `CREATE TABLE IF NOT EXISTS signing_keys (
    kid VARCHAR(60) ${ascii} NOT NULL PRIMARY KEY, publicJwk JSON NOT NULL, sealed TEXT ${ascii} NOT NULL,
    createdAt DATETIME(3) NOT NULL, retiredAt DATETIME(3), activeKey VARCHAR(10) ${ascii}, UNIQUE KEY (activeKey))`,
  `CREATE TABLE IF NOT EXISTS reports (
    id CHAR(36) BINARY NOT NULL PRIMARY KEY, reference VARCHAR(40) ${ascii} NOT NULL, candidateId CHAR(36) BINARY NOT NULL,
    applicationId CHAR(36) BINARY, audience VARCHAR(12) ${ascii} NOT NULL, sight JSON NOT NULL,
    language VARCHAR(2) ${ascii} NOT NULL, asAt DATE NOT NULL, madeAt DATETIME(3) NOT NULL, madeBy VARCHAR(255) NOT NULL,
    madeById CHAR(36) BINARY, content JSON NOT NULL, stated JSON NOT NULL, jwt MEDIUMTEXT ${ascii} NOT NULL,
    sdJwt MEDIUMTEXT ${ascii} NOT NULL, pdfSha256 CHAR(64) ${ascii} NOT NULL, tokenHash CHAR(64) ${ascii} NOT NULL,
    statusIndex INT NOT NULL, endsAt DATETIME(3) NOT NULL, revokedAt DATETIME(3), revokedBecause JSON, version INT NOT NULL,
    UNIQUE KEY (reference), UNIQUE KEY (statusIndex), UNIQUE KEY (tokenHash), KEY (candidateId, madeAt), KEY (applicationId),
    KEY (pdfSha256), KEY (revokedAt, statusIndex))`,
  `CREATE TABLE IF NOT EXISTS report_deliveries (
    id CHAR(36) BINARY NOT NULL PRIMARY KEY, reportId CHAR(36) BINARY NOT NULL, toName VARCHAR(255) NOT NULL,
    toMail VARCHAR(254) NOT NULL, language VARCHAR(2) ${ascii} NOT NULL, sentAt DATETIME(3) NOT NULL,
    sentBy VARCHAR(255) NOT NULL, KEY (reportId, sentAt))`,
  // What was revoked stays so in the published list when the file it was about is gone.
  `CREATE TABLE IF NOT EXISTS revoked_statuses (
    statusIndex INT NOT NULL PRIMARY KEY, revokedAt DATETIME(3) NOT NULL)`,
  // Whoever checks a credential asks for the one source that has signed it.
  `ALTER TABLE sources ADD COLUMN IF NOT EXISTS issuerId VARCHAR(255) AS (LEFT(JSON_VALUE(known, '$.issuer.id'), 255)) PERSISTENT,
    ADD KEY IF NOT EXISTS byIssuer (issuerId)`,
  'CREATE SEQUENCE IF NOT EXISTS numbers_reports START WITH 1',
  'ALTER SEQUENCE numbers_reports INCREMENT BY 0 NOCACHE',
]
