import { Temporal } from 'temporal-polyfill'
import { comparePartial, type PartialDate, spanOf, writePartialDate } from '../dates/partialDate'
import type { ClaimOfFlags, FlagFacts } from './facts'
import type { RedFlag } from './redFlag'

/** A source that ended goes on giving out papers of what was begun before, for so long. */
const yearsAfterItsEnd = 1

/**
 * The youngest at which somebody finishes what is of a level (ISCED 2011), with two years to spare against what is usual, since
 * people skip years; and is given a licence or certificate, or holds a job.
 */
const youngestByLevel = [10, 10, 13, 15, 15, 16, 18, 19, 22] as const
const youngestForLicence = 14
const youngestForWork = 13

/** What cannot be as far as its days go, under every reading of them. */
export const oddDates = (facts: FlagFacts): RedFlag[] =>
  facts.claims.flatMap((claim) => [
    ...beyondItsSource(claim),
    ...endsBeforeItStarts(claim),
    ...tooYoung(claim, facts.person.born),
  ])

/** When something was given: at the end of a study, at its issue; a job that is over is attested when it ended. */
const givenOf = ({ kind, given, to }: ClaimOfFlags): PartialDate | undefined => (kind === 'work' ? to : given)

function beyondItsSource(claim: ClaimOfFlags): RedFlag[] {
  const { source } = claim
  const [first, last] = [claim.from ?? givenOf(claim), givenOf(claim)]
  if (!source) return []
  const values = { claim: claim.label, source: source.name }
  const at = { claimId: claim.id }
  const flags: RedFlag[] = []
  // Who studied or worked there before it was founded says the same as who has a paper of before.
  if (source.existedFrom !== null && first && comparePartial(first, year(source.existedFrom)) === 'before') {
    const day = writePartialDate(first)
    flags.push({
      ...{ kind: 'before its source', about: `${claim.id} ${day} ${source.existedFrom}`, at },
      values: { ...values, day: { day }, year: String(source.existedFrom) },
    })
  }
  const end = source.existedTo === null ? undefined : year(source.existedTo + yearsAfterItsEnd)
  if (end && last && comparePartial(last, end) === 'after') {
    const day = writePartialDate(last)
    flags.push({
      ...{ kind: 'after its source', about: `${claim.id} ${day} ${source.existedTo}`, at },
      values: { ...values, day: { day }, year: String(source.existedTo) },
    })
  }
  return flags
}

const year = (number: number): PartialDate => ({ year: number, about: false })

function endsBeforeItStarts(claim: ClaimOfFlags): RedFlag[] {
  const { from, to } = claim
  if (!from || !to || comparePartial(to, from) !== 'before') return []
  const [start, end] = [writePartialDate(from), writePartialDate(to)]
  return [
    {
      ...{ kind: 'end before start', about: `${claim.id} ${start} ${end}`, at: { claimId: claim.id } },
      values: { claim: claim.label, start: { day: start }, end: { day: end } },
    },
  ]
}

function tooYoung(claim: ClaimOfFlags, born: string | null): RedFlag[] {
  const youngest = youngestOf(claim)
  const date = claim.kind === 'work' ? claim.from : givenOf(claim)
  if (!born || youngest === undefined || !date) return []
  // The latest day it can have been: nobody is younger than that.
  const reached = Temporal.PlainDate.from(born).add({ years: youngest })
  if (Temporal.PlainDate.compare(spanOf(date).latest, reached) >= 0) return []
  const day = writePartialDate(date)
  const age = Temporal.PlainDate.from(born).until(spanOf(date).latest, { largestUnit: 'years' }).years
  return [
    {
      ...{ kind: 'too young', about: `${claim.id} ${day} ${born}`, at: { claimId: claim.id } },
      values: { claim: claim.label, day: { day }, age: Math.max(0, age), youngest },
    },
  ]
}

function youngestOf({ kind, level }: ClaimOfFlags): number | undefined {
  if (kind === 'study') return youngestByLevel[level ?? 0]
  if (kind === 'licence' || kind === 'certificate') return youngestForLicence
  return kind === 'work' ? youngestForWork : undefined
}
