import type { KnownFact } from '../conditions/vocabulary'
import { writeDays, writeWhen } from '../dates/write'
import { credentialKind, studyFields, studyLevels } from '../requirements/catalogue'
import type { Ask, Gate, Outcome, OutcomeReason, Requirement, Step, Who } from '../requirements/requirement'
import { conditionWords } from './conditions'
import { say, spokenLanguage } from './say'

const byGate = (gate: Gate): string =>
  ({
    send: say('when you apply'),
    shortlist: say('before the shortlist'),
    offer: say('before an offer'),
    start: say('before the first day'),
  })[gate]

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
    .join(say(', or '))
  const provable = [requirement.asks, ...(requirement.alternatives ?? [])].some(({ kind }) => hasProof.has(kind))
  const proof = {
    claimed: requirement.paper ? say(', with the paper attached') : '',
    evidenced: provable ? say(', shown by a document') : '',
    confirmed: provable ? say(', confirmed by whoever issued it') : '',
  }
  const valid =
    requirement.validStartPlusDays === undefined
      ? ''
      : requirement.validStartPlusDays === 0
        ? say(', valid through the start')
        : say(', valid through the start and {{days}} more', { days: writeDays(requirement.validStartPlusDays) })
  const when = requirement.when
    ? ` ${say('Only if {{condition}}.', { condition: conditionWords(requirement.when, known) })}`
    : ''
  const exempt = requirement.exempt
    ? ` ${say('Not needed if {{condition}}: {{because}}.', { condition: conditionWords(requirement.exempt.when, known), because: say(requirement.exempt.because) })}`
    : ''
  return `${capital(asked)}${proof[requirement.rung]}${valid}, ${byGate(requirement.gate)}.${when}${exempt}`
}

/** What stands on the ladder; an answer, a check or a fee does not. */
const hasProof = new Set<Ask['kind']>(['study', 'credential', 'every work entry', 'document', 'identity'])

function askWords(ask: Ask, nameOf: (key: string) => string): string {
  switch (ask.kind) {
    case 'answer':
      return say('an answer about {{question}}', { question: nameOf(ask.question) })
    case 'study': {
      const fields = ask.fields?.map((field) => inSentence(say(studyFields[field] ?? field))).join(say(' or '))
      return say('a degree or diploma at the level of {{levelAtLeast}} or above{{fields}}', {
        levelAtLeast: studyLevels[ask.levelAtLeast]
          ? say(studyLevels[ask.levelAtLeast]!)
          : say('ISCED {{levelAtLeast}}', { levelAtLeast: ask.levelAtLeast }),
        fields: fields ? say(' in {{fields}}', { fields }) : '',
      })
    }
    case 'credential':
      return inSentence(say(credentialKind(ask.credential)?.name ?? ask.credential))
    case 'history':
      if (ask.of === 'home')
        return say('where you lived in the last {{years}} years, with no gap longer than {{toleratedGapDays}}', {
          years: ask.years,
          toleratedGapDays: writeDays(ask.toleratedGapDays),
        })
      return say('what you did in the last {{years}} years, with no gap longer than {{toleratedGapDays}}', {
        years: ask.years,
        toleratedGapDays: writeDays(ask.toleratedGapDays),
      })
    case 'experience':
      return say('{{years}} years of work in {{kinds}}', {
        years: Math.floor(ask.months / 12),
        kinds: ask.tags.map((tag) => say(tag)).join(say(' or ')),
      })
    case 'every work entry':
      return say('every job you give')
    case 'skills check':
      return say('the skills check “{{check}}”', { check: nameOf(ask.check) })
    case 'identity':
      return say('a paper that shows who you are')
    case 'vouching':
      return ask.count === 1
        ? say('somebody who vouches for you')
        : say('{{count}} people who vouch for you', { count: ask.count })
    case 'permission':
      return say('your permission to check what you say, signed')
    case 'document':
      return say('the document “{{question}}”', { question: nameOf(ask.question) })
    case 'declaration':
      return say('“{{question}}” answered with {{mustBe}}', { question: nameOf(ask.question), mustBe: ask.mustBe })
    case 'reference':
      return ask.count === 1
        ? say('a reference from an employer')
        : say('references from {{count}} employers', { count: ask.count })
    case 'fee':
      return say('a fee of {{amount}}', { amount: writeAmount(ask.amount, ask.currency) })
    case 'offer accepted':
      return say('your acceptance of the offer')
    case 'onboarding task':
      return nameOf(ask.task)
  }
}

