import type { Stage } from '#contract/applications'
import { mondayToFriday } from '#core/calendar/workingDays'
import { type Forecast, likelyReady, slackOf } from '#core/forecast/likelyReady'
import { evaluate } from '#core/requirements/evaluate'
import type { Gate, Outcome, Requirement } from '#core/requirements/requirement'
import { type Rules, requirementsIn } from '#core/rules/rules'
import type { Application } from '../applications/model'
import type { Deps } from '../deps'
import { rankingKey } from '../rules/versions'
import type { Vacancy } from '../vacancies/model'
import { rulesOfVacancy, vacancyById } from '../vacancies/vacancies'
import { type LoadedFile, loadFiles } from './facts'

/** Everything an application is judged by, loaded once, and the judgement. */
export type Readiness = LoadedFile & {
  vacancy: Vacancy
  rules: Rules
  requirements: Requirement[]
  outcomes: Outcome[]
  forecast: Forecast
  slack: number
}

/**
 * The rules an application is judged by: the newest while it is being written, those it was sent under afterwards. A
 * vacancy that joins an intake later asks nobody who has sent for a ranking.
 */
export function rulesOfApplication(application: Application, vacancy: Vacancy): Promise<Rules> {
  if (application.stage === 'being written') return rulesOfVacancy(vacancy)
  return rulesOfVacancy(vacancy, {
    version: application.rulesVersion,
    ranking: application.answers[rankingKey] !== undefined,
  })
}

/** `known` spares the reading of what the caller has read already. */
export async function readinessOf(
  deps: Deps,
  application: Application,
  known: Partial<Pick<Readiness, 'vacancy' | 'rules'>> = {},
): Promise<Readiness> {
  const asking = rulesAndVacancy(application, known)
  const rulesOf = async () => {
    const { rules } = await asking
    return () => rules
  }
  const [files, { vacancy, rules }] = await Promise.all([loadFiles(deps, [application], rulesOf()), asking])
  const file = files.get(application.id)!
  const requirements = requirementsIn(rules)
  const outcomes = evaluate(requirements, file.facts)
  const forecast = likelyReady(outcomes, file.facts.today, mondayToFriday)
  return { ...file, vacancy, rules, requirements, outcomes, forecast, slack: slackOf(forecast, file.facts.targetStart) }
}

/** The gate an application in a stage stands before. */
export const nextGate: Record<Stage, Gate | null> = {
  'being written': 'send',
  sent: 'shortlist',
  shortlisted: 'offer',
  offered: 'start',
  cleared: null,
  withdrawn: null,
  declined: null,
  'turned down': null,
}

async function rulesAndVacancy(application: Application, known: Partial<Pick<Readiness, 'vacancy' | 'rules'>>) {
  const vacancy = known.vacancy ?? (await vacancyById(application.vacancyId))
  return { vacancy, rules: known.rules ?? (await rulesOfApplication(application, vacancy)) }
}
