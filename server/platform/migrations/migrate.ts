import type { Sequelize } from 'sequelize'
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
import { chainExisting } from './chainExisting'

type Migration = { name: string; statements: readonly string[]; after?: (sequelize: Sequelize) => Promise<void> }

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
]

/** Brings the database to the newest shape; safe to call from several copies, since each step is recorded. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug({
    migrations: migrations.map(({ name, statements, after }) => ({
      name,
      up: async () => {
        for (const statement of statements) await sequelize.query(statement)
        await after?.(sequelize)
      },
    })),
    context: sequelize,
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
  return (await umzug.up()).map(({ name }) => name)
}
