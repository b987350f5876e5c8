import type { Facts, FactValue } from '../conditions/condition'
import { comparisonsOf } from '../conditions/faults'
import { judge } from '../conditions/judge'
import { type Answers, factsOfAnswers } from '../form/answer'
import { type Question, questionsOf } from '../form/form'
import { ageOn, helping, isDay, isOfAge } from '../requirements/ageLimits'
import type { Ask, Requirement } from '../requirements/requirement'
import type { Rules } from './rules'

/** What somebody says of themselves before they apply: answers to the form's questions, and which requirements they hold. */
export type SelfCheck = { answers: Answers; holds: Readonly<Record<string, 'yes' | 'no'>> }

export type FitLine = {
  requirement: Requirement
  /** `open` where a fact is missing. */
  state: 'fits' | 'does not fit' | 'not needed' | 'open'
  /** Keys of the questions, or of the requirement itself, that would decide it. */
  missing: string[]
}

export type Fit = { verdict: 'fits' | 'does not fit' | 'open'; lines: FitLine[] }

/** Only what somebody has or has not: what comes later, such as a skills check or an offer, decides nothing beforehand. */
const decisive = new Set<Ask['kind']>(['study', 'credential', 'language', 'experience', 'declaration', 'age'])

/** The requirements that decide whether it is worth applying, each once. */
function decisiveIn({ requirements }: Pick<Rules, 'requirements'>): Requirement[] {
  const seen = new Set<string>()
  return requirements.filter(({ asks, when, alternatives = [] }) => {
    // The same thing is often asked twice, to be said at one gate and proven at a later one.
    const what = JSON.stringify([asks, alternatives, when])
    if (seen.has(what) || ![asks, ...alternatives].every(({ kind }) => decisive.has(kind))) return false
    seen.add(what)
    return true
  })
}

/** The few facts that decide: questions of the form that conditions and declarations look at, and what one may hold. */
export function factsThatDecide(rules: Pick<Rules, 'form' | 'requirements'>): {
  questions: Question[]
  held: Requirement[]
} {
  const chosen = decisiveIn(rules)
  const names = new Set([
    ...chosen.flatMap(({ when, exempt }) =>
      [when, exempt?.when].flatMap((condition) => (condition ? comparisonsOf(condition).map(({ fact }) => fact) : [])),
    ),
    ...chosen.flatMap(({ asks }) => (asks.kind === 'declaration' || asks.kind === 'age' ? [asks.question] : [])),
    ...chosen.flatMap(({ asks }) =>
      asks.kind === 'age'
        ? (asks.allowances ?? []).flatMap(({ when }) => comparisonsOf(when).map(({ fact }) => fact))
        : [],
    ),
  ])
  return {
    questions: questionsOf(rules.form).filter(({ key }) => names.has(key)),
    held: chosen.filter(({ asks }) => asks.kind !== 'declaration' && asks.kind !== 'age'),
  }
}

/**
 * Whether somebody would fit, by the vacancy's own conditions and by nothing else.
 *
 * @param start ISO day of the target start, on which ages are counted
 * @returns `does not fit` as soon as one requirement is not held; `open` while a fact is missing; with every line's
 *   state and what would decide it
 */
export function fitOf(rules: Pick<Rules, 'form' | 'requirements'>, said: SelfCheck, start: string): Fit {
  const chosen = decisiveIn(rules)
  const facts = factsSaid(rules, chosen, said)
  const lines = chosen.map((requirement) => lineOf(requirement, facts, said, start))
  const has = (state: FitLine['state']) => lines.some((line) => line.state === state)
  return { verdict: has('does not fit') ? 'does not fit' : has('open') ? 'open' : 'fits', lines }
}

function lineOf(requirement: Requirement, facts: Facts, { holds }: SelfCheck, start: string): FitLine {
  const { when, exempt, asks, key } = requirement
  if (when) {
    const { truth, deciding } = judge(when, facts)
    if (truth === false) return { requirement, state: 'not needed', missing: [] }
    if (truth === 'undecided') return { requirement, state: 'open', missing: deciding }
  }
  if (exempt && judge(exempt.when, facts).truth === true) return { requirement, state: 'not needed', missing: [] }
  if (asks.kind === 'declaration') {
    const answer = facts[asks.question]
    if (answer === undefined) return { requirement, state: 'open', missing: [asks.question] }
    return { requirement, state: answer === asks.mustBe ? 'fits' : 'does not fit', missing: [] }
  }
  if (asks.kind === 'age') {
    const born = facts[asks.question]
    if (!isDay(born)) return { requirement, state: 'open', missing: [asks.question] }
    const age = ageOn(born, asks.on ?? start)
    const fits = isOfAge(asks, age) || helping(asks, age, facts).length > 0
    return { requirement, state: fits ? 'fits' : 'does not fit', missing: [] }
  }
  const held = holds[key]
  if (held === undefined) return { requirement, state: 'open', missing: [key] }
  return { requirement, state: held === 'yes' ? 'fits' : 'does not fit', missing: [] }
}

/** What conditions may look at: the answers, and of the file only what has been said about. */
function factsSaid(rules: Pick<Rules, 'form'>, chosen: readonly Requirement[], { answers, holds }: SelfCheck): Facts {
  const yes = chosen.filter(({ key }) => holds[key] === 'yes').map(({ asks }) => asks)
  const said = (kind: Ask['kind']) => chosen.some(({ asks, key }) => asks.kind === kind && holds[key] !== undefined)
  const credentials = yes.flatMap((ask) => (ask.kind === 'credential' ? [ask.credential] : []))
  const levels = yes.flatMap((ask) => (ask.kind === 'study' ? [ask.levelAtLeast] : []))
  const file: Record<string, FactValue> = {
    ...(said('credential') ? { 'file.credentials': credentials } : {}),
    ...(said('study') ? { 'file.studyLevel': Math.max(0, ...levels) } : {}),
  }
  return { ...file, ...factsOfAnswers(rules.form, answers) }
}
