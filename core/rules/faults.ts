import { catalogue, credentialKind, documentKind, offered } from '../catalogue/catalogue'
import { type Condition, factsOf } from '../conditions/condition'
import { type ConditionFault, circlesIn, faultsOfCondition } from '../conditions/faults'
import { type KnownFact, knownFacts } from '../conditions/vocabulary'
import { type FeeFault, faultsOfSchedule } from '../fees/faults'
import type { Form, Question } from '../form/form'
import { stepsTooEarly } from '../hiring/completion'
import { isWebAddress } from '../requirements/citation'
import { canBeCertified, canBeInterim, gatesFor, isProven, reachOf, rungsFor } from '../requirements/reach'
import type { Ask, Gate, Requirement } from '../requirements/requirement'
import { type Rules, schedulesIn } from './rules'

export type RulesFault = { pointer: string } & (
  | ConditionFault
  | (FeeFault & { schedule: string })
  | { code: 'unknown-schedule'; schedule: string }
  /** Nothing asks for it, so that nobody would ever pay it. */
  | { code: 'unused-schedule'; schedule: string }
  | { code: 'key-twice'; key: string }
  | { code: 'no-options' }
  | { code: 'no-parts' }
  | { code: 'no-recipients' }
  | { code: 'recipients-twice' }
  | { code: 'no-send-section' }
  | { code: 'holds-twice'; holds: string }
  | { code: 'unknown-question'; question: string }
  | { code: 'unknown-check'; check: string }
  | { code: 'unknown-task'; task: string }
  | { code: 'unknown-credential'; credential: string }
  | { code: 'unknown-document-kind'; documentKind: string }
  | { code: 'no-languages' }
  | { code: 'no-section-for'; holds: string }
  | { code: 'circle'; way: string[] }
  /** Nobody can meet it by this gate. */
  | { code: 'gate-too-early'; kind: Ask['kind']; from: Gate }
  /** Nobody can prove it that well by this gate. */
  | { code: 'rung-out-of-reach'; kind: Ask['kind']; rung: Requirement['rung']; gate: Gate }
  | { code: 'does-not-last'; kind: Ask['kind'] }
  /** Nothing is asked that an interim paper could stand in for. */
  | { code: 'no-interim' }
  /** It leads nowhere a reader can go. */
  | { code: 'no-link' }
  /** The kind asks for no such amount. */
  | { code: 'unknown-amount'; field: string }
  | { code: 'unknown-language'; language: string }
  | { code: 'no-age' }
  /** There is no paper anybody could certify. */
  | { code: 'no-certified' }
  | { code: 'no-letter' }
  /** It would come before anybody has begun. */
  | { code: 'reminder-too-early'; step: number }
  | { code: 'never-answered-so'; question: string; answer: string }
)

/**
 * What is wrong with a vacancy's rules beyond their shape: names used twice, references that lead nowhere, conditions
 * that can never hold, look at what is asked too late, or go round in a circle, and what nobody can ever meet.
 *
 * @param checks the skills checks there are, by key and title
 * @returns one entry a fault, with a JSON pointer (RFC 6901) to its place; empty where the rules can be published
 */
export function faultsOfRules(rules: Rules, checks: Readonly<Record<string, string>>): RulesFault[] {
  const known = knownFacts(rules.form, checks)
  return [
    ...twice(rules.form, '/form'),
    ...twice(
      rules.form.flatMap(({ questions }) => questions),
      '/form',
    ),
    ...twice(rules.requirements, '/requirements'),
    ...twice(rules.onboarding, '/onboarding'),
    ...formFaults(rules, known),
    ...requirementFaults(rules, known, checks),
    ...feeFaults(rules, checks),
    ...(rules.completeWithin ? stepsTooEarly(rules.completeWithin) : []).map(
      (step): RulesFault => ({ pointer: '/completeWithin/remindAt', code: 'reminder-too-early', step }),
    ),
  ]
}

function feeFaults({ form, requirements, fees = [] }: Rules, checks: Readonly<Record<string, string>>): RulesFault[] {
  const used = new Set(requirements.flatMap(schedulesIn))
  return [
    ...twice(fees, '/fees'),
    ...fees.flatMap((schedule, nth): RulesFault[] => {
      const within = faultsOfSchedule(schedule, form, checks).map((fault) => ({
        ...fault,
        ...{ pointer: `/fees/${nth}${fault.pointer}`, schedule: schedule.key },
      }))
      return used.has(schedule.key)
        ? within
        : [...within, { pointer: `/fees/${nth}`, code: 'unused-schedule', schedule: schedule.key }]
    }),
  ]
}

function twice(items: readonly { key: string }[], where: string): RulesFault[] {
  return items.flatMap(({ key }, index) =>
    items.findIndex((other) => other.key === key) < index
      ? [{ pointer: `${where}/${index}/key`, code: 'key-twice', key }]
      : [],
  )
}

