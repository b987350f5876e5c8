/** What a machine read on papers, by their bytes, and what of it stands behind what was seen. */
export const up = [
  `CREATE TABLE IF NOT EXISTS paper_readings (
    sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY, state VARCHAR(20) NOT NULL,
    text JSON, making JSON, readAt DATETIME(3) NOT NULL)`,
  // What a page looks like, and the same as four numbers whose bits the database can count.
  `CREATE TABLE IF NOT EXISTS paper_pictures (
    sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, page SMALLINT UNSIGNED NOT NULL,
    bits CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    part0 BIGINT UNSIGNED NOT NULL, part1 BIGINT UNSIGNED NOT NULL, part2 BIGINT UNSIGNED NOT NULL, part3 BIGINT UNSIGNED NOT NULL,
    PRIMARY KEY (sha256, page))`,
  "ALTER TABLE documents ADD COLUMN IF NOT EXISTS readBy JSON NOT NULL DEFAULT '{}'",
  'ALTER TABLE documents ADD COLUMN IF NOT EXISTS letter JSON',
  'ALTER TABLE documents ADD COLUMN IF NOT EXISTS lacks JSON',
]
