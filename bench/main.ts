import { dryRunOverMany } from './dryRun'
import { evaluateOnce } from './evaluate'
import { portalIn } from './portal'

/**
 * `npm run bench`: how long the heavy computations take on this machine. `npm run bench -- portal [address]`: the
 * candidate's side in a browser, against a demo that is running. Benchmarks, not tests: they only print.
 */
const [what, address = 'http://127.0.0.1:4100'] = process.argv.slice(2)
const results = what === 'portal' ? await portalIn(address) : [...evaluateOnce(), ...(await dryRunOverMany(10_000))]
console.table(Object.fromEntries(results.map(({ what: name, ...numbers }) => [name, numbers])))
process.exit(0)
