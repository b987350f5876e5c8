import { randomUUID } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { beginSeries } from '../database/counter'
import { up as first } from './001-first'
import { up as rules } from './002-rules'
import { up as accounts } from './003-accounts'
import { up as permissions } from './004-permissions'
import { up as applying } from './005-applying'
import { up as people } from './006-people'
import { up as desk } from './007-desk'
import { up as standingAndDoors } from './008-standing-and-doors'
import { up as names } from './009-names'
import { up as words } from './010-words'
import { up as channels } from './011-channels'
import { up as onceADay } from './012-once-a-day'
import { up as organisationAndPeople } from './013-organisation-and-people'
import { up as identityProvider } from './014-identity-provider'
import { up as catalogue } from './015-catalogue'
import { up as conversations } from './016-conversations'
import { up as notices } from './017-notices'
import { up as decisionDay } from './018-decision-day'
import { up as papers } from './019-papers'
import { up as matters } from './020-matters'
import { up as originals } from './021-originals'
import { up as heard } from './022-heard'
import { up as ownSheets } from './023-own-sheets'
import { up as portraits } from './024-portraits'
import { up as wordFiles } from './025-word-files'
import { known as knownSources, up as sources } from './026-sources'
import { up as askedFirst } from './027-asked-first'
import { up as enquiries, number as numberEnquiries } from './028-enquiries'
import { up as sourceTexts } from './029-source-texts'
import { up as reading } from './030-reading'
import { up as decisions } from './031-decisions'
import { up as unfinished } from './032-unfinished'
import { up as redFlags } from './033-red-flags'
import { up as reports } from './034-reports'
import { up as forecasts } from './035-forecasts'
import { up as recipients } from './036-recipients'
import { up as fees, fromAmounts } from './037-fees'
import { up as employers } from './038-employers'
import { up as closings } from './039-closings'
import { up as completion } from './040-completion'
import { chainExisting } from './chainExisting'

export type Migration = {
  name: string
  statements: readonly string[]
  /** What cannot be said in SQL. Fit to be run again: where it stops in the middle, it is. */
  after?: (sequelize: Sequelize) => Promise<void>
}

const migrations: Migration[] = [
  { name: '001-first', statements: first },
  { name: '002-rules', statements: rules },
  { name: '003-accounts', statements: accounts },
  { name: '004-permissions', statements: permissions },
  { name: '005-applying', statements: applying },
  { name: '006-people', statements: people },
  {
    name: '007-desk',
    statements: desk,
    after: async (sequelize) => {
      await chainExisting(sequelize)
      await beginSeries(sequelize)
    },
  },
  { name: '008-standing-and-doors', statements: standingAndDoors },
  { name: '009-names', statements: names },
  { name: '010-words', statements: words },
  { name: '011-channels', statements: channels },
  { name: '012-once-a-day', statements: onceADay },
  { name: '013-organisation-and-people', statements: organisationAndPeople },
  { name: '014-identity-provider', statements: identityProvider },
  { name: '015-catalogue', statements: catalogue },
  { name: '016-conversations', statements: conversations },
  { name: '017-notices', statements: notices },
  { name: '018-decision-day', statements: decisionDay },
  { name: '019-papers', statements: papers },
  { name: '020-matters', statements: matters },
  { name: '021-originals', statements: originals },
  { name: '022-heard', statements: heard },
  { name: '023-own-sheets', statements: ownSheets },
  { name: '024-portraits', statements: portraits },
  { name: '025-word-files', statements: wordFiles },
  { name: '026-sources', statements: sources, after: knownSources },
  { name: '027-asked-first', statements: askedFirst },
  { name: '028-enquiries', statements: enquiries, after: numberEnquiries },
  { name: '029-source-texts', statements: sourceTexts },
  { name: '030-reading', statements: reading },
  { name: '031-decisions', statements: decisions },
  { name: '032-unfinished', statements: unfinished },
  { name: '033-red-flags', statements: redFlags },
  { name: '034-reports', statements: reports },
  { name: '035-forecasts', statements: forecasts },
  { name: '036-recipients', statements: recipients },
  { name: '037-fees', statements: fees, after: fromAmounts },
  { name: '038-employers', statements: employers },
  { name: '039-closings', statements: closings },
  { name: '040-completion', statements: completion },
]

/** The last step this program knows of. */
export const newestMigration = migrations.at(-1)!.name

/**
 * Brings the database to the newest shape, and gives the names of what was done. Several copies may start at once: one of
 * them migrates, the others wait. Statements change tables and cannot be undone together, so each is written down once it
 * is done; what stopped in the middle goes on behind the last of them.
 */
export async function migrate(sequelize: Sequelize, steps: readonly Migration[] = migrations): Promise<string[]> {
  const umzug = new Umzug({
    migrations: steps.map((migration) => ({ name: migration.name, up: () => run(sequelize, migration) })),
    context: sequelize,
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
  return withLease(sequelize, async () => (await umzug.up()).map(({ name }) => name))
}

async function run(sequelize: Sequelize, { name, statements, after }: Migration) {
  const [row] = await sequelize.query<{ done: number }>('SELECT done FROM migration_steps WHERE name = :name', {
    replacements: { name },
    type: QueryTypes.SELECT,
  })
  const done = row?.done ?? 0
  for (const [nth, statement] of statements.entries()) {
    if (nth < done) continue
    await sequelize.query(statement).catch((error: { original?: { errno?: number } }) => {
      // Stopped between doing it and writing it down: it is there already.
      if (nth > done || !isThere.has(error.original?.errno ?? 0)) throw error
    })
    await sequelize.query('REPLACE INTO migration_steps (name, done) VALUES (:name, :done)', {
      replacements: { name, done: nth + 1 },
    })
  }
  await after?.(sequelize)
}

/** Table, column, key there already; column, key or table gone already. */
const isThere = new Set([1050, 1060, 1061, 1091, 1051, 1146])

const leaseSeconds = 30
const waitMs = 150

/** Holds the one lease there is while it works; written as a row, since a lock of a session holds on one node only. */
async function withLease<T>(sequelize: Sequelize, work: () => Promise<T>): Promise<T> {
  const holder = randomUUID()
  for (const statement of ownTables) await sequelize.query(statement)
  const take = async (whose: string) => {
    const [, taken] = await sequelize.query(
      `UPDATE migration_lease SET holder = :holder, until = NOW(3) + INTERVAL ${leaseSeconds} SECOND WHERE id = 1 AND ${whose}`,
      { replacements: { holder }, type: QueryTypes.UPDATE },
    )
    return taken === 1
  }
  while (!(await take("(holder = '' OR until < NOW(3))"))) await wait(waitMs)
  const renewing = setInterval(() => void take('holder = :holder').catch(() => undefined), (leaseSeconds * 1000) / 3)
  try {
    return await work()
  } finally {
    clearInterval(renewing)
    await sequelize.query("UPDATE migration_lease SET holder = '' WHERE id = 1 AND holder = :holder", {
      replacements: { holder },
    })
  }
}

const ownTables = [
  `CREATE TABLE IF NOT EXISTS migration_lease (id INT PRIMARY KEY, holder CHAR(36) NOT NULL DEFAULT '', until DATETIME(3) NOT NULL DEFAULT NOW(3))`,
  'INSERT IGNORE INTO migration_lease (id) VALUES (1)',
  'CREATE TABLE IF NOT EXISTS migration_steps (name VARCHAR(120) PRIMARY KEY, done INT NOT NULL)',
]
