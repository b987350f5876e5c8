import { type AgeAsk, ageOn, helping, isDay, isOfAge } from './ageLimits'
import { claimResult } from './provenClaim'
import type { AgeAllowance, FileFacts, Requirement } from './requirement'
import { met, nearest, type Result, unmet } from './result'

/** Whether somebody is of an age on a day, also by an allowance that holds for them and is proven. */
export function ageResult(
  ask: AgeAsk,
  requirement: Requirement,
  file: FileFacts & { facts: FileFacts['answers'] },
): Result {
  const born = file.facts[ask.question]
  if (!isDay(born))
    return unmet({ code: 'answer-missing', question: ask.question }, [{ who: 'candidate', what: 'answer' }])
  const on = ask.on ?? file.targetStart.toString()
  const age = ageOn(born, on)
  if (isOfAge(ask, age)) return met()
  const allowances = helping(ask, age, file.facts, file.domains)
  if (allowances.length > 0) return nearest(allowances.map((allowance) => proven(allowance, requirement, file)))
  const young = ask.least !== undefined && age < ask.least
  return unmet({ code: young ? 'too-young' : 'too-old', age, on, needed: (young ? ask.least : ask.most)! }, [
    { who: 'desk', what: 'decide' },
  ])
}

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
