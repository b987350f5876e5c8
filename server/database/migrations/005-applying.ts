/** What applying needs: papers by their part, uploads in pieces, what a person's record last said and when. */
export const up = [
  `ALTER TABLE documents ADD part VARCHAR(40) NOT NULL DEFAULT 'certificate', ADD translationOf CHAR(36), ADD seconds INT`,
  `ALTER TABLE sources ADD programmes JSON NOT NULL DEFAULT '[]'`,
  `ALTER TABLE vacancies ADD paperLanguages JSON NOT NULL DEFAULT '["en","de"]'`,
  `ALTER TABLE candidates ADD record JSON NOT NULL DEFAULT '{}'`,
  `ALTER TABLE applications ADD takenOver JSON NOT NULL DEFAULT '{}'`,
  `ALTER TABLE claims ADD saidAt DATETIME(3)`,
  `UPDATE claims SET saidAt = createdAt`,
]
