import { readSetting, writeSetting } from '../platform/database/settings'

type LastBackup = { at: string; bytes: number; rows: number }

export const rememberBackup = (backup: LastBackup) => writeSetting('last-backup', backup)

/** The backup that was written last, as far as this database knows. */
export const lastBackup = () => readSetting<LastBackup>('last-backup')
