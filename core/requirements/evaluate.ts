import { type Facts, judge } from '../conditions/condition'
import { isoOfDay } from '../dates/dayNumber'
import { gapsIn } from '../history/coverage'
import { monthsOfExperience } from '../history/experience'
import { lengthOf } from '../history/ranges'
import { daysUpTo } from '../history/window'
import { validThrough } from '../validity/validity'
import { factsOfFile } from './fileFacts'
import type { Ask, ClaimFacts, FileFacts, Gate, Outcome, OutcomeReason, Requirement, Step } from './requirement'
import { gates } from './requirement'

type Result = Pick<Outcome, 'state' | 'reason' | 'steps' | 'claims'>

/**
 * Judges every requirement against a file.
 *
 * @param requirements in the order they are shown; keys are unique
 * @param file what is known on `file.today`
 * @returns one outcome a requirement, in the same order: met, unmet, not needed (condition, exemption or waiver) or
 *   undecided; the reason; the open steps, whose first holder has the ball
 */
export function evaluate(requirements: readonly Requirement[], file: FileFacts): Outcome[] {
  const known: Known = { ...file, facts: { ...factsOfFile(file), ...file.answers }, coverages: new Map() }
  return requirements.map((requirement) => ({
    requirement: requirement.key,
    title: requirement.title,
    gate: requirement.gate,
    ...resultOf(requirement, known),
  }))
}

/** The file with what several requirements look at, computed once. */
type Known = FileFacts & { facts: Facts; coverages: Map<string, ReturnType<typeof gapsIn>> }

/** The outcomes that count at a gate: its own and those of the gates before it. */
export function upToGate(outcomes: readonly Outcome[], gate: Gate): Outcome[] {
  const reach = gates.indexOf(gate)
  return outcomes.filter((outcome) => gates.indexOf(outcome.gate) <= reach)
}

/** What still keeps a gate shut. Empty means it can be passed. */
export function openAt(outcomes: readonly Outcome[], gate: Gate): Outcome[] {
  return upToGate(outcomes, gate).filter(({ state }) => state === 'unmet' || state === 'undecided')
}

function resultOf(requirement: Requirement, file: Known): Result {
  const waiver = file.waivers.find((given) => given.requirement === requirement.key)
  if (waiver) return notNeeded({ code: 'waived', by: waiver.by, reason: waiver.reason })
  if (requirement.when) {
    const { truth, deciding } = judge(requirement.when, file.facts)
    if (truth === false) return notNeeded({ code: 'condition-false' })
    if (truth === 'undecided')
      return undecided({ code: 'condition-undecided', deciding }, [{ who: 'candidate', what: 'answer' }])
  }
  if (requirement.exempt && judge(requirement.exempt.when, file.facts).truth === true) {
    return notNeeded({ code: 'exempt', because: requirement.exempt.because })
  }
  const asked = resultOfAsk(requirement.asks, requirement, file)
  if (!requirement.alternatives) return asked
  return nearest([asked, ...requirement.alternatives.map((ask) => resultOfAsk(ask, requirement, file))])
}

/** Of several ways to the same end the one that is there, or else the one with the fewest steps left; in any order. */
function nearest(results: readonly Result[]): Result {
  return results.reduce((best, result) => (byDistance(result, best) < 0 ? result : best))
}

const open = { met: 0, 'not needed': 0, undecided: 1, unmet: 1 }
const known = { met: 0, 'not needed': 0, undecided: 0, unmet: 1 }
const byDistance = (a: Result, b: Result) =>
  open[a.state] - open[b.state] || a.steps.length - b.steps.length || known[a.state] - known[b.state]

function resultOfAsk(ask: Ask, requirement: Requirement, file: Known): Result {
  switch (ask.kind) {
    case 'answer': {
      return isAnswered(ask.question, file) ? met() : unanswered(ask.question)
    }
    case 'declaration':
      return declarationResult(ask, file)
    case 'document':
      return claimResult(
        file.claims.filter(({ question }) => question === ask.question),
        requirement,
        file,
      )
    case 'reference':
      return referenceResult(ask.count, file)
    case 'fee':
      return file.feesReceived?.includes(requirement.key)
        ? met()
        : unmet({ code: 'fee-open', amount: ask.amount, currency: ask.currency }, [{ who: 'candidate', what: 'pay' }])
    case 'study':
      return claimResult(
        file.claims.filter(
          ({ kind, level, field }) =>
            kind === 'study' && (level ?? 0) >= ask.levelAtLeast && (!ask.fields || ask.fields.includes(field ?? '')),
        ),
        requirement,
        file,
      )
    case 'credential':
      return claimResult(
        file.claims.filter(({ credential }) => credential === ask.credential),
        requirement,
        file,
      )
    case 'history':
      return historyResult(ask, file)
    case 'experience': {
      const months = monthsOfExperience(workEntries(file), ask.tags, file.today)
      if (months >= ask.months) return met()
      return unmet({ code: 'too-little-experience', months, needed: ask.months }, [
        { who: 'candidate', what: 'explain' },
      ])
    }
    case 'every work entry':
      return everyWorkEntry(requirement, file)
    case 'skills check':
      return skillsResult(ask.check, file)
    case 'identity':
      return claimResult(
        file.claims.filter(({ kind }) => kind === 'identity'),
        requirement,
        file,
      )
    case 'vouching':
      return vouchingResult(ask.count, file)
    case 'permission':
      return file.permissionSigned ? met() : unmet({ code: 'not-signed' }, [{ who: 'candidate', what: 'sign' }])
    case 'offer accepted':
      return offerResult(file)
    case 'onboarding task': {
      const task = file.onboarding.find((given) => given.task === ask.task)
      return task?.done ? met() : unmet({ code: 'task-open' }, [{ who: 'candidate', what: 'do task' }])
    }
  }
}

