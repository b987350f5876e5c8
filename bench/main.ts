import { dryRunOverMany } from './dryRun'
import { evaluateOnce } from './evaluate'

/** `npm run bench`: how long the heavy computations take on this machine. A benchmark, not a test: it only prints. */
const results = [...evaluateOnce(), ...(await dryRunOverMany(10_000))]
console.table(Object.fromEntries(results.map(({ what, ...numbers }) => [what, numbers])))
process.exit(0)
