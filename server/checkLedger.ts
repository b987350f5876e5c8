import { checkLedger } from './fees/ledger'
import { readConfig } from './platform/config'
import { prepare } from './start'

/** `npm run check-ledger`: adds up every posting in DATABASE_URL; ends with 1 where something does not come to nothing, or differs. */
const fixed = await prepare(readConfig({ ...process.env, LOG_LEVEL: 'warn' }))
const faults = await checkLedger(fixed)
for (const fault of faults) console.log(JSON.stringify(fault))
console.log(faults.length === 0 ? 'Every posting has its counterpart.' : `${faults.length} faults.`)
await fixed.sequelize.close()
process.exit(faults.length === 0 ? 0 : 1)
