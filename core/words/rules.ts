import { knownFacts } from '../conditions/vocabulary'
import { type Ask, type Gate, gates } from '../requirements/requirement'
import type { RulesFault } from '../rules/faults'
import type { Rules } from '../rules/rules'
import { conditionFaultWords } from './conditions'

const sections: Record<string, string> = {
  study: 'studies',
  work: 'work',
  credentials: 'licences and certificates',
  permission: 'permission to check',
  send: 'reading through and sending',
}

const byGate: Record<Gate, string> = {
  send: 'before sending',
  shortlist: 'before the shortlist',
  offer: 'before an offer',
  start: 'before the first day',
}
const earlier = (gate: Gate): Gate => gates[Math.max(0, gates.indexOf(gate) - 1)]!

const asks: Record<Ask['kind'], string> = {
  answer: 'An answer',
  study: 'A study',
  credential: 'A licence or certificate',
  history: 'A history',
  experience: 'Experience',
  'every work entry': 'A job',
  'skills check': 'A skills check',
  permission: 'The permission to check',
  identity: 'A paper of identity',
  vouching: 'Vouching',
  document: 'A document',
  declaration: 'A declaration',
  reference: 'A reference',
  fee: 'A fee',
  'offer accepted': 'The acceptance of an offer',
  'onboarding task': 'An onboarding task',
}
const asked = (kind: Ask['kind']) => asks[kind]

/** What is wrong with rules, and how to put it right. */
export function rulesFaultWords(fault: RulesFault, rules: Pick<Rules, 'form'>): string {
  switch (fault.code) {
    case 'key-twice':
      return `The short name “${fault.key}” is used twice. Give one of them another.`
    case 'no-options':
      return 'There is nothing to choose from. Add what can be chosen.'
    case 'no-parts':
      return 'A list of records needs at least one question a record.'
    case 'no-send-section':
      return 'The form has to end with reading through and sending.'
    case 'holds-twice':
      return `There are two sections for ${sections[fault.holds] ?? fault.holds}. Take one out.`
    case 'unknown-question':
      return `It rests on the question “${fault.question}”, which the form does not ask.`
    case 'unknown-check':
      return `There is no skills check “${fault.check}”.`
    case 'unknown-task':
      return `There is no onboarding task “${fault.task}” here. Add it, or choose another.`
    case 'unknown-credential':
      return `There is no licence or certificate “${fault.credential}” in the catalogue.`
    case 'no-section-for':
      return `The form has no section for ${sections[fault.holds] ?? fault.holds}, where this would be given.`
    case 'circle': {
      const labels = new Map(rules.form.flatMap(({ questions }) => questions.map(({ key, label }) => [key, label])))
      const way = [...fault.way, fault.way[0]!].map((key) => `“${labels.get(key) ?? key}”`)
      return `These are asked only if each other is answered, in a circle: ${way.join(', then ')}.`
    }
    case 'gate-too-early':
      return `${asked(fault.kind)} cannot be settled ${byGate[earlier(fault.from)]}: nobody could ever pass. Choose “${byGate[fault.from]}” or later.`
    case 'rung-out-of-reach':
      return fault.gate === 'send'
        ? `${asked(fault.kind)} cannot be ${fault.rung} before it was sent: nobody could ever send. Ask for the paper, and for the proof by a later gate.`
        : `${asked(fault.kind)} can never be ${fault.rung}: there is nobody to ask and nothing to look at. Ask for less proof.`
    case 'does-not-last':
      return `${asked(fault.kind)} has no last day. Take the days of validity out.`
    case 'never-answered-so':
      return `The question “${fault.question}” can never be answered with “${fault.answer}”. Choose an answer it has.`
    default:
      return conditionFaultWords(fault, knownFacts(rules.form))
  }
}
