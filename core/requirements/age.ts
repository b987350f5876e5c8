import { Temporal } from 'temporal-polyfill'
import { judge } from '../conditions/judge'
import { claimResult } from './provenClaim'
import type { AgeAllowance, Ask, FileFacts, Requirement } from './requirement'
import { met, nearest, type Result, unmet } from './result'

type AgeAsk = Extract<Ask, { kind: 'age' }>

/**
 * Whole years on a day. Whoever was born on 29 February is a year older on 1 March of years without that day, as most laws
 * have it for a day that ends.
 */
export function ageOn(born: Temporal.PlainDate, day: Temporal.PlainDate): number {
  const years = day.year - born.year
  const isBefore = day.month < born.month || (day.month === born.month && day.day < born.day)
  return isBefore ? years - 1 : years
}

/** Whether somebody is of an age on a day, also by an allowance that holds for them and is proven. */
export function ageResult(
  ask: AgeAsk,
  requirement: Requirement,
  file: FileFacts & { facts: FileFacts['answers'] },
): Result {
  const born = file.facts[ask.question]
  if (typeof born !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(born))
    return unmet({ code: 'answer-missing', question: ask.question }, [{ who: 'candidate', what: 'answer' }])
  const day = ask.on ? Temporal.PlainDate.from(ask.on) : file.targetStart
  const age = ageOn(Temporal.PlainDate.from(born), day)
  if (isOfAge(ask, age)) return met()
  const helping = (ask.allowances ?? []).filter(
    (allowance) => isOfAge(ask, age, allowance.years) && judge(allowance.when, file.facts, file.domains).truth === true,
  )
  if (helping.length > 0) return nearest(helping.map((allowance) => proven(allowance, requirement, file)))
  const young = ask.least !== undefined && age < ask.least
  return unmet(
    { code: young ? 'too-young' : 'too-old', age, on: day.toString(), needed: (young ? ask.least : ask.most)! },
    [{ who: 'desk', what: 'decide' }],
  )
}

const isOfAge = ({ least = 0, most = Number.POSITIVE_INFINITY }: AgeAsk, age: number, years = 0) =>
  age >= least - years && age <= most + years

/** What an allowance rests on is shown by a paper, where it names one, that somebody has looked at once anybody can. */
function proven({ document }: AgeAllowance, requirement: Requirement, file: FileFacts): Result {
  if (document === undefined) return met()
  const papers = file.claims.filter(({ question }) => question === document)
  return claimResult(
    papers,
    requirement.gate === 'send' ? { ...requirement, paper: true } : { ...requirement, rung: 'evidenced' },
    file,
  )
}