function formFaults({ form }: Rules, known: readonly KnownFact[]): RulesFault[] {
  const faults: RulesFault[] = []
  const held = new Set<string>()
  const dependsOn = new Map<string, string[]>()
  let place = 0
  let chooses = false
  form.forEach((section, index) => {
    const pointer = `/form/${index}`
    if (section.holds !== 'questions' && held.has(section.holds))
      faults.push({ pointer: `${pointer}/holds`, code: 'holds-twice', holds: section.holds })
    held.add(section.holds)
    if (section.when) faults.push(...conditionFaults(section.when, known, `${pointer}/when`, place))
    section.questions.forEach((question, nth) => {
      const at = `${pointer}/questions/${nth}`
      if (question.when) faults.push(...conditionFaults(question.when, known, `${at}/when`, place))
      faults.push(...questionFaults(question, at))
      // A body closes by what was asked before it is chosen.
      question.recipients?.forEach(({ exclusions = [] }, which) => {
        exclusions.forEach(({ when }, one) => {
          faults.push(...conditionFaults(when, known, `${at}/recipients/${which}/exclusions/${one}/when`, place))
        })
      })
      faults.push(...twice(question.recipients ?? [], `${at}/recipients`))
      if (question.kind === 'recipients' && chooses) faults.push({ pointer: at, code: 'recipients-twice' })
      chooses ||= question.kind === 'recipients'
      const conditions = [section.when, question.when].filter((condition) => condition !== undefined)
      dependsOn.set(question.key, conditions.flatMap(factsOf).map(questionOf(known)))
      place += 1
    })
  })
  if (form.at(-1)?.holds !== 'send') faults.push({ pointer: '/form', code: 'no-send-section' })
  return [...faults, ...circlesIn(dependsOn).map((way) => ({ pointer: '/form', code: 'circle' as const, way }))]
}

const questionOf = (known: readonly KnownFact[]) => (fact: string) =>
  known.find(({ name }) => name === fact)?.question ?? fact

function questionFaults(
  { kind, options = [], parts = [], recipients = [], documentKind: paper }: Question,
  pointer: string,
): RulesFault[] {
  if (['one of', 'several of', 'ranked choice'].includes(kind) && options.length === 0)
    return [{ pointer: `${pointer}/options`, code: 'no-options' }]
  if (paper !== undefined && !documentKind(paper))
    return [{ pointer: `${pointer}/documentKind`, code: 'unknown-document-kind', documentKind: paper }]
  if (kind === 'languages' && offered(catalogue().languages).length === 0) return [{ pointer, code: 'no-languages' }]
  if (kind === 'recipients' && recipients.length === 0)
    return [{ pointer: `${pointer}/recipients`, code: 'no-recipients' }]
  if (kind === 'records' && parts.length === 0) return [{ pointer: `${pointer}/parts`, code: 'no-parts' }]
  return []
}

const conditionFaults = (condition: Condition, known: readonly KnownFact[], pointer: string, place?: number) =>
  faultsOfCondition(condition, known, place).map((fault): RulesFault => ({ pointer, ...fault }))

