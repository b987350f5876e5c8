import type { Field, Statement } from '../comparison/compareClaim'
import { fieldsOf } from '../comparison/fields'
import type { ClaimKind } from '../requirements/claimKind'

/** What a source is asked to confirm, field by field: what is compared for the kind of claim and was claimed. */
export const askedFields = (kind: ClaimKind, claimed: Statement): readonly Field[] =>
  fieldsOf(kind, claimed).filter(({ key }) => claimed[key] !== undefined)

/** Full or part time; and whether they would employ somebody again, asked only where the law lets one. */
export const hoursSaid = ['full time', 'part time', 'cannot say'] as const
export const againSaid = ['yes', 'no', 'cannot say'] as const

/** What is asked beyond the fields that are compared. */
export type Beyond = { standing: boolean; hours: boolean; again: boolean }

/** Only what is licensed can be restricted, suspended or revoked; only of work is it asked how much and whether again. */
export function beyondFields(kind: ClaimKind, country: string, againIn: readonly string[]): Beyond {
  const isWork = kind === 'work'
  return {
    standing: kind === 'licence' || kind === 'certificate',
    hours: isWork,
    again: isWork && againIn.includes(country),
  }
}
