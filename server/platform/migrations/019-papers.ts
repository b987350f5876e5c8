/** Papers that stand in for a final one: by when that is owed, and when its candidate was reminded of it. The order of claims. */
export const up = [
  'ALTER TABLE documents ADD COLUMN finalBy DATE, ADD COLUMN finalRemindedAt DATETIME(3), ADD COLUMN finalMissedAt DATETIME(3)',
  'ALTER TABLE documents ADD KEY byFinal (finalBy)',
  // The bytes of one that was discarded are gone.
  'ALTER TABLE documents MODIFY sha256 CHAR(64) NULL',
  // What nobody has put in order stands behind what somebody has, as it was given.
  'ALTER TABLE claims ADD COLUMN place INT NOT NULL DEFAULT 10000',
]
