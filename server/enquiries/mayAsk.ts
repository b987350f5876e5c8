import type { ClaimDetails } from '#contract/claims'
import { isBeforeOffer } from '#core/hiring/stages'
import { type Coded, coded } from '#core/words/say'
import type { Application } from '../records/applications/model'
import { awaitsPayment } from '../records/fees/find'

/** What stands against asking about a claim, by whichever way: what its candidate has said, or what is to be paid first. */
export async function mayNotAsk(details: ClaimDetails, application: Application): Promise<Coded[]> {
  const may = 'mayAsk' in details ? details.mayAsk : undefined
  if (may === 'never') return [coded('enquiry.obstacle.neverAsk')]
  return [
    ...(may === 'after an offer' && isBeforeOffer(application) ? [coded('enquiry.obstacle.afterOffer')] : []),
    ...((await awaitsPayment(application.id)) ? [coded('enquiry.obstacle.notPaid')] : []),
  ]
}
