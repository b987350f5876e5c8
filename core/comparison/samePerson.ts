import { compareDates } from './dates'
import { type KnownPerson, phoneKey, plainNumber } from './keys'
import { compareNames } from './names'
import { compareNumbers } from './numbers'
import { type FieldVerdict, type Reason, type Verdict, verdictOf } from './verdict'

export const comparedFields = ['name', 'birth date', 'phone', 'identity number', 'paper number', 'mail'] as const

export type Agreement = {
  field: (typeof comparedFields)[number]
  verdict: Verdict
  reasons: Reason[]
  ours: string
  theirs: string
}

export type Likeness = {
  /** Evidence for one person over two, in tenths of a bit; additive. */
  weight: number
  likelihood: 'certain' | 'likely' | 'possible' | 'unlike'
  agreements: Agreement[]
}

/**
 * What each outcome of a field says for one person over two, in tenths of a bit (Fellegi & Sunter 1969, "A Theory for
 * Record Linkage": log2 of how often it comes about for one person, over how often for two). Estimated, not fitted: two
 * people share a full name about once in 4,000, a birth date once in 20,000, a number of a paper hardly ever; one person
 * gives another birth date by a slip about once in a hundred.
 */
const weights: Record<Agreement['field'], Partial<Record<Verdict, number>>> = {
  name: { same: 120, equivalent: 115, close: 60, different: -50 },
  'birth date': { same: 140, equivalent: 140, close: 50, different: -70 },
  phone: { same: 110, different: -10 },
  'identity number': { same: 260, equivalent: 260, close: 110 },
  'paper number': { same: 170, equivalent: 170, close: 40 },
  mail: { same: 200 },
}
const certainFrom = 240
const likelyFrom = 150
const possibleFrom = 90

/**
 * Whether two files may be of one person, field by field, with reasons. Fields that either does not state say nothing.
 */
export function compareFiles(ours: KnownPerson, theirs: KnownPerson): Likeness {
  const agreements = [
    nameAgreement(ours, theirs),
    bornAgreement(ours, theirs),
    phoneAgreement(ours, theirs),
    numberAgreement('identity number', ours.identityNumbers, theirs.identityNumbers),
    numberAgreement('paper number', ours.otherNumbers, theirs.otherNumbers),
    mailAgreement(ours, theirs),
  ].filter((agreement) => agreement !== undefined)
  const weight = agreements.reduce((sum, { field, verdict }) => sum + (weights[field][verdict] ?? 0), 0)
  const byWeight =
    weight >= certainFrom ? 'certain' : weight >= likelyFrom ? 'likely' : weight >= possibleFrom ? 'possible' : 'unlike'
  const most = mostLikely(agreements)
  return { weight, likelihood: ranks[Math.min(ranks.indexOf(byWeight), ranks.indexOf(most))]!, agreements }
}

const ranks = ['unlike', 'possible', 'likely', 'certain'] as const

/**
 * How sure one can be at most. Twins share a birth date, a telephone and a family name, and often a mail address and
 * given names that are close: what a household shares adds up to nothing where the names differ. Only a number of a paper
 * of identity belongs to one person alone.
 */
function mostLikely(agreements: readonly Agreement[]): Likeness['likelihood'] {
  const of = (field: Agreement['field']) => agreements.find((agreement) => agreement.field === field)
  const identity = of('identity number')?.verdict
  if (identity === 'same' || identity === 'equivalent') return 'certain'
  const name = of('name')
  if (name?.verdict === 'different') return 'possible'
  const otherSpelling = name?.verdict === 'close' && name.reasons.some(({ code }) => otherSpellings.includes(code))
  return otherSpelling ? 'likely' : 'certain'
}

const otherSpellings: readonly Reason['code'][] = ['spelling', 'variant', 'nickname']

const order: Verdict[] = ['same', 'equivalent', 'close', 'different', 'not stated']

/** The best any of ours and any of theirs come to. */
function best(
  field: Agreement['field'],
  ours: readonly string[],
  theirs: readonly string[],
  compare: (a: string, b: string) => FieldVerdict,
): Agreement | undefined {
  const found = ours
    .flatMap((a) => theirs.map((b) => ({ ...compare(a, b), ours: a, theirs: b })))
    .sort((a, b) => order.indexOf(a.verdict) - order.indexOf(b.verdict))[0]
  if (!found || found.verdict === 'not stated') return undefined
  return { field, verdict: found.verdict, reasons: found.reasons, ours: found.ours, theirs: found.theirs }
}

const nameAgreement = (ours: KnownPerson, theirs: KnownPerson) =>
  best('name', ours.names, theirs.names, (a, b) => compareNames(a, b))

const bornAgreement = ({ born }: KnownPerson, theirs: KnownPerson) =>
  best('birth date', born ? [born] : [], theirs.born ? [theirs.born] : [], closerDates)

/** Of two full birth dates, one differing digit or a swap of day and month is a slip, all else another day. */
function closerDates(a: string, b: string): FieldVerdict {
  const compared = compareDates(a, b)
  if (compared.verdict !== 'different') return compared
  const differing = [...a].filter((character, index) => character !== b[index]).length
  return a.length === b.length && differing === 1
    ? verdictOf('close', [{ code: 'spelling', ours: a, theirs: b }])
    : compared
}

function phoneAgreement({ phone }: KnownPerson, theirs: KnownPerson) {
  const equal = (a: string, b: string) => verdictOf(phoneKey(a) === phoneKey(b) ? 'same' : 'different')
  return best('phone', phone ? [phone] : [], theirs.phone ? [theirs.phone] : [], equal)
}

/** Different numbers say nothing: people hold more than one paper. */
function numberAgreement(
  field: 'identity number' | 'paper number',
  ours: readonly string[],
  theirs: readonly string[],
) {
  const found = best(field, ours, theirs, (a, b) => compareNumbers(plainNumber(a), plainNumber(b)))
  return found?.verdict === 'different' ? undefined : found
}

function mailAgreement(ours: KnownPerson, theirs: KnownPerson) {
  const found = best('mail', ours.mails, theirs.mails, (a, b) =>
    verdictOf(a.trim().toLowerCase() === b.trim().toLowerCase() ? 'same' : 'different'),
  )
  return found?.verdict === 'different' ? undefined : found
}
