import type { ClaimDetails } from '#contract/claims'
import { type StoredValue, writeValue } from '#core/words/stored'
import { kindOf } from './kinds'

/** What a claim is called, as it is kept: what is the house's own word is kept as a code. */
export const labelValue = (details: ClaimDetails): StoredValue => kindOf(details).label(details)

/** What a claim is called on screens and in sentences, in the reader's language. */
export function labelOf(details: ClaimDetails): string {
  const label = labelValue(details)
  const written = writeValue(label)
  // What somebody typed stands as it is; a word of ours begins with a capital.
  return typeof label === 'string' ? written : written.replace(/^./, (letter) => letter.toUpperCase())
}
