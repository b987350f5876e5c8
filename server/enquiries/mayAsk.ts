import type { ClaimDetails } from '#contract/claims'
import { isBeforeOffer } from '#core/hiring/stages'
import { type Coded, coded } from '#core/words/say'
import type { Application } from '../records/applications/model'

/** What its candidate has said against asking about a claim, by whichever way; nothing where it may be asked. */
export function mayNotAsk(details: ClaimDetails, application: Application): Coded[] {
  const may = 'mayAsk' in details ? details.mayAsk : undefined
  if (may === 'never') return [coded('enquiry.obstacle.neverAsk')]
  return may === 'after an offer' && isBeforeOffer(application) ? [coded('enquiry.obstacle.afterOffer')] : []
}
