import type { ClaimKind } from '../requirements/claimKind'

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
