const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'

/** Whom somebody has allowed us to tell what has been proven of them, and what was sent to each. */
export const up = [
  `CREATE TABLE IF NOT EXISTS recipient_permissions (
    id CHAR(36) BINARY NOT NULL PRIMARY KEY, candidateId CHAR(36) BINARY NOT NULL, name VARCHAR(255) NOT NULL,
    mail VARCHAR(254) NOT NULL, language VARCHAR(2) ${ascii} NOT NULL, purpose VARCHAR(255) NOT NULL, claims JSON,
    applicationId CHAR(36) BINARY, recipientKey VARCHAR(60) ${ascii},
    fullName VARCHAR(255) NOT NULL, given VARCHAR(8) ${ascii} NOT NULL, notedBy VARCHAR(255), sha256 CHAR(64) ${ascii},
    signedOn DATE NOT NULL, through DATE NOT NULL, createdAt DATETIME(3) NOT NULL, lastSentAt DATETIME(3),
    withdrawnAt DATETIME(3),
    holdsFor VARCHAR(100) ${ascii},
    KEY (candidateId, createdAt), KEY (sha256), KEY (applicationId), UNIQUE KEY (holdsFor))`,
  `ALTER TABLE report_deliveries
    ADD COLUMN IF NOT EXISTS permissionId CHAR(36) BINARY, ADD COLUMN IF NOT EXISTS way VARCHAR(10) ${ascii},
    ADD COLUMN IF NOT EXISTS tokenHash CHAR(64) ${ascii}, ADD COLUMN IF NOT EXISTS linkEndsAt DATETIME(3),
    ADD COLUMN IF NOT EXISTS attachedSha256 CHAR(64) ${ascii}, ADD COLUMN IF NOT EXISTS openings INT NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS firstOpenedAt DATETIME(3), ADD COLUMN IF NOT EXISTS lastOpenedAt DATETIME(3),
    ADD COLUMN IF NOT EXISTS savedAt DATETIME(3), ADD COLUMN IF NOT EXISTS takenBackAt DATETIME(3),
    ADD COLUMN IF NOT EXISTS takenBackBy VARCHAR(255), ADD KEY IF NOT EXISTS byPermission (permissionId, sentAt),
    ADD UNIQUE KEY IF NOT EXISTS byToken (tokenHash), ADD KEY IF NOT EXISTS byAttached (attachedSha256)`,
]
