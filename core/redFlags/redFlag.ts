import type { Place } from '../reading/paperText'
import type { StoredValues } from '../words/stored'

/** Every pattern that is looked for, in the order in which people read them. */
export const flagKinds = [
  'same file',
  'same picture',
  'number of another',
  'name of another',
  'changed after signing',
  'image editor',
  'text over picture',
  'mixed fonts',
  'before its source',
  'after its source',
  'end before start',
  'too young',
  'two full-time jobs',
  'number pattern',
  'answer from elsewhere',
  'answer at once',
  'seller',
  'own contact',
] as const
export type FlagKind = (typeof flagKinds)[number]

/** Where to look: at a claim, and at what stands behind it; whoever vouches for somebody speaks of no claim. */
export type FlagPlace = {
  claimId?: string
  documentId?: string
  /** Where on the document. */
  place?: Place
  enquiryId?: string
}

/** The other file, where a pattern joins two. */
export type OtherFile = { candidateId: string; claimId?: string; documentId?: string }

/**
 * A pattern worth a person's look: never a verdict, and nothing is refused for it. `about` says what it rests on, so that the
 * same is found again and not raised twice; something else of the same kind is another one.
 */
export type RedFlag = {
  kind: FlagKind
  about: string
  at: FlagPlace
  other?: OtherFile
  /** For its sentence. */
  values: StoredValues
}

/** What becomes of one: somebody settles it, or what it rested on is no longer there. */
export const flagStates = ['open', 'upheld', 'dismissed', 'gone'] as const
export type FlagState = (typeof flagStates)[number]

/** What somebody can decide about one, and that it is looked at again. */
export const settleOutcomes = ['upheld', 'dismissed', 'reopened'] as const

/** How often one kind was right, of those that a person has settled. */
export type FlagCount = { kind: FlagKind; open: number; upheld: number; dismissed: number }

const fewSettled = 5

/** Whether a kind is mostly wrong: at least five were settled, and more than three in four of them dismissed. */
export const isMostlyWrong = ({ upheld, dismissed }: Pick<FlagCount, 'upheld' | 'dismissed'>): boolean =>
  upheld + dismissed >= fewSettled && dismissed > 3 * upheld
