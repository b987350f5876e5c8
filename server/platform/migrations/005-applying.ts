/** What applying needs: papers by their part, uploads in pieces, what a person's record last said and when. */
export const up = [
  `ALTER TABLE documents ADD part VARCHAR(40) NOT NULL DEFAULT 'certificate', ADD translationOf CHAR(36), ADD seconds INT`,
  `ALTER TABLE sources ADD programmes JSON NOT NULL DEFAULT '[]'`,
  `ALTER TABLE vacancies ADD paperLanguages JSON NOT NULL DEFAULT '["en","de"]'`,
  `ALTER TABLE applications ADD answeredAt JSON NOT NULL DEFAULT '{}', ADD takenOver JSON NOT NULL DEFAULT '[]'`,
  `CREATE TABLE reopenings (
    id CHAR(36) BINARY PRIMARY KEY, applicationId CHAR(36) BINARY NOT NULL, section VARCHAR(80) NOT NULL, question VARCHAR(80), reason VARCHAR(1000) NOT NULL,
    dueOn DATE NOT NULL, askedBy VARCHAR(120) NOT NULL, askedAt DATETIME(3) NOT NULL, state VARCHAR(12) NOT NULL, before_ JSON NOT NULL, doneAt DATETIME(3),
    KEY (applicationId, askedAt), FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `ALTER TABLE claims ADD saidAt DATETIME(3)`,
  `UPDATE claims SET saidAt = createdAt`,
]
