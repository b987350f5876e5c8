import { DataTypes, Model, QueryTypes, type Sequelize, UniqueConstraintError } from 'sequelize'
import { changedMeanwhile } from '../errors/problems'
import { define, json, moment, text, uuidOrNull, whole } from './columns'

class Setting extends Model {
  declare name: string
  declare value: unknown
}

/** What somebody decided for the whole organisation; every version of it stays. */
class SettingVersion extends Model {
  declare name: VersionedSetting
  declare version: number
  declare value: unknown
  declare changedBy: string
  declare changedById: string | null
  declare changedAt: Date
}

export type VersionedSetting =
  | 'organisation'
  | 'permission text'
  | 'rights'
  | 'policies'
  | 'catalogue'
  | 'source watchlist'
  | 'red flags'
  | 'bookkeeping'

export function defineSettings(sequelize: Sequelize) {
  const name = { type: DataTypes.STRING(60), primaryKey: true }
  define(Setting, sequelize, 'settings', { name, value: json })
  define(SettingVersion, sequelize, 'setting_versions', {
    name,
    version: { ...whole, primaryKey: true },
    value: json,
    changedBy: text,
    changedById: uuidOrNull,
    changedAt: moment,
  })
}

export async function readSetting<T>(name: string): Promise<T | undefined> {
  return (await Setting.findByPk(name))?.value as T | undefined
}

export async function writeSetting(name: string, value: unknown) {
  await Setting.upsert({ name, value })
}

export const dropSetting = async (name: string) => void (await Setting.destroy({ where: { name } }))

/** The newest version of a setting; version 0 and nothing where nobody has decided it yet. */
export async function readVersioned<T>(name: VersionedSetting): Promise<{ version: number; value: T | undefined }> {
  const row = await SettingVersion.findOne({ where: { name }, order: [['version', 'DESC']] })
  return { version: row?.version ?? 0, value: row?.value as T | undefined }
}

/** The database that settings are read from: what is held of them is of no other. */
export const databaseOfSettings = (): unknown => SettingVersion.sequelize

/** What every request goes by, in one statement: it is asked for more often than anything else. */
export async function readStanding() {
  const rows = await SettingVersion.sequelize!.query<{ name: string; version: number; value: unknown }>(
    `(SELECT name, version, value FROM setting_versions WHERE name = 'organisation' ORDER BY version DESC LIMIT 1)
     UNION ALL SELECT 'catalogue', MAX(version), NULL FROM setting_versions WHERE name = 'catalogue'
     UNION ALL SELECT name, 0, value FROM settings WHERE name = 'demo-days-ahead'`,
    { type: QueryTypes.SELECT },
  )
  const rowOf = (name: string) => rows.find((row) => row.name === name)
  // Not every server says of a column in a union that it is JSON.
  const decided = <T>(name: string): T | undefined => {
    const value = rowOf(name)?.value ?? undefined
    return (typeof value === 'string' ? JSON.parse(value) : value) as T | undefined
  }
  return {
    organisation: decided<object>('organisation'),
    catalogueVersion: rowOf('catalogue')?.version ?? 0,
    daysAhead: decided<number>('demo-days-ahead') ?? 0,
  }
}

/** Every version of a setting, the newest first. */
export const versionsOfSetting = (name: VersionedSetting): Promise<SettingVersion[]> =>
  SettingVersion.findAll({ where: { name }, order: [['version', 'DESC']] })

type By = { id: string | null; name: string; at: Date }

/**
 * Writes the next version of a setting and gives its number. Of two who change the same version one is the first: the key is
 * unique.
 *
 * @param seen the version that was changed
 * @throws Problem `changed-meanwhile` where there is a newer one
 */
export async function writeVersioned(name: VersionedSetting, seen: number, value: unknown, by: By): Promise<number> {
  if ((await readVersioned(name)).version !== seen) throw changedMeanwhile()
  const version = seen + 1
  await SettingVersion.create({
    name,
    version,
    value,
    changedBy: by.name,
    changedById: by.id,
    changedAt: by.at,
  }).catch((error: unknown) => {
    throw error instanceof UniqueConstraintError ? changedMeanwhile() : error
  })
  return version
}
