import type { KnownFact } from '../conditions/vocabulary'
import { writeDays, writeWhen } from '../dates/write'
import { credentialKind, studyFields, studyLevels } from '../requirements/catalogue'
import type { Ask, Gate, Outcome, OutcomeReason, Requirement, Step } from '../requirements/requirement'
import { conditionWords } from './conditions'

const byGate: Record<Gate, string> = {
  send: 'when you apply',
  shortlist: 'before the shortlist',
  offer: 'before an offer',
  start: 'before the first day',
}

/**
 * A requirement as a sentence for a person who considers applying.
 *
 * @param nameOf titles of questions, checks and tasks by key
 * @param known what conditions look at, by name and label
 */
export function requirementSentence(
  requirement: Requirement,
  nameOf: (key: string) => string = (key) => key,
  known: readonly KnownFact[] = [],
): string {
  const asked = [requirement.asks, ...(requirement.alternatives ?? [])]
    .map((ask) => askWords(ask, nameOf))
    .join(', or ')
  const provable = [requirement.asks, ...(requirement.alternatives ?? [])].some(({ kind }) => hasProof.has(kind))
  const proof = {
    claimed: requirement.paper ? ', with the paper attached' : '',
    evidenced: provable ? ', shown by a document' : '',
    confirmed: provable ? ', confirmed by whoever issued it' : '',
  }
  const valid =
    requirement.validStartPlusDays === undefined
      ? ''
      : requirement.validStartPlusDays === 0
        ? ', valid through the start'
        : `, valid through the start and ${writeDays(requirement.validStartPlusDays)} more`
  const when = requirement.when ? ` Only if ${conditionWords(requirement.when, known)}.` : ''
  const exempt = requirement.exempt
    ? ` Not needed if ${conditionWords(requirement.exempt.when, known)}: ${requirement.exempt.because}.`
    : ''
  return `${capital(asked)}${proof[requirement.rung]}${valid}, ${byGate[requirement.gate]}.${when}${exempt}`
}

/** What stands on the ladder; an answer, a check or a fee does not. */
const hasProof = new Set<Ask['kind']>(['study', 'credential', 'every work entry', 'document', 'identity'])

function askWords(ask: Ask, nameOf: (key: string) => string): string {
  switch (ask.kind) {
    case 'answer':
      return `an answer about ${nameOf(ask.question)}`
    case 'study': {
      const fields = ask.fields?.map((field) => (studyFields[field] ?? field).toLowerCase()).join(' or ')
      return `a degree or diploma at the level of ${studyLevels[ask.levelAtLeast] ?? `ISCED ${ask.levelAtLeast}`} or above${fields ? ` in ${fields}` : ''}`
    }
    case 'credential':
      return (credentialKind(ask.credential)?.name ?? ask.credential).replace(/^./, (letter) => letter.toLowerCase())
    case 'history':
      if (ask.of === 'home')
        return `where you lived in the last ${ask.years} years, with no gap longer than ${writeDays(ask.toleratedGapDays)}`
      return `what you did in the last ${ask.years} years, with no gap longer than ${writeDays(ask.toleratedGapDays)}`
    case 'experience':
      return `${Math.floor(ask.months / 12)} years of work in ${ask.tags.join(' or ')}`
    case 'every work entry':
      return 'every job you give'
    case 'skills check':
      return `the skills check “${nameOf(ask.check)}”`
    case 'identity':
      return 'a paper that shows who you are'
    case 'vouching':
      return ask.count === 1 ? 'somebody who vouches for you' : `${ask.count} people who vouch for you`
    case 'permission':
      return 'your permission to check what you say, signed'
    case 'document':
      return `the document “${nameOf(ask.question)}”`
    case 'declaration':
      return `“${nameOf(ask.question)}” answered with ${ask.mustBe}`
    case 'reference':
      return ask.count === 1 ? 'a reference from an employer' : `references from ${ask.count} employers`
    case 'fee':
      return `a fee of ${writeAmount(ask.amount, ask.currency)}`
    case 'offer accepted':
      return 'your acceptance of the offer'
    case 'onboarding task':
      return nameOf(ask.task)
  }
}

/** Which paper a requirement needs and in what form, or nothing where it needs none. */
export function paperWords(requirement: Requirement): string | undefined {
  if (!requirement.paper && requirement.rung === 'claimed') return undefined
  const papers = [requirement.asks, ...(requirement.alternatives ?? [])].flatMap((ask) => {
    if (ask.kind === 'study') return ['the degree certificate']
    if (ask.kind === 'credential') return [credentialKind(ask.credential)?.papers ?? 'the certificate']
    if (ask.kind === 'identity') return ['the passport or identity card']
    if (ask.kind === 'document') return ['the document it names']
    if (ask.kind === 'every work entry') return ['a letter or certificate of each job']
    return []
  })
  return papers.length === 0
    ? undefined
    : `${capital(papers.join(', or '))}: PDF, JPEG or PNG, up to 10 MB and 20 pages`
}

