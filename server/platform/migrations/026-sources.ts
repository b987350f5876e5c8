import { QueryTypes, type Sequelize } from 'sequelize'

/** What is known of sources, found by any spelling; merges that can be undone; what candidates propose. */
export const up = [
  `ALTER TABLE sources ADD COLUMN IF NOT EXISTS known JSON, ADD COLUMN IF NOT EXISTS origin VARCHAR(12) NOT NULL DEFAULT 'desk',
    ADD COLUMN IF NOT EXISTS proposalKey VARCHAR(255), ADD COLUMN IF NOT EXISTS mergedIntoId CHAR(36) BINARY,
    ADD COLUMN IF NOT EXISTS retiredBecause TEXT, ADD COLUMN IF NOT EXISTS spelled TINYINT(1) NOT NULL DEFAULT 0, ADD COLUMN IF NOT EXISTS state VARCHAR(12) NOT NULL DEFAULT 'to check',
    ADD UNIQUE KEY IF NOT EXISTS oneProposal (proposalKey), ADD KEY IF NOT EXISTS byName (name, id), ADD KEY IF NOT EXISTS spelled (spelled), ADD KEY IF NOT EXISTS byState (state, name, id)`,
  `CREATE TABLE source_words (
    word VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, sourceId CHAR(36) BINARY NOT NULL, kind VARCHAR(30) NOT NULL,
    country CHAR(2) NOT NULL, offered TINYINT(1) NOT NULL, PRIMARY KEY (word, sourceId), KEY filtered (word, offered, kind, country, sourceId), KEY (sourceId))`,
  `CREATE TABLE source_vocabulary (word VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY, sources INT NOT NULL)`,
  `CREATE TABLE source_slips (
    slip VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, word VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, PRIMARY KEY (slip, word))`,
  `CREATE TABLE source_domains (
    domainKey VARCHAR(100) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, domain VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    sourceId CHAR(36) BINARY NOT NULL, PRIMARY KEY (domainKey, domain, sourceId), KEY (sourceId))`,
  `CREATE TABLE source_versions (
    sourceId CHAR(36) BINARY NOT NULL, version INT NOT NULL, source JSON NOT NULL, changedBy VARCHAR(255) NOT NULL,
    changedAt DATETIME(3) NOT NULL, PRIMARY KEY (sourceId, version), FOREIGN KEY (sourceId) REFERENCES sources (id))`,
  `CREATE TABLE source_pairs (
    oneId CHAR(36) BINARY NOT NULL, otherId CHAR(36) BINARY NOT NULL, score DOUBLE NOT NULL, reasons JSON NOT NULL,
    state VARCHAR(10) NOT NULL, decidedBy VARCHAR(255), decidedAt DATETIME(3), PRIMARY KEY (oneId, otherId), KEY (otherId), KEY (state, score))`,
  `CREATE TABLE source_merges (
    id CHAR(36) BINARY PRIMARY KEY, keptId CHAR(36) BINARY NOT NULL, goneId CHAR(36) BINARY NOT NULL, goneOpen CHAR(36) BINARY,
    keptBefore JSON NOT NULL, merged JSON NOT NULL, goneBefore JSON NOT NULL, mergedBy VARCHAR(255) NOT NULL, mergedAt DATETIME(3) NOT NULL,
    undoneBy VARCHAR(255), undoneAt DATETIME(3), UNIQUE KEY (goneOpen), KEY (keptId, mergedAt))`,
  `CREATE TABLE source_merge_moves (
    mergeId CHAR(36) BINARY NOT NULL, kind VARCHAR(10) NOT NULL, rowId CHAR(36) BINARY NOT NULL, PRIMARY KEY (mergeId, kind, rowId))`,
  'ALTER TABLE claims ADD COLUMN IF NOT EXISTS proposedSourceId CHAR(36) BINARY, ADD KEY IF NOT EXISTS byProposed (proposedSourceId)',
]

type Before = {
  id: string
  name: string
  kind: string
  country: string
  mail: string
  aliases: string[]
  accreditedFields: string[]
  programmes: { field: string }[]
  enteredBy: string
  enteredById: string | null
  checkedBy: string | null
  checkedAt: Date | null
}

/** One address, other names and accredited fields become contacts, names and accreditations; then their columns go. */
export async function known(sequelize: Sequelize) {
  const [column] = await sequelize.query("SHOW COLUMNS FROM sources LIKE 'aliases'", { type: QueryTypes.SELECT })
  if (column) {
    const rows = await sequelize.query<Before>('SELECT * FROM sources WHERE known IS NULL', { type: QueryTypes.SELECT })
    for (const row of rows) {
      const list = <T>(value: unknown): T[] => (typeof value === 'string' ? JSON.parse(value) : (value ?? [])) as T[]
      const accredited = list<string>(row.accreditedFields)
      const programmes = list<{ field: string }>(row.programmes).map((programme) => ({
        ...programme,
        ...(accredited.includes(programme.field)
          ? { accreditations: [{ by: '', basis: 'accredited', from: 1900, to: null }] }
          : {}),
      }))
      const contact = {
        ...{ id: row.id, purposes: [], name: '', mail: row.mail, phone: '', address: '' },
        ...{ enteredBy: row.enteredBy, enteredById: row.enteredById },
        checked: row.checkedAt
          ? { how: null, by: row.checkedBy ?? '', at: new Date(row.checkedAt).toISOString() }
          : null,
      }
      const more = {
        names: list<string>(row.aliases).map((name) => ({ name, use: 'other' })),
        ...{ region: '', existedFrom: null, existedTo: null, successors: [], contacts: [contact], channels: ['link'] },
        ...{ closures: [], conditions: [], cost: null, numberFormats: [], notes: '' },
      }
      await sequelize.query('UPDATE sources SET known = :known, programmes = :programmes WHERE id = :id', {
        replacements: { id: row.id, known: JSON.stringify(more), programmes: JSON.stringify(programmes) },
      })
    }
    await sequelize.query(
      `ALTER TABLE sources DROP COLUMN IF EXISTS aliases, DROP COLUMN IF EXISTS searchText, DROP COLUMN IF EXISTS mail, DROP COLUMN IF EXISTS accreditedFields`,
    )
  }
}
