const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'

/** Days closed against the provider's report, each as it was found last. */
export const up = [
  `CREATE TABLE IF NOT EXISTS fee_closings (
    day DATE NOT NULL PRIMARY KEY, state VARCHAR(10) ${ascii} NOT NULL, card JSON NOT NULL, agreed INT NOT NULL,
    differences JSON NOT NULL, closedAt DATETIME(3) NOT NULL, reason TEXT, settledBy VARCHAR(255), KEY byState (state, day))`,
]
