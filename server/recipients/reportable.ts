import { hiddenKindOfClaim } from '#core/privacy/hidden'
import type { Claim } from '../records/claims/model'
import { claimsOf } from '../records/claims/view'

/** What a body outside may be told of: nothing that not everybody at the desk sees. */
export const reportable = async (candidateId: string): Promise<Claim[]> =>
  (await claimsOf(candidateId)).filter(({ details }) => hiddenKindOfClaim(details) === undefined)
