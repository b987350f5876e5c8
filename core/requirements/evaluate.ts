import { type CefrLevel, cefrLevels } from '../catalogue/cefr'
import type { Facts } from '../conditions/condition'
import { judge } from '../conditions/judge'
import { isoOfDay } from '../dates/dayNumber'
import { becauseKey } from '../form/form'
import { gapsIn } from '../history/coverage'
import { monthsOfExperience } from '../history/experience'
import { lengthOf } from '../history/ranges'
import { daysUpTo } from '../history/window'
import { opennessOf, type Recipient } from '../recipients/choice'
import type { StoredValue } from '../words/stored'
import { ageResult } from './age'
import { credentialResult } from './credential'
import { factsOfFile } from './fileFacts'
import { identityResult } from './identity'
import { decisionOn } from './matter'
import { afterLooking, claimResult, proofResult } from './provenClaim'
import type { Ask, ClaimFacts, FileFacts, Gate, Outcome, Requirement, Step } from './requirement'
import { gates } from './requirement'
import { met, nearest, notNeeded, type Result, undecided, unmet } from './result'
import { sourceConditionResult } from './sourceCondition'

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
    ...(requirement.part ? { part: requirement.part } : {}),
    ...(requirement.forRecipients ? { forRecipients: true } : {}),
    ...(requirement.translations ? { translations: requirement.translations } : {}),
    gate: requirement.gate,
    ...afterPaying(resultOf(requirement, known), file),
  }))
}

/** The file with what several requirements look at, computed once. */
type Known = FileFacts & { facts: Facts; coverages: Map<string, ReturnType<typeof gapsIn>> }

/** The outcomes of a gate and of those before it. */
export function allUpTo(outcomes: readonly Outcome[], gate: Gate): Outcome[] {
  const reach = gates.indexOf(gate)
  return outcomes.filter((outcome) => gates.indexOf(outcome.gate) <= reach)
}

/** Those of them that count at it: what only bodies need that were chosen counts at sending alone. */
export const upToGate = (outcomes: readonly Outcome[], gate: Gate): Outcome[] =>
  allUpTo(outcomes, gate).filter(({ forRecipients }) => !forRecipients || gate === 'send')

export const isOpen = ({ state }: Outcome) => state === 'unmet' || state === 'undecided'

/** What still keeps a gate shut. Empty means it can be passed. */
export function openAt(outcomes: readonly Outcome[], gate: Gate): Outcome[] {
  return upToGate(outcomes, gate).filter(isOpen)
}

/** Nobody works on what has to be paid first: the ball is with whoever pays. */
const afterPaying = (result: Result, { awaitsPayment }: FileFacts): Result =>
  awaitsPayment && !['candidate', 'employer'].includes(result.steps[0]?.who ?? 'candidate')
    ? { ...result, steps: [{ who: awaitsPayment, what: 'pay' }, ...result.steps] }
    : result

function resultOf(requirement: Requirement, file: Known): Result {
  const waiver = file.waivers.find((given) => given.requirement === requirement.key)
  if (waiver) return notNeeded({ code: 'waived', by: waiver.by, reason: waiver.reason })
  if (requirement.when) {
    const { truth, deciding } = judge(requirement.when, file.facts, file.domains)
    if (truth === false) return notNeeded({ code: 'condition-false' })
    if (truth === 'undecided')
      return undecided({ code: 'condition-undecided', deciding }, [{ who: 'candidate', what: 'answer' }])
  }
  if (requirement.exempt && judge(requirement.exempt.when, file.facts, file.domains).truth === true) {
    return notNeeded({ code: 'exempt', because: requirement.exempt.because })
  }
  const asked = resultOfAsk(requirement.asks, requirement, file)
  if (!requirement.alternatives) return asked
  return nearest([asked, ...requirement.alternatives.map((ask) => resultOfAsk(ask, requirement, file))])
}

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
    case 'fee': {
      const state = file.fees?.[ask.schedule]
      if (state === 'settled') return met()
      return state === 'asked'
        ? unmet({ code: 'fee-asked' }, [{ who: 'employer', what: 'pay' }])
        : unmet({ code: 'fee-open', charged: state === 'open' }, [{ who: 'candidate', what: 'pay' }])
    }
    case 'study':
      return claimResult(
        file.claims.filter((claim) => doesAsStudy(ask, claim)),
        requirement,
        file,
      )
    case 'credential':
      return credentialResult(ask, requirement, file)
    case 'language':
      return claimResult(
        file.claims.filter(({ language }) => language?.key === ask.language && isAtLeast(language.level, ask.level)),
        requirement,
        file,
      )
    case 'age':
      return ageResult(ask, requirement, file)
    case 'history':
      return historyResult(ask, file)
    case 'experience':
      return experienceResult(ask, file)
    case 'every work entry':
      return everyWorkEntry(requirement, file)
    case 'skills check':
      return skillsResult(ask.check, file)
    case 'identity':
      return identityResult(ask, requirement, file)
    case 'vouching':
      return vouchingResult(ask.count, file)
    case 'permission':
      return file.permissionSigned ? met() : unmet({ code: 'not-signed' }, [{ who: 'candidate', what: 'sign' }])
    case 'offer accepted':
      return offerResult(file)
    case 'source condition':
      return sourceConditionResult(ask, requirement, file)
    case 'recipients':
      return recipientsResult(ask, file)
    case 'onboarding task': {
      const task = file.onboarding.find((given) => given.task === ask.task)
      return task?.done ? met() : unmet({ code: 'task-open' }, [{ who: 'candidate', what: 'do task' }])
    }
  }
}

