import { verifyTrail } from '#server/audit/verify'
import { readConfig } from '#server/config'
import { prepare } from '#server/start'

/** `npm run verify-trail [-- candidate]`: follows the audit trail's chains in DATABASE_URL; ends with 1 where one is broken. */
const { sequelize } = await prepare(readConfig({ ...process.env, LOG_LEVEL: 'warn' }))
const { chains, links, erased, broken } = await verifyTrail(process.argv[2])
console.log(`${links} links in ${chains} chains followed; the words of ${erased} were erased.`)
for (const { chain, seq, fault, at, what } of broken)
  console.log(`BROKEN in ${chain}, link ${seq}: ${fault}${at ? `, ${at}` : ''}${what ? `, “${what}”` : ''}`)
console.log(broken.length === 0 ? 'Nothing was changed since it was recorded.' : `${broken.length} chains are broken.`)
await sequelize.close()
process.exit(broken.length === 0 ? 0 : 1)
