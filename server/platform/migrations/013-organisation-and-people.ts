/** What an organisation decides of itself, in versions, and what is known of those who work there. */
export const up = [
  `CREATE TABLE IF NOT EXISTS setting_versions (
    name VARCHAR(60) NOT NULL, version INT NOT NULL, value JSON NOT NULL, changedBy VARCHAR(255) NOT NULL,
    changedById CHAR(36) BINARY, changedAt DATETIME(3) NOT NULL, PRIMARY KEY (name, version))`,
  `ALTER TABLE accounts ADD COLUMN IF NOT EXISTS invitedAt DATETIME(3), ADD COLUMN IF NOT EXISTS suspendedAt DATETIME(3),
    ADD COLUMN IF NOT EXISTS signedInAt DATETIME(3), ADD COLUMN IF NOT EXISTS teamsOnly BOOLEAN NOT NULL DEFAULT FALSE,
    ADD COLUMN IF NOT EXISTS awayFrom DATE, ADD COLUMN IF NOT EXISTS awayThrough DATE, ADD COLUMN IF NOT EXISTS standInId CHAR(36) BINARY,
    ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS works BOOLEAN GENERATED ALWAYS AS (JSON_LENGTH(roles) > 0 AND NOT JSON_CONTAINS(roles, '"candidate"')) STORED`,
  'ALTER TABLE accounts ADD INDEX IF NOT EXISTS works (works, name)',
  `CREATE TABLE IF NOT EXISTS teams (id CHAR(36) BINARY PRIMARY KEY, name VARCHAR(120) NOT NULL UNIQUE,
    version INT NOT NULL DEFAULT 0)`,
  `CREATE TABLE IF NOT EXISTS team_members (teamId CHAR(36) BINARY NOT NULL, accountId CHAR(36) BINARY NOT NULL,
    PRIMARY KEY (teamId, accountId), KEY account (accountId))`,
  `CREATE TABLE IF NOT EXISTS team_vacancies (teamId CHAR(36) BINARY NOT NULL, vacancyId CHAR(36) BINARY NOT NULL,
    PRIMARY KEY (teamId, vacancyId), KEY vacancy (vacancyId))`,
  // What was entered before there was a second person to check it counts as checked.
  `ALTER TABLE sources ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1, ADD COLUMN IF NOT EXISTS enteredBy VARCHAR(255) NOT NULL DEFAULT '',
    ADD COLUMN IF NOT EXISTS enteredById CHAR(36) BINARY, ADD COLUMN IF NOT EXISTS checkedBy VARCHAR(255),
    ADD COLUMN IF NOT EXISTS checkedAt DATETIME(3), ADD COLUMN IF NOT EXISTS retiredAt DATETIME(3)`,
  "UPDATE sources SET checkedBy = '', checkedAt = UTC_TIMESTAMP(3) WHERE checkedAt IS NULL",
  `CREATE TABLE IF NOT EXISTS file_owners (applicationId CHAR(36) BINARY PRIMARY KEY, accountId CHAR(36) BINARY NOT NULL,
    since DATETIME(3) NOT NULL, KEY account (accountId))`,
  `CREATE TABLE IF NOT EXISTS file_watchers (applicationId CHAR(36) BINARY NOT NULL, accountId CHAR(36) BINARY NOT NULL,
    PRIMARY KEY (applicationId, accountId), KEY account (accountId))`,
  `CREATE TABLE IF NOT EXISTS file_readers (applicationId CHAR(36) BINARY NOT NULL, accountId CHAR(36) BINARY NOT NULL,
    place VARCHAR(60) NOT NULL, seenAt DATETIME(3) NOT NULL, PRIMARY KEY (applicationId, accountId), KEY seen (seenAt))`,
]
