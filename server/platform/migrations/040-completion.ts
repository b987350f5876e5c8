/** The time to finish an application: its rule, and how far each application is with it. */
export const up = [
  'ALTER TABLE rules_versions ADD COLUMN IF NOT EXISTS completeWithin JSON',
  `ALTER TABLE applications
    ADD COLUMN IF NOT EXISTS completeFrom DATE, ADD COLUMN IF NOT EXISTS extendedAt DATETIME(3),
    ADD COLUMN IF NOT EXISTS completeReminded INT, ADD COLUMN IF NOT EXISTS setAsideAt DATETIME(3)`,
]
