/** Tables of the first thread: from an account to the first working day. Times are UTC, days without time are DATE. */
export const up = [
  `CREATE TABLE accounts (
    id CHAR(36) BINARY PRIMARY KEY, mail VARCHAR(200) NOT NULL UNIQUE, name VARCHAR(120) NOT NULL, passwordHash VARCHAR(200) NOT NULL,
    roles JSON NOT NULL, confirmedAt DATETIME(3), createdAt DATETIME(3) NOT NULL)`,
  `CREATE TABLE account_links (
    tokenHash CHAR(64) PRIMARY KEY, accountId CHAR(36) BINARY NOT NULL, next VARCHAR(200), expiresAt DATETIME(3) NOT NULL, usedAt DATETIME(3),
    FOREIGN KEY (accountId) REFERENCES accounts (id))`,
  `CREATE TABLE sessions (
    tokenHash CHAR(64) PRIMARY KEY, accountId CHAR(36) BINARY NOT NULL, createdAt DATETIME(3) NOT NULL, expiresAt DATETIME(3) NOT NULL,
    KEY (expiresAt), FOREIGN KEY (accountId) REFERENCES accounts (id))`,
  `CREATE TABLE attempts (bucket VARCHAR(160) PRIMARY KEY, windowStart DATETIME(3) NOT NULL, count INT NOT NULL)`,
  `CREATE TABLE once_replies (
    actor VARCHAR(80) NOT NULL, idempotencyKey VARCHAR(80) NOT NULL, endpoint VARCHAR(200) NOT NULL, bodyHash CHAR(64) NOT NULL,
    reply JSON, createdAt DATETIME(3) NOT NULL, PRIMARY KEY (actor, idempotencyKey))`,
  `CREATE TABLE settings (name VARCHAR(60) PRIMARY KEY, value JSON NOT NULL)`,
  `CREATE TABLE counters (name VARCHAR(60) PRIMARY KEY, value BIGINT NOT NULL)`,
  `CREATE TABLE candidates (
    id CHAR(36) BINARY PRIMARY KEY, accountId CHAR(36) BINARY NOT NULL UNIQUE, name VARCHAR(200) NOT NULL, born VARCHAR(20), otherNames JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL, FULLTEXT KEY candidateName (name), FOREIGN KEY (accountId) REFERENCES accounts (id))`,
  `CREATE TABLE vacancies (
    id CHAR(36) BINARY PRIMARY KEY, slug VARCHAR(80) NOT NULL UNIQUE, title VARCHAR(200) NOT NULL, family VARCHAR(80) NOT NULL, place VARCHAR(120) NOT NULL,
    payFrom INT NOT NULL, payTo INT NOT NULL, payBand VARCHAR(20) NOT NULL, contract VARCHAR(80) NOT NULL, hours VARCHAR(80) NOT NULL, headcount INT NOT NULL,
    summary TEXT NOT NULL, duties JSON NOT NULL, opensAt DATETIME(3) NOT NULL, closesAt DATETIME(3) NOT NULL, timeZone VARCHAR(60) NOT NULL,
    targetStart DATE NOT NULL, form JSON NOT NULL, requirements JSON NOT NULL, onboarding JSON NOT NULL, KEY (closesAt, id), FULLTEXT KEY vacancyText (title, summary, place))`,
  `CREATE TABLE applications (
    id CHAR(36) BINARY PRIMARY KEY, candidateId CHAR(36) BINARY NOT NULL, vacancyId CHAR(36) BINARY NOT NULL, number INT, reference VARCHAR(24) UNIQUE,
    stage VARCHAR(20) NOT NULL, answers JSON NOT NULL, version INT NOT NULL, lastSection VARCHAR(40), targetStart DATE NOT NULL,
    createdAt DATETIME(3) NOT NULL, savedAt DATETIME(3) NOT NULL, sentAt DATETIME(3), remindedAt DATETIME(3), UNIQUE KEY oneEach (candidateId, vacancyId), KEY (stage, id),
    FOREIGN KEY (candidateId) REFERENCES candidates (id), FOREIGN KEY (vacancyId) REFERENCES vacancies (id))`,
  `CREATE TABLE snapshots (
    applicationId CHAR(36) BINARY PRIMARY KEY, content JSON NOT NULL, sha256 CHAR(64) NOT NULL, createdAt DATETIME(3) NOT NULL,
    FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE permissions (
    id CHAR(36) BINARY PRIMARY KEY, applicationId CHAR(36) BINARY NOT NULL UNIQUE, fullName VARCHAR(120) NOT NULL, textVersion VARCHAR(20) NOT NULL, sha256 CHAR(64) NOT NULL,
    signedAt DATETIME(3) NOT NULL, FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE sources (
    id CHAR(36) BINARY PRIMARY KEY, name VARCHAR(200) NOT NULL, aliases JSON NOT NULL, searchText TEXT NOT NULL, kind VARCHAR(30) NOT NULL, town VARCHAR(80) NOT NULL,
    country CHAR(2) NOT NULL, mail VARCHAR(200) NOT NULL, register VARCHAR(60), answerWorkingDays INT NOT NULL, KEY (name))`,
  `CREATE TABLE claims (
    id CHAR(36) BINARY PRIMARY KEY, candidateId CHAR(36) BINARY NOT NULL, kind VARCHAR(20) NOT NULL, details JSON NOT NULL, number VARCHAR(200), rung VARCHAR(20) NOT NULL,
    sourceId CHAR(36) BINARY, credentialVersion INT NOT NULL, version INT NOT NULL, createdAt DATETIME(3) NOT NULL, removedAt DATETIME(3),
    KEY (candidateId, createdAt), KEY (number), KEY (sourceId), FOREIGN KEY (candidateId) REFERENCES candidates (id), FOREIGN KEY (sourceId) REFERENCES sources (id))`,
  `CREATE TABLE earlier_credentials (
    claimId CHAR(36) BINARY NOT NULL, credentialVersion INT NOT NULL, details JSON NOT NULL, rung VARCHAR(20) NOT NULL, replacedAt DATETIME(3) NOT NULL,
    PRIMARY KEY (claimId, credentialVersion), FOREIGN KEY (claimId) REFERENCES claims (id))`,
  `CREATE TABLE blobs (sha256 CHAR(64) PRIMARY KEY, size INT NOT NULL, mediaType VARCHAR(80) NOT NULL, createdAt DATETIME(3) NOT NULL)`,
  `CREATE TABLE blob_chunks (
    sha256 CHAR(64) NOT NULL, nth INT NOT NULL, bytes MEDIUMBLOB NOT NULL, PRIMARY KEY (sha256, nth), FOREIGN KEY (sha256) REFERENCES blobs (sha256))`,
  `CREATE TABLE documents (
    id CHAR(36) BINARY PRIMARY KEY, candidateId CHAR(36) BINARY NOT NULL, claimId CHAR(36) BINARY NOT NULL, credentialVersion INT NOT NULL, fileName VARCHAR(200) NOT NULL,
    mediaType VARCHAR(80) NOT NULL, size INT NOT NULL, pages INT NOT NULL, sha256 CHAR(64) NOT NULL, state VARCHAR(20) NOT NULL, sentBackBecause VARCHAR(1000),
    \`reads\` JSON NOT NULL, uploadedAt DATETIME(3) NOT NULL, seenBy VARCHAR(120), seenAt DATETIME(3), version INT NOT NULL,
    KEY (claimId, uploadedAt), FOREIGN KEY (claimId) REFERENCES claims (id), FOREIGN KEY (sha256) REFERENCES blobs (sha256))`,
  `CREATE TABLE enquiries (
    id CHAR(36) BINARY PRIMARY KEY, claimId CHAR(36) BINARY NOT NULL, credentialVersion INT NOT NULL, applicationId CHAR(36) BINARY NOT NULL, sourceId CHAR(36) BINARY NOT NULL,
    round INT NOT NULL, channel VARCHAR(10) NOT NULL, state VARCHAR(12) NOT NULL, claimed JSON NOT NULL, askedAt DATETIME(3) NOT NULL, askedBy VARCHAR(120) NOT NULL,
    answerBy DATE NOT NULL, expiresAt DATETIME(3) NOT NULL, remindedAt DATETIME(3), answeredAt DATETIME(3), reply JSON, statement JSON, respondent VARCHAR(250), note TEXT,
    KEY (claimId, askedAt), KEY (sourceId, askedAt), KEY (state, answerBy), FOREIGN KEY (claimId) REFERENCES claims (id), FOREIGN KEY (sourceId) REFERENCES sources (id))`,
  `CREATE TABLE enquiry_links (
    tokenHash CHAR(64) PRIMARY KEY, enquiryId CHAR(36) BINARY NOT NULL, createdAt DATETIME(3) NOT NULL, FOREIGN KEY (enquiryId) REFERENCES enquiries (id))`,
  `CREATE TABLE findings (
    id CHAR(36) BINARY PRIMARY KEY, claimId CHAR(36) BINARY NOT NULL, credentialVersion INT NOT NULL, enquiryId CHAR(36) BINARY, decision VARCHAR(30) NOT NULL, note VARCHAR(1000) NOT NULL,
    comparison JSON NOT NULL, rungBefore VARCHAR(20) NOT NULL, decidedBy VARCHAR(120) NOT NULL, decidedAt DATETIME(3) NOT NULL, undoneAt DATETIME(3),
    KEY (claimId, decidedAt), FOREIGN KEY (claimId) REFERENCES claims (id))`,
  `CREATE TABLE checks (
    \`key\` VARCHAR(40) PRIMARY KEY, title VARCHAR(120) NOT NULL, minutes INT NOT NULL, passPercent INT NOT NULL, blueprint JSON NOT NULL)`,
  `CREATE TABLE bank_questions (
    id CHAR(36) BINARY PRIMARY KEY, \`check\` VARCHAR(40) NOT NULL, topic VARCHAR(60) NOT NULL, difficulty INT NOT NULL, text TEXT NOT NULL, options JSON NOT NULL,
    KEY (\`check\`), FOREIGN KEY (\`check\`) REFERENCES checks (\`key\`))`,
  `CREATE TABLE sittings (
    id CHAR(36) BINARY PRIMARY KEY, applicationId CHAR(36) BINARY NOT NULL, \`check\` VARCHAR(40) NOT NULL, seed VARCHAR(80) NOT NULL, paper JSON NOT NULL, state VARCHAR(12) NOT NULL,
    begunAt DATETIME(3) NOT NULL, dueAt DATETIME(3) NOT NULL, finishedAt DATETIME(3), mark JSON, percent INT, passed BOOLEAN,
    KEY (applicationId, begunAt), FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE sitting_answers (
    sittingId CHAR(36) BINARY NOT NULL, questionId CHAR(36) BINARY NOT NULL, given JSON NOT NULL, savedAt DATETIME(3) NOT NULL, PRIMARY KEY (sittingId, questionId),
    FOREIGN KEY (sittingId) REFERENCES sittings (id))`,
  `CREATE TABLE waivers (
    id CHAR(36) BINARY PRIMARY KEY, applicationId CHAR(36) BINARY NOT NULL, requirement VARCHAR(80) NOT NULL, reason VARCHAR(1000) NOT NULL, givenBy VARCHAR(120) NOT NULL, givenAt DATETIME(3) NOT NULL,
    UNIQUE KEY oneEach (applicationId, requirement), FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE gate_passages (
    applicationId CHAR(36) BINARY NOT NULL, gate VARCHAR(12) NOT NULL, passedBy VARCHAR(120) NOT NULL, passedAt DATETIME(3) NOT NULL, readiness JSON NOT NULL, PRIMARY KEY (applicationId, gate),
    FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE offers (
    applicationId CHAR(36) BINARY PRIMARY KEY, salary INT NOT NULL, startsOn DATE NOT NULL, answerBy DATE NOT NULL, madeBy VARCHAR(120) NOT NULL, madeAt DATETIME(3) NOT NULL,
    answer VARCHAR(10), answeredAt DATETIME(3), FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE onboarding_tasks (
    applicationId CHAR(36) BINARY NOT NULL, \`key\` VARCHAR(40) NOT NULL, title VARCHAR(200) NOT NULL, text TEXT NOT NULL, doneAt DATETIME(3), PRIMARY KEY (applicationId, \`key\`),
    FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE standings (
    applicationId CHAR(36) BINARY PRIMARY KEY, vacancyId CHAR(36) BINARY NOT NULL, candidate VARCHAR(200) NOT NULL, vacancy VARCHAR(200) NOT NULL, slack INT NOT NULL,
    early DATE NOT NULL, likely DATE NOT NULL, late DATE NOT NULL, heldUpBy VARCHAR(255), marks JSON NOT NULL, reasons JSON NOT NULL,
    today BOOLEAN NOT NULL, applications BOOLEAN NOT NULL, verification BOOLEAN NOT NULL, skills BOOLEAN NOT NULL, validity BOOLEAN NOT NULL, hiring BOOLEAN NOT NULL, computedAt DATETIME(3) NOT NULL,
    KEY (today, slack, applicationId), KEY (applications, slack, applicationId), KEY (verification, slack, applicationId), KEY (skills, slack, applicationId),
    KEY (validity, slack, applicationId), KEY (hiring, slack, applicationId), FOREIGN KEY (applicationId) REFERENCES applications (id))`,
  `CREATE TABLE messages (
    id CHAR(36) BINARY PRIMARY KEY, toName VARCHAR(200) NOT NULL, toMail VARCHAR(200) NOT NULL, subject VARCHAR(255) NOT NULL, text TEXT NOT NULL, attachments JSON NOT NULL,
    applicationId CHAR(36) BINARY, createdAt DATETIME(3) NOT NULL, sentAt DATETIME(3), KEY (applicationId, createdAt))`,
  `CREATE TABLE jobs (
    id CHAR(36) BINARY PRIMARY KEY, kind VARCHAR(40) NOT NULL, uniqueKey VARCHAR(120) UNIQUE, payload JSON NOT NULL, runAt DATETIME(3) NOT NULL, attempts INT NOT NULL,
    leasedUntil DATETIME(3), doneAt DATETIME(3), lastError TEXT, KEY (doneAt, runAt, id))`,
  `CREATE TABLE events (
    id CHAR(36) BINARY PRIMARY KEY, at DATETIME(3) NOT NULL, actorId CHAR(36) BINARY, who VARCHAR(250) NOT NULL, code VARCHAR(60) NOT NULL, what VARCHAR(1500) NOT NULL,
    forCandidate VARCHAR(1500), about VARCHAR(250), candidateId CHAR(36) BINARY, applicationId CHAR(36) BINARY, claimId CHAR(36) BINARY, details JSON NOT NULL,
    KEY (applicationId, id), KEY (candidateId, id), KEY (claimId, id))`,
]
