import { Temporal } from 'temporal-polyfill'
import { dayNumber, isoOfDay } from '../dates/dayNumber'
import { type Standing, standingAgainst, validThrough } from '../validity/validity'
import type { ClaimFacts, FileFacts, Requirement, Step } from './requirement'
import { met, nearest, type Result, undecided, unmet } from './result'

/** How far a claim has come up the ladder a requirement asks for, and what is left of the way. */

/** The steps from each place on the ladder; `confirmed` needs all, `evidenced` stops after looking. */
export const afterLooking: Step[] = [
  { who: 'desk', what: 'ask' },
  { who: 'source', what: 'reply' },
  { who: 'desk', what: 'compare' },
]

export function claimResult(claims: readonly ClaimFacts[], requirement: Requirement, file: FileFacts): Result {
  if (claims.length === 0) {
    const steps: Step[] = [
      { who: 'candidate', what: 'answer' },
      ...stepsToEvidence('none', requirement),
      ...stepsToConfirm(requirement),
    ]
    return unmet({ code: 'nothing-claimed' }, steps)
  }
  return nearest(claims.map((claim) => withAttestation(claim, oneClaim(claim, requirement, file), requirement, file)))
}

/** Somebody entitled to it vouches for its paper, where the requirement asks for that. */
function withAttestation(claim: ClaimFacts, result: Result, requirement: Requirement, file: FileFacts): Result {
  const { forms } = requirement.certified ?? {}
  if (!forms || claim.rung === 'waived' || claim.rung === 'contradicted') return result
  const vouching = file.claims.filter(({ attests }) => attests?.of === claim.id && forms.includes(attests.form))
  const attested =
    vouching.length === 0
      ? unmet({ code: 'not-certified', claim: claim.label, forms }, [
          { who: 'candidate', what: 'certify' },
          ...stepsToEvidence('to look at', requirement),
          ...stepsToConfirm(requirement),
        ])
      : nearest(vouching.map((one) => ({ ...proofResult(one, { ...requirement, paper: true }), claims: [one.id] })))
  if (attested.state === 'met') return result
  if (result.state === 'met') return vouching.length === 0 ? { ...attested, claims: [claim.id] } : attested
  return { ...result, steps: [...result.steps, ...attested.steps] }
}

/** What counts although it is restricted says so, wherever it is read. */
function oneClaim(claim: ClaimFacts, requirement: Requirement, file: FileFacts): Result {
  const result = standingAside(claim, requirement, file)
  const against = standingAgainst(claim.standing, file.today, file.targetStart)
  if (against !== 'restricted' || result.state !== 'met') return result
  return { ...result, reason: { code: 'restricted', claim: claim.label, ...termsOf(claim.standing) } }
}

const termsOf = (standing: Standing | undefined): Pick<Standing, 'terms' | 'termsSaid'> => ({
  ...(standing?.terms?.length ? { terms: standing.terms } : {}),
  ...(standing?.termsSaid ? { termsSaid: standing.termsSaid } : {}),
})

function standingAside(claim: ClaimFacts, requirement: Requirement, file: FileFacts): Result {
  const proof = proofResult(claim, requirement)
  const about = [claim.id]
  const against = standingAgainst(claim.standing, file.today, file.targetStart)
  // A restriction may leave the post open: that is for a person to say, who confirms it knowing the restriction.
  if (against && !(against === 'restricted' && claim.standing?.decided)) {
    const reason = { code: 'standing' as const, claim: claim.label, standing: against, ...termsOf(claim.standing) }
    return { ...unmet(reason, [{ who: 'desk', what: 'decide' }]), claims: about }
  }
  const forNow = interimResult(claim, requirement, file)
  if (forNow) return { ...forNow, claims: about }
  if (requirement.validStartPlusDays === undefined) return { ...proof, claims: about }
  if (!claim.term)
    return {
      ...undecided({ code: 'validity-unknown', claim: claim.label }, [
        { who: 'candidate', what: 'answer' },
        ...proof.steps,
      ]),
      claims: about,
    }
  const through = validThrough(claim.term, file.targetStart, requirement.validStartPlusDays, file.today)
  if (through.holds === true) return { ...proof, claims: about }
  const renewal = stepsToRenew(requirement)
  if (through.holds === 'undecided')
    return { ...undecided({ code: 'validity-unknown', claim: claim.label }, renewal), claims: about }
  if (through.why === 'begins late') {
    const { firstDay, needed, lateBy } = through
    const reason = { code: 'begins-late' as const, claim: claim.label, firstDay, needed, lateBy }
    return { ...unmet(reason, [{ who: 'desk', what: 'decide' }, ...proof.steps]), claims: about }
  }
  const { lastDay, needed, shortBy } = through
  return {
    ...unmet({ code: 'lapses-early', claim: claim.label, lastDay, needed, shortBy }, renewal),
    claims: about,
  }
}

/**
 * What an interim paper comes to: good enough until the day the final one is owed, where the rule takes one; not enough where it
 * does not; and unmet once the day has passed. Nothing where no paper is asked, or where it was proven in another way.
 */
