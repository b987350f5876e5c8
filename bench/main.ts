import { manyAtOnce } from './atOnce'
import { deskOf } from './desk'
import { dryRunOverMany } from './dryRun'
import { manyEnquiries } from './enquiries'
import { evaluateOnce } from './evaluate'
import { portalIn } from './portal'
import { readingOfPapers } from './reading'
import { searchInMany } from './sources'

/**
 * `npm run bench`: how long the heavy computations take on this machine. `npm run bench -- portal [address]`: the
 * candidate's side in a browser, against a demo that is running. `npm run bench -- desk [1000,10000,100000]`: the desk on ever larger
 * crowds, in a database of its own. `npm run bench -- at-once`: 500 people who write and send within two minutes.
 * `npm run bench -- sources [50000]`: searching a directory of so many sources. `npm run
 * bench -- enquiries`: a million enquiries, their queue and a night with a hundred thousand that are due.
 * `npm run bench -- reading`: what a machine reads on the demo's papers and on worse copies of them. Benchmarks, not tests: they only print.
 */
// As it runs for people: without the checking of its own replies.
process.env.NODE_ENV ??= 'production'
const [what, given] = process.argv.slice(2)
const results =
  what === 'portal'
    ? await portalIn(given ?? 'http://127.0.0.1:4100')
    : what === 'desk'
      ? await deskOf((given ?? '1000,10000,100000').split(',').map(Number))
      : what === 'at-once'
        ? await manyAtOnce()
        : what === 'sources'
          ? await searchInMany(Number(given ?? 50_000))
          : what === 'enquiries'
            ? await manyEnquiries()
            : what === 'reading'
              ? await readingOfPapers(given)
              : [...evaluateOnce(), ...(await dryRunOverMany(10_000))]
console.table(Object.fromEntries(results.map(({ what: name, ...numbers }) => [name, numbers])))
process.exit(0)