/** Why an outcome is as it is, as a sentence for the desk. */
export function outcomeWords(
  outcome: Pick<Outcome, 'reason' | 'title'>,
  nameOf: (key: string) => string = (key) => key,
): string {
  return reasonWords(outcome.reason, nameOf)
}

function reasonWords(reason: OutcomeReason, nameOf: (key: string) => string): string {
  const whom = 'source' in reason && reason.source ? reason.source : 'the source'
  switch (reason.code) {
    case 'met':
      return reason.claim ? `Met by ${reason.claim}.` : 'Met.'
    case 'waived':
      return `Waived by ${reason.by}: ${reason.reason}`
    case 'exempt':
      return `Exempt: ${reason.because}.`
    case 'condition-false':
      return 'Not asked of this person.'
    case 'condition-undecided':
      return `Depends on an answer not given yet: ${reason.deciding.map(nameOf).join(', ')}.`
    case 'answer-missing':
      return 'Not answered yet.'
    case 'nothing-claimed':
      return 'Nothing of this kind has been given yet.'
    case 'paper-missing':
      return `${reason.claim}: no document yet.`
    case 'paper-to-look-at':
      return `${reason.claim}: a document is in, nobody has looked at it yet.`
    case 'paper-sent-back':
      return `${reason.claim}: the document was sent back, a better one is awaited.`
    case 'to-ask':
      return `${reason.claim}: ${whom} has not been asked yet.`
    case 'asked':
      return `${reason.claim}: ${whom} has been asked and has not answered.`
    case 'reply-in':
      return `${reason.claim}: ${whom} has replied; compare and decide.`
    case 'contradicted':
      return `${reason.claim}: contradicted; decide what follows.`
    case 'unconfirmable':
      return `${reason.claim}: ${whom} cannot confirm it.`
    case 'lapses-early':
      return `${reason.claim} lapses ${writeWhen(reason.lastDay)}, ${writeDays(reason.shortBy)} short of ${writeWhen(reason.needed)}.`
    case 'validity-unknown':
      return `${reason.claim}: nobody has said how long it is valid.`
    case 'standing':
      return `${reason.claim} is ${reason.standing}.`
    case 'gaps':
      return `${writeDays(reason.days)} to account for, ${writeWhen(reason.first.from)} to ${writeWhen(reason.first.through)}${reason.count > 1 ? ` and ${reason.count - 1} more` : ''}.`
    case 'possible-gaps':
      return `Met; up to ${writeDays(reason.days)} could be missing where only months or years were given.`
    case 'too-little-experience':
      return `${monthsWords(reason.months)} of ${monthsWords(reason.needed)} asked.`
    case 'no-work-entries':
      return 'No job to confirm.'
    case 'work-open':
      return `${reason.open} of ${reason.of} jobs still to be confirmed, ${reason.claim} first.`
    case 'check-not-sat':
      return 'Not sat yet.'
    case 'check-under-way':
      return 'Begun, not handed in yet.'
    case 'check-failed':
      return `${reason.percent} %, below the pass mark.`
    case 'check-passed':
      return `Passed with ${reason.percent} %.`
    case 'answer-other':
      return `Answered “${reason.answer}”; ${reason.needed} is needed.`
    case 'too-few-references':
      return `${reason.confirmed} of ${reason.needed} employers have confirmed${reason.asked > 0 ? `, ${reason.asked} asked` : ''}.`
    case 'too-few-vouch':
      return `${reason.done} of ${reason.needed} have vouched${reason.asked > reason.done ? `, ${reason.asked - reason.done} asked` : ''}.`
    case 'fee-open':
      return `${writeAmount(reason.amount, reason.currency)} not received yet.`
    case 'not-signed':
      return 'Not signed yet.'
    case 'no-offer':
      return 'No offer has been made yet.'
    case 'offer-open':
      return 'The offer awaits an answer.'
    case 'offer-declined':
      return 'The offer was declined.'
    case 'task-open':
      return 'Not done yet.'
  }
}

const deskActs: Record<Step['what'], string> = {
  answer: 'Candidate: answer',
  explain: 'Candidate: explain',
  upload: 'Candidate: send document',
  renew: 'Candidate: renew',
  look: 'You: look at document',
  ask: 'You: ask source',
  reply: 'Source: answer',
  compare: 'You: compare reply',
  decide: 'You: decide',
  'sit check': 'Candidate: sit check',
  sign: 'Candidate: sign',
  'do task': 'Candidate: do task',
  'make offer': 'Hiring manager: offer',
  pay: 'Candidate: pay',
  'name someone': 'Candidate: name somebody',
}

/** Who has the ball and for what, in a few words for a list on the desk. */
export const ballWords = (step: Step): string => deskActs[step.what]

/** An amount in minor units as people read it: `45.00 EUR`. */
export const writeAmount = (minor: number, currency: string) => `${(minor / 100).toFixed(2)} ${currency}`
const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
const monthsWords = (months: number) =>
  months < 12 ? `${months} m` : `${Math.floor(months / 12)} y${months % 12 ? ` ${months % 12} m` : ''}`
