import { createWriteStream, readFileSync } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { parseArgs } from 'node:util'
import { stringify } from 'csv-stringify'
import { verifyTrail } from './audit/verify'
import { fingerprint, readFingerprint } from './platform/audit/fingerprint'
import { readConfig } from './platform/config'
import { prepare } from './start'

/**
 * `npm run verify-trail [-- candidate]`: follows the audit trail's chains in DATABASE_URL; ends with 1 where one is broken.
 * With `--keep fingerprint.csv` it writes down where they end, if none is, to be kept where the database cannot be reached from; with
 * `--since fingerprint.csv` it also finds what was written anew since.
 */
const { values, positionals } = parseArgs({
  options: { keep: { type: 'string' }, since: { type: 'string' } },
  allowPositionals: true,
})
const { sequelize } = await prepare(readConfig({ ...process.env, LOG_LEVEL: 'warn' }))
const kept = values.since === undefined ? undefined : readFingerprint(readFileSync(values.since))
const { chains, links, erased, broken } = await verifyTrail({ chain: positionals[0], kept })
console.log(`${links} links in ${chains} chains followed; the words of ${erased} were erased.`)
if (kept) console.log(`${kept.size} chains compared with where they ended when ${values.since} was kept.`)
for (const { chain, seq, fault, at, what } of broken)
  console.log(`BROKEN in ${chain}, link ${seq}: ${fault}${at ? `, ${at}` : ''}${what ? `, “${what}”` : ''}`)
console.log(broken.length === 0 ? 'Nothing was changed since it was recorded.' : `${broken.length} chains are broken.`)
if (values.keep !== undefined && broken.length === 0)
  await pipeline(Readable.from(fingerprint()), stringify({ header: true }), createWriteStream(values.keep))
await sequelize.close()
process.exit(broken.length === 0 ? 0 : 1)