function requirementFaults(
  { form, requirements, onboarding, fees = [] }: Rules,
  known: readonly KnownFact[],
  checks: Readonly<Record<string, string>>,
): RulesFault[] {
  const questions = new Set(form.flatMap((section) => section.questions.map(({ key }) => key)))
  const held = new Set<string>(form.map(({ holds }) => holds))
  const faultsOfAsk = (ask: Ask, pointer: string): RulesFault[] => {
    switch (ask.kind) {
      case 'declaration': {
        const options = answersTo(form, ask.question)
        if (!options) return [{ pointer, code: 'unknown-question', question: ask.question }]
        return options.includes(ask.mustBe)
          ? []
          : [{ pointer, code: 'never-answered-so', question: ask.question, answer: ask.mustBe }]
      }
      case 'answer':
      case 'document':
        return questions.has(ask.question) ? [] : [{ pointer, code: 'unknown-question', question: ask.question }]
      case 'skills check':
        return checks[ask.check] ? [] : [{ pointer, code: 'unknown-check', check: ask.check }]
      case 'onboarding task':
        return onboarding.some(({ key }) => key === ask.task) ? [] : [{ pointer, code: 'unknown-task', task: ask.task }]
      case 'credential':
        if (!credentialKind(ask.credential))
          return [{ pointer, code: 'unknown-credential', credential: ask.credential }]
        if (ask.atLeast && !hasAmount(ask.credential, ask.atLeast.field))
          return [{ pointer: `${pointer}/atLeast/field`, code: 'unknown-amount', field: ask.atLeast.field }]
        return held.has('credentials') ? [] : [{ pointer, code: 'no-section-for', holds: 'credentials' }]
      case 'language':
        if (!catalogue().languages.some(({ key }) => key === ask.language))
          return [{ pointer, code: 'unknown-language', language: ask.language }]
        return held.has('credentials') ? [] : [{ pointer, code: 'no-section-for', holds: 'credentials' }]
      case 'age':
        return ageFaults(ask, pointer)
      case 'study':
      case 'permission':
      case 'identity':
      case 'vouching':
        return held.has(ask.kind) ? [] : [{ pointer, code: 'no-section-for', holds: ask.kind }]
      case 'history':
      case 'experience':
      case 'every work entry':
      case 'reference':
        return held.has('work') ? [] : [{ pointer, code: 'no-section-for', holds: 'work' }]
      case 'fee':
        return fees.some(({ key }) => key === ask.schedule)
          ? []
          : [{ pointer, code: 'unknown-schedule', schedule: ask.schedule }]
      case 'offer accepted':
      case 'source condition':
      case 'recipients':
        return []
    }
  }
  const ageFaults = (ask: Extract<Ask, { kind: 'age' }>, pointer: string): RulesFault[] => {
    const { allowances = [], least, most } = ask
    const dated = form
      .flatMap((section) => section.questions)
      .some(({ key, kind }) => key === ask.question && kind === 'date')
    return [
      ...(dated ? [] : [{ pointer, code: 'unknown-question' as const, question: ask.question }]),
      ...((least === undefined && most === undefined) || (least ?? 0) > (most ?? 100)
        ? [{ pointer, code: 'no-age' as const }]
        : []),
      ...allowances.flatMap(({ when, document }, nth) => [
        ...conditionFaults(when, known, `${pointer}/allowances/${nth}/when`),
        ...(document === undefined || isDocumentOf(form, document)
          ? []
          : [
              {
                pointer: `${pointer}/allowances/${nth}/document`,
                code: 'unknown-question' as const,
                question: document,
              },
            ]),
      ]),
    ]
  }
  return requirements.flatMap((requirement, index) => {
    const pointer = `/requirements/${index}`
    return [
      ...faultsOfAsk(requirement.asks, `${pointer}/asks`),
      ...(requirement.alternatives ?? []).flatMap((ask, nth) => faultsOfAsk(ask, `${pointer}/alternatives/${nth}`)),
      ...(isWebAddress(requirement.citation?.link)
        ? []
        : [{ pointer: `${pointer}/citation/link`, code: 'no-link' as const }]),
      ...reachFaults(requirement, pointer),
      ...(requirement.when ? conditionFaults(requirement.when, known, `${pointer}/when`) : []),
      ...(requirement.exempt ? conditionFaults(requirement.exempt.when, known, `${pointer}/exempt/when`) : []),
    ]
  })
}

const isDocumentOf = (form: Form, question: string) =>
  form.some(({ questions }) =>
    questions.some(({ key, kind, paper }) => key === question && (kind === 'document' || paper)),
  )

/** Whether a kind of credential asks for an amount by this name. */
const hasAmount = (credential: string, name: string) =>
  credentialKind(credential)?.fields.some(({ key, kind }) => key === name && (kind === 'money' || kind === 'number'))

/** What a question can be answered with; nothing where the form does not ask it. */
function answersTo(form: Form, key: string): readonly string[] | undefined {
  const question = form.flatMap(({ questions }) => questions).find((one) => one.key === key)
  if (!question) return undefined
  if (question.kind === 'declaration') return ['agreed']
  return question.kind === 'one of' ? (question.options ?? []) : ['yes', 'no']
}

/** What nobody can ever meet: a gate before it can be, a proof that no screen leads to, a last day of what has none. */
function reachFaults(requirement: Requirement, pointer: string): RulesFault[] {
  const asks = [requirement.asks, ...(requirement.alternatives ?? [])]
  const { gate, rung } = requirement
  const places = asks.map((ask, nth) => ({
    ask,
    at: nth === 0 ? `${pointer}/asks` : `${pointer}/alternatives/${nth - 1}`,
  }))
  return [
    ...places.flatMap(({ ask, at }): RulesFault[] =>
      gatesFor([ask]).includes(gate)
        ? []
        : [{ pointer: at, code: 'gate-too-early', kind: ask.kind, from: reachOf[ask.kind].from }],
    ),
    ...places.flatMap(({ ask, at }): RulesFault[] =>
      rungsFor([ask], gate).includes(rung) || (!isProven(ask.kind) && asks.some(({ kind }) => isProven(kind)))
        ? []
        : [{ pointer: at, code: 'rung-out-of-reach', kind: ask.kind, rung, gate }],
    ),
    ...(requirement.interim && !(canBeInterim(asks) && (requirement.paper || rung !== 'claimed'))
      ? [{ pointer: `${pointer}/interim`, code: 'no-interim' as const }]
      : []),
    ...places.flatMap(({ ask, at }): RulesFault[] =>
      ask.kind === 'every work entry' && ask.wholeLetter && rung === 'claimed' && !requirement.paper
        ? [{ pointer: at, code: 'no-letter' }]
        : [],
    ),
    ...(requirement.certified && !canBeCertified(asks)
      ? [{ pointer: `${pointer}/certified`, code: 'no-certified' as const }]
      : []),
    ...(requirement.validStartPlusDays === undefined
      ? []
      : places.flatMap(({ ask, at }): RulesFault[] =>
          !isProven(ask.kind) || reachOf[ask.kind].lasts
            ? []
            : [{ pointer: at, code: 'does-not-last', kind: ask.kind }],
        )),
  ]
}