/** The steps from each place on the ladder; `confirmed` needs all, `evidenced` stops after looking. */
const afterLooking: Step[] = [
  { who: 'desk', what: 'ask' },
  { who: 'source', what: 'reply' },
  { who: 'desk', what: 'compare' },
]

function claimResult(claims: readonly ClaimFacts[], requirement: Requirement, file: FileFacts): Result {
  if (claims.length === 0) {
    const steps: Step[] = [
      { who: 'candidate', what: 'answer' },
      ...stepsToEvidence('none', requirement),
      ...stepsToConfirm(requirement),
    ]
    return unmet({ code: 'nothing-claimed' }, steps)
  }
  return nearest(claims.map((claim) => oneClaim(claim, requirement, file)))
}

function oneClaim(claim: ClaimFacts, requirement: Requirement, file: FileFacts): Result {
  const proof = proofResult(claim, requirement)
  const about = [claim.id]
  if (claim.standing === 'suspended' || claim.standing === 'revoked') {
    return {
      ...unmet({ code: 'standing', claim: claim.label, standing: claim.standing }, [{ who: 'desk', what: 'decide' }]),
      claims: about,
    }
  }
  if (requirement.validStartPlusDays === undefined) return { ...proof, claims: about }
  if (!claim.term)
    return {
      ...undecided({ code: 'validity-unknown', claim: claim.label }, [
        { who: 'candidate', what: 'answer' },
        ...proof.steps,
      ]),
      claims: about,
    }
  const through = validThrough(claim.term, file.targetStart, requirement.validStartPlusDays)
  if (through.holds === true) return { ...proof, claims: about }
  const renewal: Step[] = [
    { who: 'candidate', what: 'renew' },
    ...stepsToEvidence('to look at', requirement),
    ...stepsToConfirm(requirement),
  ]
  if (through.holds === 'undecided')
    return { ...undecided({ code: 'validity-unknown', claim: claim.label }, renewal), claims: about }
  const { lastDay, needed, shortBy } = through
  return {
    ...unmet({ code: 'lapses-early', claim: claim.label, lastDay, needed, shortBy }, renewal),
    claims: about,
  }
}

function proofResult(claim: ClaimFacts, requirement: Requirement): Result {
  const { rung, label, source } = claim
  if (rung === 'waived' || rung === 'confirmed') return met(label)
  if (rung === 'contradicted')
    return unmet({ code: 'contradicted', claim: label, source }, [{ who: 'desk', what: 'decide' }])
  const needsPaper = requirement.rung !== 'claimed'
  if (!needsPaper && !requirement.paper) return met(label)
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
  return unmet({ code: 'to-ask', claim: label, source }, afterLooking)
}

function stepsToEvidence(paper: ClaimFacts['paper'], requirement: Requirement): Step[] {
  const look: Step[] = requirement.rung === 'claimed' ? [] : [{ who: 'desk', what: 'look' }]
  if (paper === 'to look at') return look
  return requirement.paper || requirement.rung !== 'claimed' ? [{ who: 'candidate', what: 'upload' }, ...look] : look
}

const stepsToConfirm = (requirement: Requirement): Step[] => (requirement.rung === 'confirmed' ? afterLooking : [])

const workEntries = (file: FileFacts) =>
  file.claims.flatMap(({ kind, entry }) => (entry && kind === 'work' ? [entry] : []))

const isAnswered = (question: string, file: Known) => {
  const answer = file.answers[question]
  return (answer !== undefined && answer !== '') || Boolean(file.blankAnswers?.has(question))
}
const unanswered = (question: string) =>
  unmet({ code: 'answer-missing', question }, [{ who: 'candidate', what: 'answer' }])

function declarationResult({ question, mustBe }: Extract<Ask, { kind: 'declaration' }>, file: Known): Result {
  if (!isAnswered(question, file)) return unanswered(question)
  const answer = file.answers[question]
  if (answer === mustBe) return met()
  return unmet({ code: 'answer-other', question, answer: String(answer ?? 'unknown'), needed: mustBe }, [
    { who: 'desk', what: 'decide' },
  ])
}

