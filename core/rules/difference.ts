import type { Condition } from '../conditions/condition'
import { type KnownFact, knownFacts } from '../conditions/vocabulary'
import { knownFeeFacts } from '../fees/facts'
import type { Question, Section } from '../form/form'
import { conditionWords } from '../words/conditions'
import { scheduleSentence } from '../words/fees'
import { questionSentence } from '../words/form'
import { recipientSentence } from '../words/recipients'
import { requirementSentence } from '../words/requirements'
import { rolesWords } from '../words/roles'
import { completionSentence } from '../words/rules'
import { say } from '../words/say'
import type { Rules } from './rules'

/** One thing that two versions of rules say differently, each side as a sentence; the side where it is not there is absent. */
export type Difference = {
  of: 'section' | 'question' | 'requirement' | 'task' | 'fees' | 'time' | 'order'
  key: string
  title: string
  before?: string
  after?: string
}

type Names = Readonly<Record<string, string>>

/**
 * What two versions of a vacancy's rules say differently, in the words people read.
 *
 * @param names titles of skills checks and tasks by key
 */
export function differencesOf(before: Rules, after: Rules, names: Names): Difference[] {
  const sides = { before: saying(before, names), after: saying(after, names) }
  const kinds = ['section', 'question', 'requirement', 'task', 'fees', 'time'] as const
  const changed = kinds.flatMap((of) => {
    const old = sides.before[of]
    const now = sides.after[of]
    const gone = [...old].filter(([key]) => !now.has(key))
    return [
      ...[...now].flatMap(([key, { title, sentence }]): Difference[] => {
        const was = old.get(key)
        return was?.sentence === sentence ? [] : [{ of, key, title, before: was?.sentence, after: sentence }]
      }),
      ...gone.map(([key, { title, sentence }]): Difference => ({ of, key, title, before: sentence })),
    ]
  })
  return [...changed, ...orderOf(before, after)]
}

type Said = Map<string, { title: string; sentence: string }>

function saying(rules: Rules, names: Names): Record<Exclude<Difference['of'], 'order'>, Said> {
  const known = knownFacts(rules.form, names)
  const labels = new Map(rules.form.flatMap(({ questions }) => questions.map(({ key, label }) => [key, label])))
  const { onboarding, fees = [], completeWithin } = rules
  const tasks = new Map([...onboarding, ...fees].map(({ key, title }) => [key, title]))
  const nameOf = (key: string) => labels.get(key) ?? tasks.get(key) ?? names[key] ?? key
  const entry = (key: string, title: string, sentence: string) => [key, { title, sentence }] as const
  return {
    section: new Map(rules.form.map((section) => entry(section.key, section.title, sectionSentence(section, known)))),
    question: new Map(
      rules.form.flatMap(({ title, questions }) =>
        questions.map((question) => entry(question.key, question.label, `${title}: ${askedAs(question, known)}`)),
      ),
    ),
    requirement: new Map(
      rules.requirements.map((requirement) =>
        entry(
          requirement.key,
          requirement.title,
          `${requirementSentence(requirement, nameOf, known)} ${requirement.why}${cited(requirement)} ${waivers(requirement.waivableBy)}`,
        ),
      ),
    ),
    task: new Map(onboarding.map(({ key, title, text }) => entry(key, title, `${title}: ${text}`))),
    fees: new Map(
      fees.map((schedule) => {
        const { key, title } = schedule
        return entry(key, title, scheduleSentence(schedule, knownFeeFacts(schedule, rules.form, names)))
      }),
    ),
    time: new Map(completeWithin ? [entry('time', say('rules.timeToFinish'), completionSentence(completeWithin))] : []),
  }
}

const sectionSentence = ({ title, heading, intro, when }: Section, known: readonly KnownFact[]) =>
  `${say('rules.sectionAsks', { title, heading, intro })}${onlyIf(when, known)}`
const askedAs = (question: Question, known: readonly KnownFact[]) =>
  [
    `${questionSentence(question)}${onlyIf(question.when, known)}`,
    ...(question.recipients ?? []).map((recipient) => recipientSentence(recipient, known)),
  ].join(' ')
const onlyIf = (when: Condition | undefined, known: readonly KnownFact[]) =>
  when ? ` ${say('ask.onlyIf', { condition: conditionWords(when, known) })}` : ''
const cited = ({ citation }: Rules['requirements'][number]) =>
  citation ? ` ${[citation.text, citation.link].filter(Boolean).join(', ')}` : ''
const waivers = (roles: readonly string[]) =>
  roles.length === 0 ? say('rules.nobodyMayWaive') : say('rules.waivableBy', { roles: rolesWords(roles) })

/** The order of sections and of questions, where the same ones stand in another. */
function orderOf(before: Rules, after: Rules): Difference[] {
  const order = (rules: Rules, shared: ReadonlySet<string>) =>
    rules.form.flatMap(({ key, title, questions }) =>
      [{ key, title }, ...questions.map((question) => ({ key: question.key, title: question.label }))].filter((item) =>
        shared.has(item.key),
      ),
    )
  const keys = (rules: Rules) =>
    new Set(rules.form.flatMap(({ key, questions }) => [key, ...questions.map((question) => question.key)]))
  const shared = new Set([...keys(before)].filter((key) => keys(after).has(key)))
  const [old, now] = [order(before, shared), order(after, shared)]
  if (old.every(({ key }, index) => key === now[index]?.key)) return []
  const written = (items: readonly { title: string }[]) => items.map(({ title }) => title).join(' · ')
  return [{ of: 'order', key: 'order', title: say('rules.theOrder'), before: written(old), after: written(now) }]
}
