import { DataTypes, Model, type Sequelize, UniqueConstraintError } from 'sequelize'
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

export type VersionedSetting = 'organisation' | 'permission text' | 'rights' | 'policies' | 'catalogue'

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

/** The number of the newest version of a setting; 0 where nobody has decided it yet. */
export const newestVersion = async (name: VersionedSetting): Promise<number> =>
  (await SettingVersion.max<number, SettingVersion>('version', { where: { name } })) ?? 0

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