function referenceResult(count: number, file: Known): Result {
  const jobs = file.claims.filter(({ kind, entry }) => kind === 'work' && entry?.tags.includes('employment'))
  const confirmed = jobs.filter(({ rung }) => rung === 'confirmed' || rung === 'waived')
  if (confirmed.length >= count) return { ...met(), claims: confirmed.slice(0, count).map(({ id }) => id) }
  const asked = jobs.filter(({ enquiry }) => enquiry === 'open').length
  const reason = { code: 'too-few-references' as const, confirmed: confirmed.length, needed: count, asked }
  if (jobs.length < count) return unmet(reason, [{ who: 'candidate', what: 'explain' }, ...afterLooking])
  return unmet(reason, confirmed.length + asked >= count ? afterLooking.slice(1) : afterLooking)
}

function vouchingResult(count: number, file: Known): Result {
  const { done, asked } = file.vouching ?? { done: 0, asked: 0 }
  if (done >= count) return met()
  const reply: Step = { who: 'source', what: 'reply' }
  return unmet(
    { code: 'too-few-vouch', done, needed: count, asked },
    asked >= count ? [reply] : [{ who: 'candidate', what: 'name someone' }, reply],
  )
}

function historyResult(ask: Extract<Ask, { kind: 'history' }>, file: Known): Result {
  const asked = `${ask.of ?? 'all'} ${ask.years} ${ask.toleratedGapDays}`
  const found =
    file.coverages.get(asked) ??
    gapsIn(
      file.claims.flatMap(({ entry, kind }) =>
        entry && (kind === 'residence') === (ask.of === 'home') ? [entry] : [],
      ),
      daysUpTo(file.today, ask.years),
      ask.toleratedGapDays,
    )
  file.coverages.set(asked, found)
  const first = found.certainGaps[0]
  if (first) {
    const days = found.certainGaps.reduce((sum, gap) => sum + lengthOf(gap), 0)
    const reason = {
      code: 'gaps' as const,
      days,
      count: found.certainGaps.length,
      first: { from: isoOfDay(first.from), through: isoOfDay(first.through) },
    }
    return unmet(reason, [{ who: 'candidate', what: 'explain' }])
  }
  const possibleDays = found.possibleGaps.reduce((sum, gap) => sum + lengthOf(gap), 0)
  return possibleDays > 0 ? { ...met(), reason: { code: 'possible-gaps', days: possibleDays } } : met()
}

function everyWorkEntry(requirement: Requirement, file: FileFacts): Result {
  const jobs = file.claims.filter(({ kind, entry }) => kind === 'work' && entry?.tags.includes('employment'))
  if (jobs.length === 0) return { ...met(), reason: { code: 'no-work-entries' } }
  const open = jobs
    .map((job) => ({ job, result: proofResult(job, requirement) }))
    .filter(({ result }) => result.state !== 'met')
  const longest = [...open].sort((a, b) => b.result.steps.length - a.result.steps.length)[0]
  if (!longest) return { ...met(), claims: jobs.map(({ id }) => id) }
  const { job, result } = longest
  return {
    state: 'unmet',
    reason:
      open.length === 1 ? result.reason : { code: 'work-open', open: open.length, of: jobs.length, claim: job.label },
    steps: result.steps,
    claims: open.map((entry) => entry.job.id),
  }
}

function skillsResult(check: string, file: FileFacts): Result {
  const sat = file.skills.filter((given) => given.check === check)
  const passed = sat.find((sitting) => sitting.passed)
  if (passed) return { ...met(), reason: { code: 'check-passed', percent: passed.percent ?? 0 } }
  const latest = sat.at(-1)
  if (latest?.state === 'marked')
    return unmet({ code: 'check-failed', percent: latest.percent ?? 0 }, [{ who: 'desk', what: 'decide' }])
  return unmet({ code: latest?.state === 'under way' ? 'check-under-way' : 'check-not-sat' }, [
    { who: 'candidate', what: 'sit check' },
  ])
}

function offerResult(file: FileFacts): Result {
  if (file.offer === 'accepted') return met()
  if (file.offer === 'open') return unmet({ code: 'offer-open' }, [{ who: 'candidate', what: 'sign' }])
  if (file.offer === 'declined') return unmet({ code: 'offer-declined' }, [{ who: 'hiring manager', what: 'decide' }])
  return unmet({ code: 'no-offer' }, [
    { who: 'hiring manager', what: 'make offer' },
    { who: 'candidate', what: 'sign' },
  ])
}

const met = (claim?: string): Result => ({ state: 'met', reason: { code: 'met', claim }, steps: [], claims: [] })
const notNeeded = (reason: OutcomeReason): Result => ({ state: 'not needed', reason, steps: [], claims: [] })
const unmet = (reason: OutcomeReason, steps: Step[]): Result => ({ state: 'unmet', reason, steps, claims: [] })
const undecided = (reason: OutcomeReason, steps: Step[]): Result => ({ state: 'undecided', reason, steps, claims: [] })
