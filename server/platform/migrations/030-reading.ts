/** What a machine read on papers, by their bytes, and what of it stands behind what was seen. */
export const up = [
  `CREATE TABLE IF NOT EXISTS paper_readings (
    sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY, state VARCHAR(20) NOT NULL,
    text JSON, readAt DATETIME(3) NOT NULL)`,
  "ALTER TABLE documents ADD COLUMN IF NOT EXISTS readBy JSON NOT NULL DEFAULT '{}'",
  'ALTER TABLE documents ADD COLUMN IF NOT EXISTS letter JSON',
  'ALTER TABLE documents ADD COLUMN IF NOT EXISTS lacks JSON',
]