/** Which paper a requirement needs and in what form, or nothing where it needs none. */
export function paperWords(requirement: Requirement): string | undefined {
  if (!requirement.paper && requirement.rung === 'claimed') return undefined
  const papers = [requirement.asks, ...(requirement.alternatives ?? [])].flatMap((ask) => {
    if (ask.kind === 'study') return [say('the degree certificate')]
    if (ask.kind === 'credential') return [say(credentialKind(ask.credential)?.papers ?? 'the certificate')]
    if (ask.kind === 'identity') return [say('the passport or identity card')]
    if (ask.kind === 'document') return [say('the document it names')]
    if (ask.kind === 'every work entry') return [say('a letter or certificate of each job')]
    return []
  })
  return papers.length === 0
    ? undefined
    : say('{{papers}}: PDF, JPEG or PNG, up to 10 MB and 20 pages', { papers: capital(papers.join(say(', or '))) })
}

/** Why an outcome is as it is, as a sentence for the desk. */
export function outcomeWords(
  outcome: Pick<Outcome, 'reason' | 'title'>,
  nameOf: (key: string) => string = (key) => key,
): string {
  return reasonWords(outcome.reason, nameOf)
}

function reasonWords(reason: OutcomeReason, nameOf: (key: string) => string): string {
  const whom = 'source' in reason && reason.source ? reason.source : say('the source')
  switch (reason.code) {
    case 'met':
      return reason.claim ? say('Met by {{claim}}.', { claim: reason.claim }) : say('Met.')
    case 'waived':
      return say('Waived by {{by}}: {{reason}}', { by: reason.by, reason: reason.reason })
    case 'exempt':
      return say('Exempt: {{because}}.', { because: reason.because })
    case 'condition-false':
      return say('Not asked of this person.')
    case 'condition-undecided':
      return say('Depends on an answer not given yet: {{questions}}.', {
        questions: reason.deciding.map(nameOf).join(', '),
      })
    case 'answer-missing':
      return say('Not answered yet.')
    case 'nothing-claimed':
      return say('Nothing of this kind has been given yet.')
    case 'paper-missing':
      return say('{{claim}}: no document yet.', { claim: reason.claim })
    case 'paper-to-look-at':
      return say('{{claim}}: a document is in, nobody has looked at it yet.', { claim: reason.claim })
    case 'paper-sent-back':
      return say('{{claim}}: the document was sent back, a better one is awaited.', { claim: reason.claim })
    case 'to-ask':
      return say('{{claim}}: {{whom}} has not been asked yet.', { claim: reason.claim, whom })
    case 'asked':
      return say('{{claim}}: {{whom}} has been asked and has not answered.', { claim: reason.claim, whom })
    case 'reply-in':
      return say('{{claim}}: {{whom}} has replied; compare and decide.', { claim: reason.claim, whom })
    case 'contradicted':
      return say('{{claim}}: contradicted; decide what follows.', { claim: reason.claim })
    case 'unconfirmable':
      return say('{{claim}}: {{whom}} cannot confirm it.', { claim: reason.claim, whom })
    case 'lapses-early':
      return say('{{claim}} lapses {{lastDay}}, {{shortBy}} short of {{needed}}.', {
        claim: reason.claim,
        lastDay: writeWhen(reason.lastDay),
        shortBy: writeDays(reason.shortBy),
        needed: writeWhen(reason.needed),
      })
    case 'begins-late':
      return say('{{claim}} is valid only from {{firstDay}}, {{lateBy}} after {{needed}}.', {
        claim: reason.claim,
        firstDay: writeWhen(reason.firstDay),
        lateBy: writeDays(reason.lateBy),
        needed: writeWhen(reason.needed),
      })
    case 'validity-unknown':
      return say('{{claim}}: nobody has said how long it is valid.', { claim: reason.claim })
    case 'standing':
      return say('{{claim}} is {{standing}}.', { claim: reason.claim, standing: say(reason.standing) })
    case 'gaps':
      return say('{{days}} to account for, {{from}} to {{through}}{{more}}.', {
        days: writeDays(reason.days),
        from: writeWhen(reason.first.from),
        through: writeWhen(reason.first.through),
        more: reason.count > 1 ? say(' and {{count}} more', { count: reason.count - 1 }) : '',
      })
    case 'possible-gaps':
      return say('Met; up to {{days}} could be missing where only months or years were given.', {
        days: writeDays(reason.days),
      })
    case 'too-little-experience':
      return say('{{months}} of {{needed}} asked.', {
        months: monthsWords(reason.months),
        needed: monthsWords(reason.needed),
      })
    case 'experience-unclear':
      return say('{{least}} to {{most}}; {{needed}} are asked. The days of {{jobs}} would decide it.', {
        least: monthsWords(reason.least),
        most: monthsWords(reason.most),
        needed: monthsWords(reason.needed),
        jobs: reason.inexact.join(', '),
      })
    case 'no-work-entries':
      return say('No job to confirm.')
    case 'work-open':
      return say('{{open}} of {{of}} jobs still to be confirmed, {{claim}} first.', {
        open: reason.open,
        of: reason.of,
        claim: reason.claim,
      })
    case 'check-not-sat':
      return say('Not sat yet.')
    case 'check-under-way':
      return say('Begun, not handed in yet.')
    case 'check-failed':
      return say('{{percent}} %, below the pass mark.', { percent: reason.percent })
    case 'check-passed':
      return say('Passed with {{percent}} %.', { percent: reason.percent })
    case 'answer-other':
      return say('Answered “{{answer}}”; {{needed}} is needed.', { answer: reason.answer, needed: reason.needed })
    case 'too-few-references':
      return say('{{confirmed}} of {{needed}} employers have confirmed{{asked}}.', {
        confirmed: reason.confirmed,
        needed: reason.needed,
        asked: reason.asked > 0 ? say(', {{asked}} asked', { asked: reason.asked }) : '',
      })
    case 'too-few-vouch':
      return say('{{done}} of {{needed}} have vouched{{asked}}.', {
        done: reason.done,
        needed: reason.needed,
        asked: reason.asked > reason.done ? say(', {{asked}} asked', { asked: reason.asked - reason.done }) : '',
      })
    case 'fee-open':
      return say('{{amount}} not received yet.', { amount: writeAmount(reason.amount, reason.currency) })
    case 'not-signed':
      return say('Not signed yet.')
    case 'no-offer':
      return say('No offer has been made yet.')
    case 'offer-open':
      return say('The offer awaits an answer.')
    case 'offer-expired':
      return say('The day to answer the offer by has passed.')
    case 'offer-declined':
      return say('The offer was declined.')
    case 'task-open':
      return say('Not done yet.')
  }
}

