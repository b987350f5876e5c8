import { knownFacts } from '../conditions/vocabulary'
import { knownFeeFacts } from '../fees/facts'
import type { Completion } from '../hiring/completion'
import { type Ask, type Gate, gates } from '../requirements/requirement'
import type { RulesFault } from '../rules/faults'
import type { Rules } from '../rules/rules'
import { conditionFaultWords } from './conditions'
import { feeFaultWords } from './fees'
import { isKnown, say, sayCoded } from './say'

const earlier = (gate: Gate): Gate => gates[Math.max(0, gates.indexOf(gate) - 1)]!
const asked = (kind: Ask['kind']) => say(`rules.ask.${kind}`)
const sectionFor = (holds: string) =>
  isKnown(`rules.holds.${holds}`) ? sayCoded({ code: `rules.holds.${holds}` }) : holds

const scheduleOf = ({ fees = [] }: Pick<Rules, 'fees'>, key: string) => fees.find((one) => one.key === key)

/** The time there is to finish, in a sentence. */
export const completionSentence = ({ days, remindAt, extraDays }: Completion): string =>
  [
    say('rules.completeWithin', { count: days }),
    ...(remindAt.length > 0
      ? [say('rules.remindedAt', { steps: [...remindAt].sort((a, b) => b - a).join(', ') })]
      : []),
    ...(extraDays > 0 ? [say('rules.extendedBy', { count: extraDays })] : []),
  ].join(' ')

/** What is wrong with rules, and how to put it right. */
export function rulesFaultWords(fault: RulesFault, rules: Pick<Rules, 'form' | 'fees'>): string {
  if (fault.code === 'unknown-schedule' || fault.code === 'unused-schedule')
    return say(`rules.${fault.code}`, { schedule: scheduleOf(rules, fault.schedule)?.title ?? fault.schedule })
  if ('schedule' in fault) {
    const schedule = scheduleOf(rules, fault.schedule)!
    const { title } = schedule
    return say('fees.fault.within', { title, fault: feeFaultWords(fault, knownFeeFacts(schedule, rules.form)) })
  }
  switch (fault.code) {
    case 'key-twice':
      return say('rules.key-twice', { key: fault.key })
    case 'no-options':
    case 'no-parts':
    case 'no-recipients':
    case 'recipients-twice':
    case 'no-send-section':
    case 'no-interim':
    case 'no-link':
    case 'no-age':
    case 'no-certified':
    case 'no-letter':
      return say(`rules.${fault.code}`)
    case 'holds-twice':
    case 'no-section-for':
      return say(`rules.${fault.code}`, { holds: sectionFor(fault.holds) })
    case 'reminder-too-early':
      return say('rules.reminder-too-early', { count: fault.step })
    case 'unknown-question':
      return say('rules.unknown-question', { question: fault.question })
    case 'unknown-amount':
      return say('rules.unknown-amount', { field: fault.field })
    case 'unknown-language':
      return say('rules.unknown-language', { language: fault.language })
    case 'unknown-check':
      return say('rules.unknown-check', { check: fault.check })
    case 'unknown-task':
      return say('rules.unknown-task', { task: fault.task })
    case 'unknown-document-kind':
      return say('rules.unknown-document-kind', { documentKind: fault.documentKind })
    case 'no-languages':
      return say('rules.no-languages')
    case 'unknown-credential':
      return say('rules.unknown-credential', { credential: fault.credential })
    case 'circle': {
      const labels = new Map(rules.form.flatMap(({ questions }) => questions.map(({ key, label }) => [key, label])))
      const way = [...fault.way, fault.way[0]!].map((key) => `“${labels.get(key) ?? key}”`)
      return say('rules.circle', { way: way.join(say('rules.then')) })
    }
    case 'gate-too-early':
      return say('rules.gate-too-early', {
        asked: asked(fault.kind),
        before: say(`rules.before.${earlier(fault.from)}`),
        choose: say(`rules.before.${fault.from}`),
      })
    case 'rung-out-of-reach':
      return say(fault.gate === 'send' ? 'rules.rung-out-of-reach.send' : 'rules.rung-out-of-reach', {
        asked: asked(fault.kind),
        rung: say(`rules.rung.${fault.rung}`),
      })
    case 'does-not-last':
      return say('rules.does-not-last', { asked: asked(fault.kind) })
    case 'never-answered-so':
      return say('rules.never-answered-so', { question: fault.question, answer: fault.answer })
    case 'unknown-fact':
    case 'unfit-comparison':
    case 'unknown-option':
    case 'asked-later':
    case 'never-holds':
    case 'always-holds':
      return conditionFaultWords(fault, knownFacts(rules.form))
  }
}
