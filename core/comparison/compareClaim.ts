import { compareAmounts } from './amounts'
import { compareDates } from './dates'
import { compareNames, type KnownName } from './names'
import { compareNumbers } from './numbers'
import { type FieldVerdict, gravest, type Reason, type Verdict, verdictOf } from './verdict'
import { type Weighing, weigh } from './weigh'
import { compareWords } from './words'

export type FieldKind = 'name' | 'number' | 'date' | 'words' | 'amount'

export const fieldKeys = [
  'name',
  'born',
  'title',
  'number',
  'issued',
  'through',
  'amount',
  'award',
  'subject',
  'second',
  'awarded',
  'position',
  'from',
  'to',
] as const
export type FieldKey = (typeof fieldKeys)[number]
/** One thing that is compared. A field that matters has to agree for the claim to be confirmed. */
export type Field = {
  key: FieldKey
  kind: FieldKind
  matters: boolean
  /** How much it says of whether it is the same thing, in points; 1 where it says little. */
  weight?: number
  /** Only of what is claimed. */
  ifClaimed?: true
}

/** What one side says: text by field key. `'cannot say'` is an answer of its own. */
export type Statement = Readonly<Record<string, string | { cannotSay: true } | undefined>>

export type FieldFinding = {
  key: FieldKey
  matters: boolean
  claimed: string
  document?: string
  source?: string
  sourceCannotSay: boolean
  /** Document against claim, and source against claim. */
  byDocument: FieldVerdict
  bySource: FieldVerdict
  /** The graver of the two. */
  verdict: Verdict
}

export type ClaimComparison = {
  fields: FieldFinding[]
  /**
   * `agrees`: every field that matters is same or equivalent at the source, and no other is different. `look`: something
   * is close or not stated, or a field that does not decide is different.
   * `contradicts`: a field that matters is different. `no reply`: the source has said nothing yet.
   */
  outcome: 'agrees' | 'look' | 'contradicts' | 'no reply'
  /** What the difference most likely is, gravest first. */
  explanations: { key: FieldKey; side: 'document' | 'source'; verdict: Verdict; reasons: Reason[] }[]
  /** The working of the proposal; absent in what was kept before there was one. */
  weighing?: Weighing<FieldKey>
}

const comparers: Record<FieldKind, (ours: string, theirs: string, known: readonly KnownName[]) => FieldVerdict> = {
  name: compareNames,
  number: compareNumbers,
  date: compareDates,
  words: compareWords,
  amount: compareAmounts,
}

/**
 * Compares claim, document and reply field by field.
 *
 * @param known other names of the person with the papers that evidence them
 * @param reply what the source said; absent before it has
 */
export function compareClaim(
  fields: readonly Field[],
  claimed: Statement,
  document: Statement | undefined,
  reply: Statement | undefined,
  known: readonly KnownName[] = [],
): ClaimComparison {
  const findings = fields.map((field): FieldFinding => {
    const ours = textOf(claimed[field.key]) ?? ''
    const onDocument = textOf(document?.[field.key])
    const fromSource = textOf(reply?.[field.key])
    const against = (theirs: string | undefined) =>
      theirs === undefined ? verdictOf('not stated') : comparers[field.kind](ours, theirs, known)
    const byDocument = against(onDocument)
    const bySource = against(fromSource)
    return {
      key: field.key,
      matters: field.matters,
      claimed: ours,
      document: onDocument,
      source: fromSource,
      sourceCannotSay: typeof reply?.[field.key] === 'object',
      byDocument,
      bySource,
      verdict: gravest([byDocument.verdict, bySource.verdict]),
    }
  })
  return {
    fields: findings,
    outcome: outcomeOf(findings, reply),
    explanations: explanationsOf(findings),
    weighing: weigh(fields, findings, reply !== undefined),
  }
}

function outcomeOf(findings: readonly FieldFinding[], reply: Statement | undefined): ClaimComparison['outcome'] {
  const mattering = findings.filter(({ matters, claimed }) => matters && claimed !== '')
  if (mattering.some(({ byDocument, bySource }) => gravest([byDocument.verdict, bySource.verdict]) === 'different'))
    return 'contradicts'
  if (!reply) return 'no reply'
  const agreed = mattering.every(({ bySource }) => bySource.verdict === 'same' || bySource.verdict === 'equivalent')
  const documentsFine = mattering.every(({ byDocument }) => byDocument.verdict !== 'close')
  const nothingDiffers = findings.every(({ verdict }) => verdict !== 'different')
  return agreed && documentsFine && nothingDiffers ? 'agrees' : 'look'
}

function explanationsOf(findings: readonly FieldFinding[]): ClaimComparison['explanations'] {
  const sides = findings.flatMap(({ key, byDocument, bySource }) => [
    { key, side: 'source' as const, ...bySource },
    { key, side: 'document' as const, ...byDocument },
  ])
  const weight = { different: 0, close: 1, equivalent: 2, same: 3, 'not stated': 4 }
  return sides
    .filter(({ verdict }) => verdict === 'different' || verdict === 'close' || verdict === 'equivalent')
    .sort((a, b) => weight[a.verdict] - weight[b.verdict])
    .map(({ key, side, verdict, reasons }) => ({ key, side, verdict, reasons }))
}

const textOf = (value: Statement[string]) => (typeof value === 'string' && value.trim() !== '' ? value : undefined)
