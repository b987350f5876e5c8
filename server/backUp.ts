import { parseArgs } from 'node:util'
import { backUp, backUpKeys, type LastBackup } from './operation/backUp'
import { loadConfigFile, readConfig } from './platform/config'
import { connect } from './platform/database/connection'
import { defineSettings, writeSetting } from './platform/database/settings'

const help = `npm run backup -- --to FOLDER [--keys-to FOLDER] [--recipient KEY]

Writes the whole database, as it is at this moment, into one encrypted file while the application goes on. With --keys-to it
also writes the installation's own key; keep that elsewhere. KEY is the public key of age (age-keygen); BACKUP_RECIPIENT and
BACKUP_FOLDER stand for both where they are set.`

loadConfigFile()
const { values } = parseArgs({
  options: {
    to: { type: 'string', default: process.env.BACKUP_FOLDER },
    'keys-to': { type: 'string' },
    recipient: { type: 'string', default: process.env.BACKUP_RECIPIENT },
    help: { type: 'boolean' },
  },
})
try {
  const { to, recipient, 'keys-to': keysTo } = values
  if (values.help || !to || !recipient) {
    console.log(help)
    process.exit(values.help ? 0 : 2)
  }
  const config = readConfig()
  const now = new Date()
  const { file, manifest } = await backUp(config, { folder: to, recipient, now })
  const rows = Object.values(manifest.rows).reduce((sum, count) => sum + count, 0)
  console.log(
    `${file}: ${rows} rows of ${Object.keys(manifest.rows).length} tables, ${manifest.bytes} bytes, read back and as written.`,
  )
  const last: LastBackup = { at: now.toISOString(), bytes: manifest.bytes, rows }
  const sequelize = connect(config.databaseUrl, { most: 1 })
  defineSettings(sequelize)
  await writeSetting('last-backup', last)
  await sequelize.close()
  if (keysTo)
    console.log(`${await backUpKeys(config, { folder: keysTo, recipient, now })}: the key of the installation.`)
  else
    console.log(
      'The key of the installation is not in it. Without that key one-time codes have to be set up anew and nobody’s browser is known any more; files and documents are all in the backup. Write it once with --keys-to.',
    )
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
}
