/** Originals that candidates bring or send: announced, in the safe, returned. One of a paper is under way or here at a time. */
export const up = [
  `CREATE TABLE IF NOT EXISTS originals (
    id CHAR(36) BINARY PRIMARY KEY, applicationId CHAR(36) BINARY NOT NULL, candidateId CHAR(36) BINARY NOT NULL,
    documentId CHAR(36) BINARY NOT NULL, underWay CHAR(36) BINARY, title VARCHAR(300) NOT NULL, fileName VARCHAR(255) NOT NULL,
    pages INT NOT NULL, state VARCHAR(20) NOT NULL, way VARCHAR(20) NOT NULL, tracking VARCHAR(60) NOT NULL,
    announcedAt DATETIME(3) NOT NULL, receivedAt DATETIME(3), receivedFrom VARCHAR(200) NOT NULL, receivedBy VARCHAR(200) NOT NULL,
    place VARCHAR(200) NOT NULL, compared VARCHAR(10), pagesCompared JSON NOT NULL, comparedBy VARCHAR(200) NOT NULL,
    comparedAt DATETIME(3), returnedAt DATETIME(3), returnedTo VARCHAR(200) NOT NULL, returnedBy VARCHAR(200) NOT NULL,
    returnTracking VARCHAR(60) NOT NULL, signature MEDIUMTEXT, version INT NOT NULL,
    UNIQUE KEY oneUnderWay (underWay), KEY byApplication (applicationId), KEY byState (state, receivedAt))`,
]
