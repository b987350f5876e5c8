import type { Temporal } from 'temporal-polyfill'
import { counted, type FiledPaper, isForSource, type PaperPart } from '../documents/papers'
import type { IssuedClaim, SourceCondition } from './source'

/** How one condition of a source stands for a claim. */
export const conditionStates = [
  'missing',
  'sent back',
  /** Sent by post with its cover sheet, and not here yet. */
  'in the post',
  /** Sent by post so long ago that it will hardly come any more. */
  'not come',
  /** It is here, and nobody has looked at the signature. */
  'to look at',
  'met',
] as const
export type ConditionState = (typeof conditionStates)[number]

/** The paper that fulfils a condition; a number is said and no paper. */
export const paperFor = {
  'own form': 'release form',
  signature: 'signed permission',
  'copy of the paper': 'certificate',
  fee: 'receipt of payment',
  language: 'translation',
  number: undefined,
} as const satisfies Record<SourceCondition['kind'], PaperPart | undefined>

/** What is printed, signed by hand and looked at by a person before anybody is asked. */
export const isSignedByHand = (kind: SourceCondition['kind']): boolean => kind === 'own form' || kind === 'signature'

/** Whether anybody can meet it: a source's own form is asked for once it is here. */
export const isMeetable = ({ kind, form }: SourceCondition): boolean => kind !== 'own form' || form !== undefined

/** The conditions a source sets for a kind of claim; a number is asked for only of what bears one. */
export const conditionsFor = <C extends Pick<SourceCondition, 'kind' | 'claims'>>(
  kind: IssuedClaim,
  conditions: readonly C[],
): C[] =>
  conditions.filter(
    (condition) =>
      (condition.claims.length === 0 || condition.claims.includes(kind)) &&
      (condition.kind !== 'number' || kind !== 'work'),
  )

/** What is looked at of a claim to know whether it meets a condition. */
export type ClaimForSource = {
  number: string
  /** The language its paper is in, ISO 639-1, where that is known. */
  language?: string
  papers: readonly FiledPaper[]
  /** When the candidate says they have posted a paper, by its part. */
  posted: ReadonlyMap<PaperPart, Temporal.PlainDate>
}

/** How long a letter is waited for before it is asked for again, in days. */
export const daysInThePost = 14

/**
 * How a condition stands for a claim on a day. Computed from what is there, never ticked: a number that was given, a paper that was
 * put behind the claim, a letter that is on its way.
 */
export function conditionState(
  { kind, language }: Pick<SourceCondition, 'kind' | 'language'>,
  claim: ClaimForSource,
  today: Temporal.PlainDate,
): ConditionState {
  if (kind === 'number') return claim.number.trim() === '' ? 'missing' : 'met'
  if (kind === 'language' && (!language || !claim.language || claim.language === language)) return 'met'
  const part = paperFor[kind]
  const own = claim.papers.filter((paper) => isFor(kind, part, paper))
  const here = counted(own)
  if (here.some(({ state }) => state === 'seen')) return 'met'
  if (here.length > 0) return isSignedByHand(kind) ? 'to look at' : 'met'
  const posted = claim.posted.get(part)
  if (posted) return posted.until(today, { largestUnit: 'day' }).days > daysInThePost ? 'not come' : 'in the post'
  return own.some(({ state }) => state === 'sent back') ? 'sent back' : 'missing'
}

/** A copy is any paper of the claim itself; everything else has a part of its own. */
const isFor = (kind: SourceCondition['kind'], part: PaperPart, paper: FiledPaper) =>
  kind === 'copy of the paper' ? !isForSource(paper.part) && paper.part !== 'translation' : paper.part === part

/** Whether everything the candidate has to do about it is done: enough for sending, not yet for asking. */
export const isHandedIn = (state: ConditionState): boolean =>
  state === 'met' || state === 'to look at' || state === 'in the post'
