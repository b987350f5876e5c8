import { recordEvent } from './platform/audit/record'
import { depsNow } from './platform/clock'
import { readConfig } from './platform/config'
import { rotateSigningKey } from './reports/signing'
import { prepare } from './start'

/** `npm run rotate-signing-key`: reports are signed with a new key from here on; those that were signed before still verify. */
const fixed = await prepare(readConfig({ ...process.env, LOG_LEVEL: 'warn' }))
const { kid } = await rotateSigningKey(fixed)
await recordEvent(await depsNow(fixed), { kind: 'system' }, { code: 'signing-key-changed', values: { key: kid } })
console.log(`Signs with ${kid} from here on.`)
await fixed.sequelize.close()
