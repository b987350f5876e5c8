const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'

/** When applications were likely to be ready: as it stands, and as it was first said, so that it can be seen whether it held. */
export const up = [
  `CREATE TABLE IF NOT EXISTS forecasts (
    applicationId CHAR(36) BINARY NOT NULL PRIMARY KEY, basis CHAR(64) ${ascii} NOT NULL, forecast JSON NOT NULL,
    computedAt DATETIME(3) NOT NULL)`,
  `CREATE TABLE IF NOT EXISTS first_forecasts (
    applicationId CHAR(36) BINARY NOT NULL PRIMARY KEY, madeOn DATE NOT NULL, days JSON NOT NULL, readyOn DATE,
    KEY byDay (madeOn))`,
  // How long a source took is known of it still when the file it was asked about is erased: nothing here says whose that was.
  `CREATE TABLE IF NOT EXISTS enquiry_waits (
    id CHAR(36) BINARY NOT NULL PRIMARY KEY, sourceId CHAR(36) BINARY NOT NULL, vacancyId CHAR(36) BINARY NOT NULL,
    channel VARCHAR(14) ${ascii} NOT NULL, askedAt DATETIME(3) NOT NULL, calledAt DATETIME(3), endedAt DATETIME(3) NOT NULL,
    answered TINYINT(1) NOT NULL, answerBy DATE NOT NULL, KEY bySource (sourceId, askedAt), KEY byMoment (askedAt))`,
]