const stepWords: Record<Step['what'], string> = {
  answer: 'answer',
  explain: 'explain',
  upload: 'send document',
  renew: 'renew',
  look: 'look at document',
  ask: 'ask source',
  reply: 'answer',
  compare: 'compare reply',
  decide: 'decide',
  'sit check': 'sit check',
  sign: 'sign',
  'do task': 'do task',
  'make offer': 'offer',
  pay: 'pay',
  'name someone': 'name somebody',
}
const whoWords: Record<Who, string> = {
  candidate: 'Candidate',
  desk: 'Coordinator',
  source: 'Source',
  'hiring manager': 'Hiring manager',
}
/** The roles that take a step for somebody; candidates and sources have none at the desk. */
const rolesOf: Record<Who, readonly string[]> = {
  candidate: [],
  desk: ['coordinator', 'administrator'],
  source: [],
  'hiring manager': ['hiring manager', 'administrator'],
}

/** Whose turn it is and for what, in a few words for a list on the desk: "You" only where it is the reader. */
export function ballWords({ who, what }: Step, roles: readonly string[]): string {
  const isReader = rolesOf[who].some((role) => roles.includes(role))
  return `${isReader ? 'You' : whoWords[who]}: ${stepWords[what]}`
}

/** An amount in minor units as people read it: `45.00 EUR`. */
export const writeAmount = (minor: number, currency: string) => `${(minor / 100).toFixed(2)} ${currency}`
/** A name within a sentence: small in English, as it is in a language that writes nouns large. */
const inSentence = (text: string) =>
  spokenLanguage() === 'en' ? text.replace(/^./, (letter) => letter.toLowerCase()) : text
const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
const monthsWords = (months: number) =>
  [
    months >= 12 ? say('{{years}} y', { years: Math.floor(months / 12) }) : '',
    months % 12 || months < 12 ? say('{{months}} m', { months: months % 12 }) : '',
  ]
    .filter(Boolean)
    .join(' ')
