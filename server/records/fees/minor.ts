import { DataTypes, type Model } from 'sequelize'

/** A column of minor units; read as a number, since no amount comes near what a number holds exactly. */
export const minor = (name: string, allowNull = false) => ({
  type: DataTypes.BIGINT,
  allowNull,
  get(this: Model): number | null {
    const value = this.getDataValue(name as never) as unknown
    return value === null || value === undefined ? null : Number(value)
  },
})
