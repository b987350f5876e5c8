/** What candidates declared and what was decided about it, by whom. */
export const up = [
  `CREATE TABLE IF NOT EXISTS declared_matters (
    id CHAR(36) BINARY PRIMARY KEY, candidateId CHAR(36) BINARY NOT NULL, applicationId CHAR(36) BINARY NOT NULL,
    requirement VARCHAR(120) NOT NULL, question VARCHAR(120) NOT NULL, answer VARCHAR(255) NOT NULL, explanation TEXT NOT NULL,
    digest CHAR(64) NOT NULL, outcome VARCHAR(20), reason TEXT NOT NULL, conditions JSON NOT NULL, decidedAt DATETIME(3),
    createdAt DATETIME(3) NOT NULL, version INT NOT NULL,
    UNIQUE KEY once (applicationId, requirement, digest), KEY byCandidate (candidateId))`,
  `CREATE TABLE IF NOT EXISTS matter_votes (
    matterId CHAR(36) BINARY NOT NULL, accountId CHAR(36) BINARY NOT NULL, name VARCHAR(200) NOT NULL,
    outcome VARCHAR(20) NOT NULL, reason TEXT NOT NULL, conditions JSON NOT NULL, votedAt DATETIME(3) NOT NULL,
    PRIMARY KEY (matterId, accountId))`,
  // Conditions are kept like tasks, and can be waived; their keys are longer.
  'ALTER TABLE onboarding_tasks MODIFY `key` VARCHAR(120) NOT NULL',
]
