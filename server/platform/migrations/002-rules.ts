/** Vacancies that are set up at the desk: their states, their rules in versions, the common library, intakes, dry runs, fees. */
export const up = [
  `CREATE TABLE intakes (
    id CHAR(36) BINARY PRIMARY KEY, title VARCHAR(120) NOT NULL, rankUpTo INT NOT NULL, version INT NOT NULL)`,
  `ALTER TABLE vacancies
    ADD state VARCHAR(12) NOT NULL DEFAULT 'open', ADD version INT NOT NULL DEFAULT 0, ADD rulesVersion INT NOT NULL DEFAULT 1,
    ADD decidedBy VARCHAR(120) NOT NULL DEFAULT '', ADD intakeId CHAR(36) BINARY, ADD createdAt DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    ADD KEY (state, closesAt, id), ADD FOREIGN KEY (intakeId) REFERENCES intakes (id)`,
  `CREATE TABLE rules_versions (
    vacancyId CHAR(36) BINARY NOT NULL, version INT NOT NULL, form JSON NOT NULL, requirements JSON NOT NULL, onboarding JSON NOT NULL,
    note VARCHAR(500) NOT NULL, savedBy VARCHAR(120) NOT NULL, savedAt DATETIME(3) NOT NULL, PRIMARY KEY (vacancyId, version),
    FOREIGN KEY (vacancyId) REFERENCES vacancies (id))`,
  `INSERT INTO rules_versions (vacancyId, version, form, requirements, onboarding, note, savedBy, savedAt)
    SELECT id, 1, form, requirements, onboarding, 'The first version', 'Probatum', opensAt FROM vacancies`,
  `UPDATE vacancies SET duties = JSON_OBJECT('type', 'doc', 'content', JSON_ARRAY(JSON_OBJECT('type', 'paragraph', 'content',
    JSON_ARRAY(JSON_OBJECT('type', 'text', 'text', REPLACE(REPLACE(REPLACE(duties, '["', ''), '"]', ''), '","', '; '))))))
    WHERE JSON_TYPE(duties) = 'ARRAY'`,
  `ALTER TABLE vacancies DROP form, DROP requirements, DROP onboarding`,
  `CREATE TABLE rules_drafts (
    vacancyId CHAR(36) BINARY PRIMARY KEY, rules JSON NOT NULL, basedOn INT NOT NULL, version INT NOT NULL, savedBy VARCHAR(120) NOT NULL,
    savedAt DATETIME(3) NOT NULL, FOREIGN KEY (vacancyId) REFERENCES vacancies (id))`,
  `CREATE TABLE shared_sections (
    \`key\` VARCHAR(60) NOT NULL, version INT NOT NULL, section JSON NOT NULL, note VARCHAR(200) NOT NULL, savedBy VARCHAR(120) NOT NULL,
    savedAt DATETIME(3) NOT NULL, PRIMARY KEY (\`key\`, version))`,
  `CREATE TABLE dry_runs (
    id CHAR(36) BINARY PRIMARY KEY, vacancyId CHAR(36) BINARY NOT NULL, rules JSON NOT NULL, draftVersion INT NOT NULL, today DATE NOT NULL,
    state VARCHAR(12) NOT NULL, done INT NOT NULL, total INT NOT NULL, counts JSON NOT NULL, affected INT NOT NULL, error TEXT,
    startedBy VARCHAR(120) NOT NULL, startedAt DATETIME(3) NOT NULL, finishedAt DATETIME(3), KEY (vacancyId, startedAt),
    FOREIGN KEY (vacancyId) REFERENCES vacancies (id))`,
  `CREATE TABLE dry_run_rows (
    dryRunId CHAR(36) BINARY NOT NULL, applicationId CHAR(36) BINARY NOT NULL, candidate VARCHAR(200) NOT NULL, reference VARCHAR(24),
    stage VARCHAR(20) NOT NULL, rulesVersion INT NOT NULL, changes JSON NOT NULL, gates JSON NOT NULL, PRIMARY KEY (dryRunId, applicationId),
    FOREIGN KEY (dryRunId) REFERENCES dry_runs (id) ON DELETE CASCADE)`,
  `CREATE TABLE fees_received (
    applicationId CHAR(36) BINARY NOT NULL, requirement VARCHAR(60) NOT NULL, receivedOn DATE NOT NULL, note VARCHAR(200) NOT NULL,
    recordedBy VARCHAR(120) NOT NULL, recordedAt DATETIME(3) NOT NULL, PRIMARY KEY (applicationId, requirement),
    FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `ALTER TABLE applications ADD rulesVersion INT NOT NULL DEFAULT 1, ADD KEY byVacancy (vacancyId, id)`,
  `ALTER TABLE documents ADD KEY byCandidate (candidateId, uploadedAt)`,
  `ALTER TABLE sources ADD accreditedFields JSON NOT NULL DEFAULT '[]'`,
]
