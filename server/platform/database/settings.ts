import { DataTypes, Model, type Sequelize } from 'sequelize'
import { define, json } from './columns'

class Setting extends Model {
  declare name: string
  declare value: unknown
}

export const defineSettings = (sequelize: Sequelize) =>
  define(Setting, sequelize, 'settings', { name: { type: DataTypes.STRING(60), primaryKey: true }, value: json })

export async function readSetting<T>(name: string): Promise<T | undefined> {
  return (await Setting.findByPk(name))?.value as T | undefined
}

export async function writeSetting(name: string, value: unknown) {
  await Setting.upsert({ name, value })
}
