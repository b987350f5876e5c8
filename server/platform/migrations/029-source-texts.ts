/** What sources are written in words of the house's own, and whether a candidate wants to be handled faster. */
export const up = [
  `CREATE TABLE IF NOT EXISTS source_texts (
    name VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, language CHAR(2) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    subject VARCHAR(200) NOT NULL, text TEXT NOT NULL, version INT NOT NULL, savedBy VARCHAR(250) NOT NULL, savedAt DATETIME(3) NOT NULL,
    PRIMARY KEY (name, language))`,
  'ALTER TABLE claims ADD COLUMN IF NOT EXISTS wantsFaster BOOLEAN NOT NULL DEFAULT FALSE',
]
