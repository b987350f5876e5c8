import { oddAnswers, ownContacts, soldPapers } from './answers'
import { oddDates } from './dates'
import type { FlagFacts } from './facts'
import { jobsAtOnce } from './jobs'
import { oddlyMade } from './making'
import { namesOfOthers } from './names'
import { oddNumbers } from './numbers'
import { sameElsewhere } from './papers'
import { type FlagKind, flagKinds, type RedFlag } from './redFlag'

const looksFor = [
  sameElsewhere,
  oddNumbers,
  namesOfOthers,
  oddlyMade,
  oddDates,
  jobsAtOnce,
  oddAnswers,
  soldPapers,
  ownContacts,
] as const

/**
 * The red flags of a file, each once, in the order of their kinds.
 *
 * @param off kinds that somebody has switched off
 */
export function findFlags(facts: FlagFacts, off: ReadonlySet<FlagKind> = new Set()): RedFlag[] {
  const found = looksFor.flatMap((look) => look(facts)).filter(({ kind }) => !off.has(kind))
  const each = new Map(found.map((flag) => [`${flag.kind} ${flag.about}`, flag]))
  return [...each.values()].sort((a, b) => flagKinds.indexOf(a.kind) - flagKinds.indexOf(b.kind))
}
