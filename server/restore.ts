import { parseArgs } from 'node:util'
import { defineModels } from './models'
import { compareWithBackup, readManifest, restore } from './operation/restore'
import { loadConfigFile, readConfig } from './platform/config'
import { connect } from './platform/database/connection'

const help = `DATABASE_URL=… npm run restore -- --from FILE.sql.gz.age --identity KEYFILE
DATABASE_URL=… npm run restore -- --from FILE.sql.gz.age --compare

Puts a backup into the empty database DATABASE_URL names, and compares what came back with what was written: the rows of every
table, the chains of the audit trail, the hash of every document. With --compare it only compares.`

loadConfigFile()
const { values } = parseArgs({
  options: {
    from: { type: 'string' },
    identity: { type: 'string', default: process.env.BACKUP_IDENTITY },
    compare: { type: 'boolean' },
    help: { type: 'boolean' },
  },
})
try {
  const { from: file, identity } = values
  if (values.help || !file || !(identity || values.compare)) {
    console.log(help)
    process.exit(values.help ? 0 : 2)
  }
  const { databaseUrl } = readConfig()
  const sequelize = connect(databaseUrl)
  defineModels(sequelize)
  const manifest =
    identity && !values.compare ? await restore(sequelize, databaseUrl, { file, identity }) : readManifest(file)
  const { tables, rows, links, documents, faults } = await compareWithBackup(sequelize, manifest)
  await sequelize.close()
  console.log(`${rows} rows of ${tables} tables, ${links} links of the audit trail, ${documents} documents compared.`)
  for (const fault of faults) console.log(`DIFFERENT: ${fault}`)
  if (faults.length > 0) process.exitCode = 1
  else console.log('All of it is as it was backed up.')
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
}