const isAtLeast = (level: CefrLevel, needed: CefrLevel) => cefrLevels.indexOf(level) >= cefrLevels.indexOf(needed)

function doesAsStudy(ask: Extract<Ask, { kind: 'study' }>, { kind, level, field, second }: ClaimFacts): boolean {
  if (kind !== 'study' || (level ?? 0) < ask.levelAtLeast) return false
  if (!ask.fields) return true
  const counts = second && (second.as === 'second field' || ask.minor)
  return ask.fields.includes(field ?? '') || Boolean(counts && ask.fields.includes(second.field))
}

const workEntries = (file: FileFacts) =>
  file.claims.flatMap(({ kind, entry }) => (entry && kind === 'work' ? [entry] : []))

const isAnswered = (question: string, file: Known) => {
  const answer = file.answers[question]
  return (answer !== undefined && answer !== '') || Boolean(file.blankAnswers?.has(question))
}
const unanswered = (question: string) =>
  unmet({ code: 'answer-missing', question }, [{ who: 'candidate', what: 'answer' }])

/** Everybody chosen is open, and may be told. */
function recipientsResult(
  { question, required, recipients }: Extract<Ask, { kind: 'recipients' }>,
  file: Known,
): Result {
  const chosen = file.facts[question]
  const own = recipients.filter(({ key }) => Array.isArray(chosen) && chosen.includes(key))
  if (own.length === 0) return required ? unanswered(question) : met()
  for (const recipient of own) {
    const openness = opennessOf(recipient, file.facts, file.domains)
    if (openness.state === 'closed')
      return unmet({ code: 'recipient-closed', recipient: nameOf(recipient), because: openness.because }, [
        { who: 'candidate', what: 'answer' },
      ])
  }
  const [first, ...more] = own.filter(({ key }) => !file.authorised?.includes(key))
  if (!first) return met()
  return unmet({ code: 'recipient-not-authorised', recipient: nameOf(first), count: more.length + 1 }, [
    { who: 'candidate', what: 'sign' },
  ])
}

const nameOf = ({ name, translations = {} }: Recipient): StoredValue => ({
  title: name,
  translations: Object.fromEntries(
    Object.entries(translations).flatMap(([language, own]) => (own.name ? [[language, { title: own.name }]] : [])),
  ),
})

function declarationResult({ question, mustBe }: Extract<Ask, { kind: 'declaration' }>, file: Known): Result {
  if (!isAnswered(question, file)) return unanswered(question)
  const answer = file.answers[question]
  if (answer === mustBe) return met()
  const explanation = String(file.answers[becauseKey(question)] ?? '')
  const decision = decisionOn(file.matters ?? [], { question, answer: String(answer ?? 'unknown'), explanation })
  const on = decision?.decidedOn ?? ''
  if (decision?.outcome === 'no bearing') return { ...met(), reason: { code: 'matter-settled', on } }
  if (decision?.outcome === 'conditions') return { ...met(), reason: { code: 'matter-conditions', on } }
  if (decision) return unmet({ code: 'matter-refused', on }, [{ who: 'desk', what: 'decide' }])
  return unmet({ code: 'answer-other', question, answer: String(answer ?? 'unknown'), needed: mustBe }, [
    { who: 'desk', what: 'decide' },
  ])
}

function referenceResult(count: number, file: Known): Result {
  const jobs = file.claims.filter(({ kind, entry }) => kind === 'work' && entry?.tags.includes('employment'))
  const confirmed = jobs.filter(
    ({ rung, confirmed: known }) => (rung === 'confirmed' && !known?.stale) || rung === 'waived',
  )
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

function experienceResult(ask: Extract<Ask, { kind: 'experience' }>, file: Known): Result {
  const { least, most, inexact } = monthsOfExperience(workEntries(file), ask.tags, file.today)
  if (least >= ask.months) return met()
  const explain: Step[] = [{ who: 'candidate', what: 'explain' }]
  if (most < ask.months) return unmet({ code: 'too-little-experience', months: most, needed: ask.months }, explain)
  const labels = file.claims.filter(({ id }) => inexact.includes(id)).map(({ label }) => label)
  const reason = { code: 'experience-unclear' as const, least, most, needed: ask.months, inexact: labels }
  return { ...undecided(reason, explain), claims: inexact }
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
  if (file.offer === 'expired')
    return unmet({ code: 'offer-expired' }, [
      { who: 'hiring manager', what: 'make offer' },
      { who: 'candidate', what: 'sign' },
    ])
  if (file.offer === 'declined') return unmet({ code: 'offer-declined' }, [{ who: 'hiring manager', what: 'decide' }])
  return unmet({ code: 'no-offer' }, [
    { who: 'hiring manager', what: 'make offer' },
    { who: 'candidate', what: 'sign' },
  ])
}
