import { rightsOf } from '#core/rights/rights'
import type { Deps } from '../platform/deps'
import { activeColleagues, decidedRights } from '../records/accounts/staff'
import { problems } from './problems'

/**
 * Has two who take an administrator away at the same moment come one after the other: each writes the same row first, and
 * what the second then counts is what the first has left.
 */
export const holdAdministrators = ({ sequelize }: Pick<Deps, 'sequelize'>) =>
  sequelize.query(
    `INSERT INTO settings (name, value) VALUES ('administrators', '1')
     ON DUPLICATE KEY UPDATE value = CAST(value AS INT) + 1`,
  )

/** Whether somebody who can sign in looks after people and rights. */
export async function hasAdministrator(): Promise<boolean> {
  const [people, table] = [await activeColleagues(), await decidedRights()]
  return people.some(({ roles }) => rightsOf(roles, table).includes('colleagues.keep'))
}

/** Throws where nobody would be left who can sign in and look after people and rights. */
export async function requireAdministrator() {
  if (!(await hasAdministrator())) throw problems.lastAdministrator()
}
