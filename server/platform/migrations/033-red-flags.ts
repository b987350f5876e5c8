const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'

/** Patterns worth a person's look, each once, and what was decided about them, each time. */
export const up = [
  `CREATE TABLE IF NOT EXISTS red_flags (
    id CHAR(36) BINARY NOT NULL PRIMARY KEY, candidateId CHAR(36) BINARY NOT NULL,
    kind VARCHAR(30) ${ascii} NOT NULL, about VARCHAR(400) NOT NULL,
    claimId CHAR(36) BINARY, documentId CHAR(36) BINARY, enquiryId CHAR(36) BINARY, place JSON,
    otherCandidateId CHAR(36) BINARY, otherClaimId CHAR(36) BINARY, otherDocumentId CHAR(36) BINARY,
    flagValues JSON NOT NULL, state VARCHAR(12) ${ascii} NOT NULL, raisedAt DATETIME(3) NOT NULL, version INT NOT NULL,
    UNIQUE KEY (candidateId, kind, about), KEY (state, raisedAt, id), KEY (claimId), KEY (otherCandidateId))`,
  `CREATE TABLE IF NOT EXISTS red_flag_settlements (
    flagId CHAR(36) BINARY NOT NULL, nth INT NOT NULL, outcome VARCHAR(12) ${ascii} NOT NULL, reason TEXT NOT NULL,
    settledBy VARCHAR(255) NOT NULL, settledById CHAR(36) BINARY, settledAt DATETIME(3) NOT NULL,
    PRIMARY KEY (flagId, nth))`,
]
