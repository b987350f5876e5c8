import type { ClaimDetails } from '#contract/claims'
import type { FieldKey } from '#core/comparison/compareClaim'
import { kindOf } from './kinds'

/** A claim as it is read where names are hidden: what was learnt, done and held, when, and with sources known to the house. */
export const namelessDetails = (details: ClaimDetails): ClaimDetails => kindOf(details).nameless(details)

/** What is compared with documents and sources that tells nobody whose it is. */
export const namelessFields: ReadonlySet<FieldKey> = new Set<FieldKey>([
  'title',
  'issued',
  'through',
  'amount',
  'second',
  'award',
  'subject',
  'awarded',
  'position',
  'from',
  'to',
])