function interimResult(
  { interim, label, rung, contradictedBefore }: ClaimFacts,
  requirement: Requirement,
  { today }: FileFacts,
): Result | undefined {
  const settled = rung === 'confirmed' || rung === 'waived' || rung === 'contradicted' || contradictedBefore
  const wantsPaper = requirement.paper || requirement.rung !== 'claimed'
  if (!interim || settled || !wantsPaper) return undefined
  const final = [...stepsToEvidence('none', requirement), ...stepsToConfirm(requirement)]
  if (!requirement.interim && interim.finalToLookAt) return undefined
  if (!requirement.interim) return unmet({ code: 'interim-not-enough', claim: label }, final)
  const finalBy = interimEnd(interim, requirement.interim)
  if (finalBy < today.toString() && interim.finalToLookAt) return undefined
  if (finalBy < today.toString()) return unmet({ code: 'interim-over', claim: label, finalBy }, final)
  if (!interim.seen && requirement.rung !== 'claimed')
    return unmet({ code: 'paper-to-look-at', claim: label }, [{ who: 'desk', what: 'look' }])
  return { ...met(label), reason: { code: 'met-for-now', claim: label, finalBy } }
}

/** The day the final paper is owed: the one that was named, and never later than the rule allows. */
export function interimEnd(
  { since, finalBy }: NonNullable<ClaimFacts['interim']>,
  { days }: NonNullable<Requirement['interim']>,
): string {
  const last = isoOfDay(dayNumber(Temporal.PlainDate.from(since)) + days)
  return last < finalBy ? last : finalBy
}

export function proofResult(claim: ClaimFacts, requirement: Requirement): Result {
  const { rung, label, source, review } = claim
  if (review && rung !== 'waived')
    return unmet({ code: 'decision-open', claim: label, review }, [
      review === 'hearing' ? { who: 'candidate', what: 'answer' } : { who: 'desk', what: 'decide' },
    ])
  if (rung === 'confirmed') return confirmedResult(claim, requirement)
  if (rung === 'waived') return met(label)
  if (rung === 'contradicted' || claim.contradictedBefore)
    return unmet({ code: 'contradicted', claim: label, source }, [{ who: 'desk', what: 'decide' }])
  const needsPaper = requirement.rung !== 'claimed'
  if (!needsPaper && !requirement.paper) return met(label)
  const { asks } = requirement
  if (asks.kind === 'every work entry' && asks.wholeLetter && claim.paper === 'seen' && claim.letterLacks?.length)
    return unmet({ code: 'letter-lacks', claim: label, parts: claim.letterLacks }, [
      ...stepsToEvidence('none', requirement),
      ...stepsToConfirm(requirement),
    ])
  if (!needsPaper) {
    if (claim.paper === 'none' || claim.paper === 'sent back') {
      const code = claim.paper === 'none' ? 'paper-missing' : 'paper-sent-back'
      return unmet({ code, claim: label }, [{ who: 'candidate', what: 'upload' }])
    }
    return met(label)
  }
  if (claim.enquiry === 'answered' && requirement.rung === 'confirmed') {
    return unmet({ code: 'reply-in', claim: label, source }, [{ who: 'desk', what: 'compare' }])
  }
  if (
    (claim.enquiry === 'silent' || claim.enquiry === 'declined') &&
    rung === 'asked' &&
    requirement.rung === 'confirmed'
  ) {
    const code = claim.enquiry === 'silent' ? ('source-silent' as const) : ('source-declined' as const)
    return unmet({ code, claim: label, source }, [{ who: 'desk', what: 'compare' }])
  }
  if (claim.enquiry === 'open' && requirement.rung === 'confirmed') {
    return unmet({ code: 'asked', claim: label, source }, afterLooking.slice(1))
  }
  if (rung === 'unconfirmable' && requirement.rung === 'confirmed') {
    return unmet({ code: 'unconfirmable', claim: label, source }, [{ who: 'desk', what: 'decide' }])
  }
  if (claim.paper !== 'seen') {
    const code = { none: 'paper-missing', 'to look at': 'paper-to-look-at', 'sent back': 'paper-sent-back' } as const
    return unmet({ code: code[claim.paper], claim: label }, [
      ...stepsToEvidence(claim.paper, requirement),
      ...stepsToConfirm(requirement),
    ])
  }
  if (requirement.rung === 'evidenced') return met(label)
  // What is prepared goes out by itself: nobody has to ask.
  const asked = claim.enquiry === 'prepared'
  return unmet({ code: asked ? 'asked' : 'to-ask', claim: label, source }, asked ? afterLooking.slice(1) : afterLooking)
}

/** What was confirmed serves whoever asks for it, until it is so old that its source is asked again. */
function confirmedResult({ label, confirmed }: ClaimFacts, requirement: Requirement): Result {
  if (!confirmed) return met(label)
  const { since, until, stale } = confirmed
  const said = { claim: label, since, until }
  if (stale && requirement.rung === 'confirmed') return unmet({ code: 'confirmed-long-ago', ...said }, afterLooking)
  return stale ? met(label) : { ...met(label), reason: { code: 'confirmed-since', ...said } }
}

function stepsToEvidence(paper: ClaimFacts['paper'], requirement: Requirement): Step[] {
  const look: Step[] = requirement.rung === 'claimed' ? [] : [{ who: 'desk', what: 'look' }]
  if (paper === 'to look at') return look
  return requirement.paper || requirement.rung !== 'claimed' ? [{ who: 'candidate', what: 'upload' }, ...look] : look
}

/** From a credential that is there to a newer one that does. */
export const stepsToRenew = (requirement: Requirement): Step[] => [
  { who: 'candidate', what: 'renew' },
  ...stepsToEvidence('to look at', requirement),
  ...stepsToConfirm(requirement),
]

const stepsToConfirm = (requirement: Requirement): Step[] => (requirement.rung === 'confirmed' ? afterLooking : [])
