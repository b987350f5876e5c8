import {
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  literal,
  Model,
  Op,
  QueryTypes,
  type Sequelize,
  UniqueConstraintError,
  type WhereOptions,
} from 'sequelize'
import { activeStages } from '#core/hiring/stages'
import { define, moment, text } from '../../platform/database/columns'
import type { Account as Actor, Deps } from '../../platform/deps'
import { Account } from '../accounts/model'

/** Whose a file is: the one person who sees to it. */
export class FileOwner extends Model<InferAttributes<FileOwner>, InferCreationAttributes<FileOwner>> {
  declare applicationId: string
  declare accountId: string
  declare since: Date
}

/** Who wants to have a file among theirs without seeing to it. */
export class FileWatcher extends Model<InferAttributes<FileWatcher>, InferCreationAttributes<FileWatcher>> {
  declare applicationId: string
  declare accountId: string
}

/** Who has a file open, as of when their page last said so. */
export class FileReader extends Model<InferAttributes<FileReader>, InferCreationAttributes<FileReader>> {
  declare applicationId: string
  declare accountId: string
  /** What of it is chosen, such as a claim. */
  declare place: string
  declare seenAt: Date
}

export function defineOwners(sequelize: Sequelize) {
  const key = { type: DataTypes.UUID, primaryKey: true }
  define(FileOwner, sequelize, 'file_owners', {
    applicationId: key,
    accountId: { type: DataTypes.UUID, allowNull: false },
    since: moment,
  })
  define(FileWatcher, sequelize, 'file_watchers', { applicationId: key, accountId: key })
  define(FileReader, sequelize, 'file_readers', { applicationId: key, accountId: key, place: text, seenAt: moment })
}

/** Who a file belongs to, or nobody. */
export async function ownerOf(applicationId: string): Promise<{ id: string; name: string } | null> {
  const owner = await FileOwner.findByPk(applicationId)
  const account = owner && (await Account.findByPk(owner.accountId, { attributes: ['id', 'name'] }))
  return account ? { id: account.id, name: account.name } : null
}

/**
 * Gives a file to somebody, where it still is whose the giver thought; of two who take it at once one is the first.
 *
 * @param from whose it was; `null` where it was nobody’s
 * @param to whose it is; `null` for nobody
 * @returns whether it was done
 */
export async function passFile(
  { clock }: Deps,
  applicationId: string,
  from: string | null,
  to: string | null,
): Promise<boolean> {
  const since = clock.now()
  if (from === null) {
    if (to === null) return true
    return FileOwner.create({ applicationId, accountId: to, since }).then(
      () => true,
      (error: unknown) => {
        if (error instanceof UniqueConstraintError) return false
        throw error
      },
    )
  }
  const where = { applicationId, accountId: from }
  if (to === null) return (await FileOwner.destroy({ where })) === 1
  const [changed] = await FileOwner.update({ accountId: to, since }, { where })
  return changed === 1
}

/** Gives every file of somebody to somebody else. */
export async function handOverFiles({ clock }: Deps, from: string, to: string): Promise<number> {
  const [changed] = await FileOwner.update({ accountId: to, since: clock.now() }, { where: { accountId: from } })
  return changed
}

/** How many files under way are whose. */
export async function countOfFiles(): Promise<Map<string, number>> {
  const rows = await FileOwner.sequelize!.query<{ accountId: string; files: number }>(
    `SELECT o.accountId, COUNT(*) AS files FROM file_owners o JOIN applications a ON a.id = o.applicationId
     WHERE a.stage IN (:stages) GROUP BY o.accountId`,
    { replacements: { stages: activeStages }, type: QueryTypes.SELECT },
  )
  return new Map(rows.map(({ accountId, files }) => [accountId, Number(files)]))
}

/** For whom somebody sees to files today: themselves, and those who are away and named them. */
export async function actsFor({ clock }: Pick<Deps, 'clock'>, actor: Actor): Promise<string[]> {
  const today = clock.today().toString()
  const away = await Account.findAll({
    where: {
      standInId: actor.id,
      awayFrom: { [Op.lte]: today },
      awayThrough: { [Op.gte]: today },
    },
    attributes: ['id'],
  })
  return [actor.id, ...away.map(({ id }) => id)]
}

/**
 * Which rows of a list are somebody's own: theirs and those of whom they stand in for, those they watch, and those that are
 * nobody's yet.
 *
 * @param accountIds as `actsFor` gives them
 */
export function whereMine(accountIds: readonly string[]): WhereOptions {
  const escaped = accountIds.map((id) => FileOwner.sequelize!.escape(id)).join(', ')
  const others = literal(`(SELECT applicationId FROM file_owners WHERE accountId NOT IN (${escaped}))`)
  const watched = literal(
    `(SELECT applicationId FROM file_watchers WHERE accountId = ${FileOwner.sequelize!.escape(accountIds[0]!)})`,
  )
  return {
    [Op.or]: [{ applicationId: { [Op.notIn]: others } }, { applicationId: { [Op.in]: watched } }],
  } as WhereOptions
}
