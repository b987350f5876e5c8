import {
  type Attributes,
  DataTypes,
  type Model,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize'

/** The few kinds of column that every model is made of. */
export const id = { type: DataTypes.UUID, primaryKey: true }
export const uuid = { type: DataTypes.UUID, allowNull: false }
export const uuidOrNull = { type: DataTypes.UUID, allowNull: true }
export const text = { type: DataTypes.STRING(255), allowNull: false }
export const textOrNull = { type: DataTypes.STRING(255), allowNull: true }
export const longText = { type: DataTypes.TEXT, allowNull: false }
export const longTextOrNull = { type: DataTypes.TEXT, allowNull: true }
export const whole = { type: DataTypes.INTEGER, allowNull: false }
export const wholeOrNull = { type: DataTypes.INTEGER, allowNull: true }
export const flag = { type: DataTypes.BOOLEAN, allowNull: false }
export const json = { type: DataTypes.JSON, allowNull: false }
export const jsonOrNull = { type: DataTypes.JSON, allowNull: true }
export const moment = { type: DataTypes.DATE(3), allowNull: false }
export const momentOrNull = { type: DataTypes.DATE(3), allowNull: true }
export const day = { type: DataTypes.DATEONLY, allowNull: false }
export const dayOrNull = { type: DataTypes.DATEONLY, allowNull: true }

/** Ties a model to its table. Columns are copied, since Sequelize writes into what it is given. */
export function define<M extends Model>(
  model: ModelStatic<M>,
  sequelize: Sequelize,
  tableName: string,
  columns: ModelAttributes<M, Attributes<M>>,
) {
  const own = Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, { ...(column as object) }]))
  // biome-ignore lint/suspicious/noExplicitAny: the abstract Model has no public init in its type
  return (model as any).init(own, { sequelize, tableName })
}
