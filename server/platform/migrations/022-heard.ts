/** Where people heard of us: once for a vacancy, or for the group it belongs to. */
export const up = [
  `CREATE TABLE IF NOT EXISTS heard_of_us (
    candidateId CHAR(36) BINARY NOT NULL, asked CHAR(36) BINARY NOT NULL, source VARCHAR(30) NOT NULL,
    recommendedBy VARCHAR(200) NOT NULL, saidAt DATETIME(3) NOT NULL, PRIMARY KEY (candidateId, asked), KEY byAsked (asked))`,
]
