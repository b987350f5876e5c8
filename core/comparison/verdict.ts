import type { Romanisation } from './romanisation'

/** How two statements of one thing relate. */
export const verdicts = ['same', 'equivalent', 'close', 'different', 'not stated'] as const
export type Verdict = (typeof verdicts)[number]

/** Why: what a person would say. `places` are positions of characters in the second text as it was written. */
export type Reason =
  | { code: 'case' | 'accents' | 'separators' | 'word-order' | 'transliteration' | 'particles' | 'hyphens' }
  | { code: 'run-together' | 'order-unsure' | 'same-sound' | 'leading-zeros' }
  | { code: 'titles'; titles: string[] }
  | { code: 'generation' | 'nickname' | 'variant' | 'other-name'; ours: string; theirs: string }
  /** A name in another script, read in Latin letters by a standard; `reads-as` where it reads as another name. */
  | { code: 'romanised' | 'reads-as'; standard: Romanisation; reading: string }
  /** The same name written in Latin letters by two standards. */
  | { code: 'romanisations'; ours: Romanisation; theirs: Romanisation }
  | { code: 'too-little'; part: string }
  | { code: 'initials'; initial: string; name: string }
  | { code: 'known-name'; name: string; evidencedBy: string }
  | { code: 'part-missing'; parts: string[] }
  | { code: 'spelling'; ours: string; theirs: string }
  | { code: 'misread'; pairs: { ours: string; theirs: string }[] }
  | { code: 'swapped'; ours: string; theirs: string }
  | { code: 'less-exact'; said: string }
  | { code: 'day-and-month-swapped' }
  | { code: 'off-by'; unit: 'day' | 'month' | 'year'; count: number }
  | { code: 'abbreviation'; short: string; long: string }
  | { code: 'nothing-alike' }
  | { code: 'one-more' | 'one-less'; character: string }
  | { code: 'prefix-missing'; prefix: string }
  | { code: 'other-length'; ours: number; theirs: number }
  | { code: 'other-characters'; count: number; of: number }
  | { code: 'other-words'; ours: string[]; theirs: string[] }
  | { code: 'other-amount' | 'other-currency' }

export type FieldVerdict = { verdict: Verdict; reasons: Reason[]; places: number[] }

export const verdictOf = (verdict: Verdict, reasons: Reason[] = [], places: number[] = []): FieldVerdict => ({
  verdict,
  reasons,
  places,
})

const order: Verdict[] = ['same', 'equivalent', 'not stated', 'close', 'different']

/** The verdict that needs a person most. */
export function gravest(verdicts: readonly Verdict[]): Verdict {
  return verdicts.reduce((worst, verdict) => (order.indexOf(verdict) > order.indexOf(worst) ? verdict : worst), 'same')
}
