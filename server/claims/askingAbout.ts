import type { Asking } from '#contract/claims'
import { issuedClaims } from '#core/sources/source'
import { say } from '#core/words/say'
import { callOffAbout } from '../enquiries/callOff'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import { labelValue } from '../records/claims/label'
import { claimView } from '../records/claims/view'
import { ownClaim } from './change'

const wordsFor = {
  now: 'claim-asking-set',
  'after an offer': 'claim-asking-set.later',
  never: 'claim-asking-set.never',
} as const

/**
 * Says whether, and when, the source of one claim may be asked: now, only after an offer, or never, with a reason. What is
 * asked already and may not be any more is called off.
 */
export async function setAsking(
  deps: Deps,
  actor: Account,
  id: string,
  { version, mayAsk, because }: Asking & { version: number },
) {
  const claim = await ownClaim(deps, actor, id)
  requireVersion(version, claim.version, { details: claim.details })
  if (!issuedClaims.some((kind) => kind === claim.kind))
    throw invalidField('/body/mayAsk', say('problem.nobodyIsAskedAboutIt'))
  if (mayAsk === 'never' && because.trim() === '')
    throw invalidField('/body/because', say('problem.sayWhyNotThisSource'))
  const details = {
    ...claim.details,
    mayAsk,
    mayNotBecause: mayAsk === 'now' ? '' : because.trim(),
  } as typeof claim.details
  await compareAndSet(claim, version, { details })
  await recordEvent(deps, actor, {
    code: 'claim-asking-set',
    words: wordsFor[mayAsk],
    values: { claim: labelValue(details), source: details.sourceName },
    candidateId: claim.candidateId,
    claimId: id,
  })
  if (mayAsk !== 'now') await callOffAbout(deps, actor, claim, mayAsk)
  return claimView(await claim.reload())
}
