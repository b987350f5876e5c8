import type { Status } from '#contract/status'
import { type Form, questionKeyOf, sectionOf } from '#core/form/form'
import type { Ask, Outcome, Requirement } from '#core/requirements/requirement'
import { requirementTitle } from '#core/words/requirementTitle'
import { say } from '#core/words/say'
import { checkByKey } from '../records/skills/checks'

type ToDo = Status['toDo'][number]

/** What the way to each kind of ask is called. Whoever adds a kind says where its candidate is sent. */
const labels: Record<Ask['kind'], () => string> = {
  answer: () => say('status.answerIt'),
  declaration: () => say('status.answerIt'),
  document: () => say('status.addTheDocument'),
  study: () => say('status.addYourStudy'),
  credential: () => say('status.addItToYourLicences'),
  language: () => say('status.addTheLanguage'),
  age: () => say('status.answerIt'),
  history: () => say('status.completeYourHistory'),
  experience: () => say('status.completeYourHistory'),
  'every work entry': () => say('status.completeYourHistory'),
  reference: () => say('status.completeYourHistory'),
  identity: () => say('status.showWhoYouAre'),
  vouching: () => say('status.nameSomebodyWhoVouchesFor'),
  permission: () => say('status.readAndSignIt'),
  'skills check': () => say('status.sitTheCheck'),
  fee: () => say('status.payIt'),
  'offer accepted': () => say('status.answerTheOffer'),
  'onboarding task': () => say('status.readAndAcknowledgeIt'),
  'source condition': () => say('status.giveWhatTheSourceAsks'),
  recipients: () => say('status.chooseRecipients'),
}

/** What a candidate has to do about a requirement, and the place where it is done. */
export async function toDoOf(outcome: Outcome, requirement: Requirement, form: Form, why: string): Promise<ToDo> {
  const { asks } = requirement
  const [step] = outcome.steps
  const about = {
    key: outcome.requirement,
    title: requirementTitle(outcome),
    why,
    label: labels[asks.kind](),
    minutes: null,
  }
  const go: ToDo = { ...about, act: 'go', target: placeOf(outcome, requirement, form) ?? '' }
  if (outcome.reason.code === 'condition-undecided') return { ...go, label: say('status.answerIt') }
  const claim = outcome.claims[0]
  if (claim && outcome.reason.code === 'decision-open')
    return { ...about, label: say('hearing.answerBelow'), act: 'be heard', target: claim }
  if (claim && step?.what === 'renew') return { ...about, act: 'renew', target: claim }
  if (claim && step?.what === 'take portrait') return { ...about, act: 'portrait', target: claim }
  if (claim && step?.what === 'certify')
    return { ...about, label: say('status.sayWhoVouches'), act: 'certify', target: claim }
  if (asks.kind === 'source condition') return { ...about, act: 'source paper', target: asks.claim }
  if (claim && step?.what === 'upload') return { ...about, act: 'upload', target: claim }
  switch (asks.kind) {
    case 'skills check': {
      const { title, minutes } = await checkByKey(asks.check)
      return { ...about, title, act: 'sit check', target: asks.check, minutes }
    }
    case 'onboarding task':
      return { ...about, act: 'do task', target: asks.task }
    case 'offer accepted':
      return { ...about, title: say('status.answerTheOffer'), act: 'answer offer', target: '' }
    case 'fee':
      return { ...about, act: 'pay', target: outcome.requirement }
    case 'answer':
    case 'declaration':
    case 'document':
    case 'study':
    case 'credential':
    case 'language':
    case 'age':
    case 'history':
    case 'experience':
    case 'every work entry':
    case 'reference':
    case 'identity':
    case 'vouching':
    case 'permission':
    case 'recipients':
      return go
  }
}

/** The section of the form in which something is settled. */
function placeOf({ reason }: Outcome, requirement: Requirement, form: Form): string | undefined {
  if (reason.code !== 'condition-undecided') return sectionOf(form, requirement)?.key
  const fact = reason.deciding[0] ?? ''
  if (fact.startsWith('file.')) return form.find(({ holds }) => holds === sectionOfFact(fact))?.key
  const key = questionKeyOf(fact).replace(/\.(country|region)$/, '')
  return form.find(({ questions }) => questions.some((question) => question.key === key))?.key
}

const sectionOfFact = (fact: string) =>
  fact.startsWith('file.work') ? 'work' : fact === 'file.credentials' ? 'credentials' : 'study'
