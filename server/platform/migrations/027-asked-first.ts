/** What a source asks for before it answers: its own forms, and papers that are on their way to us. */
export const up = [
  `CREATE TABLE source_forms (
    sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY, fileName VARCHAR(200) NOT NULL, pages INT NOT NULL, fields JSON NOT NULL,
    uploadedBy VARCHAR(255) NOT NULL, uploadedAt DATETIME(3) NOT NULL)`,
  'ALTER TABLE cover_sheets ADD COLUMN IF NOT EXISTS postedAt DATETIME(3)',
]
