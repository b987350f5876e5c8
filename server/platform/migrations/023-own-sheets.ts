/** Cover sheets that candidates make themselves: how many pages they said, and what came of it. One of a paper waits at a time. */
export const up = [
  `ALTER TABLE cover_sheets ADD COLUMN IF NOT EXISTS candidateId CHAR(36) BINARY, ADD COLUMN IF NOT EXISTS pages INT,
    ADD COLUMN IF NOT EXISTS awaits VARCHAR(120), ADD COLUMN IF NOT EXISTS cameAt DATETIME(3), ADD COLUMN IF NOT EXISTS fault VARCHAR(20),
    ADD UNIQUE KEY IF NOT EXISTS oneAwaited (awaits), ADD KEY IF NOT EXISTS byCandidate (candidateId)`,
]
