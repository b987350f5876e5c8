import { type InferAttributes, type InferCreationAttributes, Model, Op, type Sequelize } from 'sequelize'
import { define, id, json, moment, uuid } from '../../platform/database/columns'

/** What somebody has begun to type about a document or a claim, and not finished. */
export class Unfinished extends Model<InferAttributes<Unfinished>, InferCreationAttributes<Unfinished>> {
  declare accountId: string
  declare about: string
  declare value: Record<string, string>
  declare savedAt: Date
}

export const defineUnfinished = (sequelize: Sequelize) =>
  define(Unfinished, sequelize, 'unfinished', {
    accountId: id,
    about: { ...uuid, primaryKey: true },
    value: json,
    savedAt: moment,
  })

const keptDays = 30

/** What was begun so long ago is not taken up again. */
export const forgetUnfinished = () =>
  Unfinished.destroy({ where: { savedAt: { [Op.lt]: new Date(Date.now() - keptDays * 86_400_000) } } })
