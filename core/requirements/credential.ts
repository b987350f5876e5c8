import { claimResult, stepsToRenew } from './provenClaim'
import type { Ask, ClaimFacts, FileFacts, Requirement } from './requirement'
import { nearest, type Result, unmet } from './result'

type CredentialAsk = Extract<Ask, { kind: 'credential' }>

/** Whether a licence or certificate is there, high enough where an amount is asked, and its series complete where it has one. */
export function credentialResult(ask: CredentialAsk, requirement: Requirement, file: FileFacts): Result {
  const held = file.claims.filter(({ credential }) => credential === ask.credential)
  if (held.length === 0) return claimResult(held, requirement, file)
  return nearest(held.map((claim) => oneCredential(ask, claim, requirement, file)))
}

function oneCredential(ask: CredentialAsk, claim: ClaimFacts, requirement: Requirement, file: FileFacts): Result {
  const result = claimResult([claim], requirement, file)
  const { label, id, seriesOpen, amounts } = claim
  // What was waived or contradicted is that, whatever else is said of it.
  if (claim.rung === 'waived' || claim.rung === 'contradicted') return result
  if (seriesOpen)
    return { ...unmet({ code: 'series-open', claim: label, ...seriesOpen }, stepsToRenew(requirement)), claims: [id] }
  if (!ask.atLeast) return result
  const { field, amount: needed } = ask.atLeast
  const given = amounts?.[field] ?? 0
  if (given >= needed) return result
  return {
    ...unmet(
      { code: 'too-low', claim: label, credential: ask.credential, field, given, needed },
      stepsToRenew(requirement),
    ),
    claims: [id],
  }
}
