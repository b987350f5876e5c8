import { manyAtOnce } from './atOnce'
import { manyDecisions } from './decisions'
import { deskOf } from './desk'
import { dryRunOverMany } from './dryRun'
import { manyEnquiries } from './enquiries'
import { evaluateOnce } from './evaluate'
import { manyForecasts } from './forecasts'
import { picturesOfPapers } from './pictures'
import { portalIn } from './portal'
import { readingOfPapers } from './reading'
import type { Result } from './result'
import { searchInMany } from './sources'

/**
 * `npm run bench`: how long the heavy computations take on this machine. `npm run bench -- portal [address]`: the
 * candidate's side in a browser, against a demo that is running. `npm run bench -- desk [1000,10000,100000]`: the desk on ever larger
 * crowds, in a database of its own. `npm run bench -- at-once`: 500 people who write and send within two minutes.
 * `npm run bench -- sources [50000]`: searching a directory of so many sources. `npm run
 * bench -- enquiries`: a million enquiries, their queue and a night with a hundred thousand that are due.
 * `npm run bench -- reading`: what a machine reads on the demo's papers and on worse copies of them; `pictures`: how far pictures of one paper
 * and of others are apart; `decisions`: 2,000 claims in a day by four people, two at once on each; `forecasts`: the likely
 * dates of 5,000 files, and what people wait for meanwhile. Benchmarks, not tests: they only print.
 */
// As it runs for people: without the checking of its own replies.
process.env.NODE_ENV ??= 'production'
const [what, given] = process.argv.slice(2)
const benches: Record<string, () => Promise<Result[]>> = {
  portal: () => portalIn(given ?? 'http://127.0.0.1:4100'),
  desk: () => deskOf((given ?? '1000,10000,100000').split(',').map(Number)),
  'at-once': manyAtOnce,
  sources: () => searchInMany(Number(given ?? 50_000)),
  enquiries: manyEnquiries,
  reading: () => readingOfPapers(given),
  pictures: picturesOfPapers,
  decisions: manyDecisions,
  forecasts: manyForecasts,
}
const bench = what === undefined ? undefined : benches[what]
const results = bench ? await bench() : [...evaluateOnce(), ...(await dryRunOverMany(10_000))]
console.table(Object.fromEntries(results.map(({ what: name, ...numbers }) => [name, numbers])))
process.exit(0)
