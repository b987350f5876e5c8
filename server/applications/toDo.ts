import type { Status } from '#contract/applications'
import { type Form, questionKeyOf, sectionOf } from '#core/form/form'
import type { Ask, Outcome, Requirement } from '#core/requirements/requirement'
import { retell } from '#core/words/retell'
import { say } from '#core/words/say'
import { checkByKey } from '../records/skills/checks'

type ToDo = Status['toDo'][number]

/** What the way to each kind of ask is called. Whoever adds a kind says where its candidate is sent. */
const labels: Record<Ask['kind'], () => string> = {
  answer: () => say('Answer it'),
  declaration: () => say('Answer it'),
  document: () => say('Add the document'),
  study: () => say('Add your study'),
  credential: () => say('Add it to your licences and certificates'),
  history: () => say('Complete your history'),
  experience: () => say('Complete your history'),
  'every work entry': () => say('Complete your history'),
  reference: () => say('Complete your history'),
  identity: () => say('Show who you are'),
  vouching: () => say('Name somebody who vouches for you'),
  permission: () => say('Read and sign it'),
  'skills check': () => say('Sit the check'),
  fee: () => say('Pay it'),
  'offer accepted': () => say('Answer the offer'),
  'onboarding task': () => say('Read and acknowledge it'),
}

/** What a candidate has to do about a requirement, and the place where it is done. */
export async function toDoOf(outcome: Outcome, requirement: Requirement, form: Form, why: string): Promise<ToDo> {
  const { asks } = requirement
  const [step] = outcome.steps
  const about = {
    key: outcome.requirement,
    title: retell(outcome.title),
    why,
    label: labels[asks.kind](),
    minutes: null,
  }
  const go: ToDo = { ...about, act: 'go', target: placeOf(outcome, requirement, form) ?? '' }
  if (outcome.reason.code === 'condition-undecided') return { ...go, label: say('Answer it') }
  const claim = outcome.claims[0]
  if (claim && step?.what === 'renew') return { ...about, act: 'renew', target: claim }
  if (claim && step?.what === 'upload') return { ...about, act: 'upload', target: claim }
  switch (asks.kind) {
    case 'skills check': {
      const { title, minutes } = await checkByKey(asks.check)
      return { ...about, title: say(title), act: 'sit check', target: asks.check, minutes }
    }
    case 'onboarding task':
      return { ...about, act: 'do task', target: asks.task }
    case 'offer accepted':
      return { ...about, title: say('Answer the offer'), act: 'answer offer', target: '' }
    case 'fee':
      return { ...about, act: 'pay', target: '' }
    case 'answer':
    case 'declaration':
    case 'document':
    case 'study':
    case 'credential':
    case 'history':
    case 'experience':
    case 'every work entry':
    case 'reference':
    case 'identity':
    case 'vouching':
    case 'permission':
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
