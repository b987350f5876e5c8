/** Live portraits: taken by the device, what it says of both faces, and what a person found. */
export const up = [
  `ALTER TABLE documents ADD COLUMN IF NOT EXISTS live TINYINT(1) NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS likeness INT, ADD COLUMN IF NOT EXISTS holder VARCHAR(10)`,
]
