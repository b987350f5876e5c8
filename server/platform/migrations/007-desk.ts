import { firstWords } from './firstWords'

/** Applications at the desk: the chained trail, sights, messages, scoring, doubles, the paper tray, imports, erasure. */
export const up = [
  `ALTER TABLE events
    ADD chain VARCHAR(40) NOT NULL DEFAULT '', ADD seq INT NOT NULL DEFAULT 0, ADD salt CHAR(32) NOT NULL DEFAULT '',
    ADD contentHash CHAR(64) NOT NULL DEFAULT '', ADD hash CHAR(64) NOT NULL DEFAULT '', ADD erasedAt DATETIME(3), ADD KEY inChain (chain, seq)`,
  `CREATE TABLE chain_heads (chain VARCHAR(40) PRIMARY KEY, seq INT NOT NULL, hash CHAR(64) NOT NULL)`,
  `CREATE TABLE sights (
    id CHAR(36) BINARY PRIMARY KEY, candidateId CHAR(36) BINARY NOT NULL, applicationId CHAR(36) BINARY, actorId CHAR(36) BINARY NOT NULL,
    who VARCHAR(120) NOT NULL, subject VARCHAR(80) NOT NULL, what VARCHAR(250) NOT NULL, reason VARCHAR(1000), at DATETIME(3) NOT NULL,
    KEY (candidateId, id), KEY (actorId, candidateId, at))`,
  `ALTER TABLE messages
    ADD candidateId CHAR(36) BINARY, ADD state VARCHAR(12) NOT NULL DEFAULT 'queued', ADD refusedBecause VARCHAR(500), ADD batchId CHAR(36) BINARY,
    ADD KEY byCandidate (candidateId, createdAt), ADD KEY byBatch (batchId)`,
  `UPDATE messages SET state = 'accepted' WHERE sentAt IS NOT NULL`,
  `UPDATE messages JOIN applications ON applications.id = messages.applicationId SET messages.candidateId = applications.candidateId`,
  `CREATE TABLE prepared_sentences (
    id CHAR(36) BINARY PRIMARY KEY, about VARCHAR(12) NOT NULL, title VARCHAR(120) NOT NULL, english VARCHAR(1000) NOT NULL, german VARCHAR(1000) NOT NULL,
    place INT NOT NULL, version INT NOT NULL, KEY (about, place))`,
  `CREATE TABLE message_templates (
    id CHAR(36) BINARY PRIMARY KEY, name VARCHAR(120) NOT NULL, english JSON NOT NULL, german JSON, version INT NOT NULL,
    savedBy VARCHAR(120) NOT NULL, savedAt DATETIME(3) NOT NULL)`,
  `CREATE TABLE score_sheets (
    vacancyId CHAR(36) BINARY PRIMARY KEY, criteria JSON NOT NULL, reviewers INT NOT NULL, hideNames BOOLEAN NOT NULL, version INT NOT NULL,
    FOREIGN KEY (vacancyId) REFERENCES vacancies (id))`,
  `CREATE TABLE scores (
    applicationId CHAR(36) BINARY NOT NULL, reviewerId CHAR(36) BINARY NOT NULL, reviewer VARCHAR(120) NOT NULL, points JSON NOT NULL, note VARCHAR(2000) NOT NULL,
    savedAt DATETIME(3) NOT NULL, handedInAt DATETIME(3), PRIMARY KEY (applicationId, reviewerId), FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `ALTER TABLE standings
    ADD stage VARCHAR(20) NOT NULL DEFAULT 'sent', ADD reference VARCHAR(24), ADD sentAt DATETIME(3), ADD eligible VARCHAR(12) NOT NULL DEFAULT 'undecided',
    ADD metCount INT NOT NULL DEFAULT 0, ADD ofCount INT NOT NULL DEFAULT 0, ADD blanks INT NOT NULL DEFAULT 0, ADD changes INT NOT NULL DEFAULT 0,
    ADD score INT NOT NULL DEFAULT -1, ADD reviews INT NOT NULL DEFAULT 0, ADD hidesName BOOLEAN NOT NULL DEFAULT FALSE, ADD candidateId CHAR(36) BINARY, ADD KEY byCandidate (candidateId), ADD doubles BOOLEAN NOT NULL DEFAULT FALSE,
    ADD KEY bySlack (slack, applicationId), ADD KEY bySent (sentAt, applicationId), ADD KEY byVacancySlack (vacancyId, slack, applicationId),
    ADD KEY byVacancySent (vacancyId, sentAt, applicationId), ADD KEY byScore (score, applicationId), ADD KEY byName (candidate, applicationId),
    ADD KEY byStageSlack (stage, slack, applicationId)`,
  `CREATE TABLE saved_views (
    id CHAR(36) BINARY PRIMARY KEY, accountId CHAR(36) BINARY NOT NULL, place VARCHAR(40) NOT NULL, name VARCHAR(80) NOT NULL, query VARCHAR(1000) NOT NULL,
    createdAt DATETIME(3) NOT NULL, UNIQUE KEY oneName (accountId, place, name))`,
  `ALTER TABLE candidates ADD mergedInto CHAR(36) BINARY, ADD erasedAt DATETIME(3), ADD phone VARCHAR(60), ADD eraseOn DATE, ADD KEY byErasing (eraseOn), ADD KEY byMerged (mergedInto)`,
  `CREATE TABLE candidate_keys (
    candidateId CHAR(36) BINARY NOT NULL, kind CHAR(1) NOT NULL, value VARCHAR(120) COLLATE utf8mb4_bin NOT NULL, PRIMARY KEY (kind, value, candidateId),
    KEY byCandidate (candidateId, kind, value))`,
  `CREATE TABLE possible_doubles (
    oneId CHAR(36) BINARY NOT NULL, otherId CHAR(36) BINARY NOT NULL, weight INT NOT NULL, likelihood VARCHAR(12) NOT NULL, agreements JSON NOT NULL,
    state VARCHAR(12) NOT NULL, decidedBy VARCHAR(120), decidedAt DATETIME(3), PRIMARY KEY (oneId, otherId), KEY (otherId), KEY (state, weight))`,
  `CREATE TABLE merges (
    id CHAR(36) BINARY PRIMARY KEY, keptId CHAR(36) BINARY NOT NULL, mergedId CHAR(36) BINARY NOT NULL, moved JSON NOT NULL, mergedBy VARCHAR(120) NOT NULL,
    mergedAt DATETIME(3) NOT NULL, undoneBy VARCHAR(120), undoneAt DATETIME(3), KEY (keptId), KEY (mergedId))`,
  `ALTER TABLE applications ADD besides INT NOT NULL DEFAULT 0, ADD onBehalf JSON, ADD endedAt DATETIME(3)`,
  `ALTER TABLE applications ADD begunHere TINYINT(1) AS (IF(onBehalf IS NULL OR onBehalf = 'null', 0, 1)) PERSISTENT, ADD KEY byBegunHere (begunHere, stage)`,
  `ALTER TABLE reopenings ADD claims JSON`,
  `ALTER TABLE applications ADD UNIQUE KEY oneOfEach (candidateId, vacancyId, besides), DROP KEY oneEach`,
  `CREATE TABLE cover_sheets (
    number INT PRIMARY KEY, reference VARCHAR(24) NOT NULL UNIQUE, applicationId CHAR(36) BINARY NOT NULL, claimId CHAR(36) BINARY NOT NULL, part VARCHAR(40) NOT NULL,
    title VARCHAR(250) NOT NULL, printedBy VARCHAR(120) NOT NULL, printedAt DATETIME(3) NOT NULL, usedAt DATETIME(3), KEY (applicationId),
    FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE tray_papers (
    id CHAR(36) BINARY PRIMARY KEY, fileName VARCHAR(200) NOT NULL, came VARCHAR(12) NOT NULL, broughtBy VARCHAR(120) NOT NULL, cameAt DATETIME(3) NOT NULL,
    sha256 CHAR(64) NOT NULL, pages INT NOT NULL, coverSheet INT, state VARCHAR(12) NOT NULL, why VARCHAR(300) NOT NULL, guesses JSON NOT NULL, words TEXT NOT NULL,
    documentId CHAR(36) BINARY, settledBy VARCHAR(120), settledAt DATETIME(3), KEY (state, cameAt, id), FOREIGN KEY (sha256) REFERENCES blobs (sha256))`,
  `CREATE TABLE scans (
    id CHAR(36) BINARY PRIMARY KEY, fileName VARCHAR(200) NOT NULL, sha256 CHAR(64) NOT NULL, broughtBy VARCHAR(120) NOT NULL, came VARCHAR(12) NOT NULL,
    cameAt DATETIME(3) NOT NULL, state VARCHAR(12) NOT NULL, pages INT, fault VARCHAR(500), KEY (state, cameAt), FOREIGN KEY (sha256) REFERENCES blobs (sha256))`,
  `CREATE TABLE imports (
    id CHAR(36) BINARY PRIMARY KEY, fileName VARCHAR(200) NOT NULL, format VARCHAR(12) NOT NULL, sha256 CHAR(64) NOT NULL, mapping JSON NOT NULL, state VARCHAR(12) NOT NULL,
    total INT NOT NULL, done INT NOT NULL, faults JSON NOT NULL, importedBy VARCHAR(120) NOT NULL, accountId CHAR(36) BINARY NOT NULL, createdAt DATETIME(3) NOT NULL,
    finishedAt DATETIME(3), undoneBy VARCHAR(120), undoneAt DATETIME(3), KEY (createdAt), FOREIGN KEY (sha256) REFERENCES blobs (sha256))`,
  `CREATE TABLE imported_people (
    importId CHAR(36) BINARY NOT NULL, candidateId CHAR(36) BINARY NOT NULL, made BOOLEAN NOT NULL, claims JSON NOT NULL, PRIMARY KEY (importId, candidateId),
    FOREIGN KEY (importId) REFERENCES imports (id))`,
  ...firstWords,
]
