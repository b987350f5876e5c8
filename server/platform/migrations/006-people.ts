/** Papers of identity as they are captured, people who vouch, and voluntary answers that lead to nobody. */
export const up = [
  `CREATE TABLE captures (
    id CHAR(36) BINARY PRIMARY KEY, claimId CHAR(36) BINARY NOT NULL, session VARCHAR(80) NOT NULL, state VARCHAR(12) NOT NULL, reading JSON,
    createdAt DATETIME(3) NOT NULL, KEY (claimId), FOREIGN KEY (claimId) REFERENCES claims (id))`,
  `CREATE TABLE vouchings (
    id CHAR(36) BINARY PRIMARY KEY, applicationId CHAR(36) BINARY NOT NULL, reference VARCHAR(20) NOT NULL UNIQUE, code CHAR(6) NOT NULL,
    name VARCHAR(200) NOT NULL, mail VARCHAR(255) NOT NULL, relation VARCHAR(20) NOT NULL, state VARCHAR(12) NOT NULL,
    askedAt DATETIME(3) NOT NULL, answer JSON, doneAt DATETIME(3),
    KEY (applicationId, askedAt), FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE vouching_links (
    tokenHash CHAR(64) PRIMARY KEY, vouchingId CHAR(36) BINARY NOT NULL, createdAt DATETIME(3) NOT NULL,
    FOREIGN KEY (vouchingId) REFERENCES vouchings (id))`,
  // Without a person, an application or a moment: only what is counted.
  `CREATE TABLE equality_answers (
    id CHAR(36) BINARY PRIMARY KEY, vacancyId CHAR(36) BINARY NOT NULL, question VARCHAR(80) NOT NULL, answer VARCHAR(120) NOT NULL,
    KEY (vacancyId, question), FOREIGN KEY (vacancyId) REFERENCES vacancies (id))`,
  `ALTER TABLE applications ADD equalityGiven BOOLEAN NOT NULL DEFAULT FALSE`,
  // The language a candidate is written to in.
  `ALTER TABLE accounts ADD language CHAR(2) NOT NULL DEFAULT 'en'`,
  `ALTER TABLE permissions ADD drawn BOOLEAN NOT NULL DEFAULT FALSE`,
]
