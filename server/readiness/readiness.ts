import { isDraft, isSent } from '#core/hiring/stages'
import { evaluate } from '#core/requirements/evaluate'
import type { Outcome, Requirement } from '#core/requirements/requirement'
import { requirementsOfSources } from '#core/requirements/sourceCondition'
import { type Rules, requirementsIn } from '#core/rules/rules'
import type { Deps } from '../platform/deps'
import type { Application } from '../records/applications/model'
import { conditionRequirements } from '../records/matters/find'
import { rankingKey } from '../records/rules/versions'
import type { Vacancy } from '../records/vacancies/model'
import { rulesOfVacancy, vacancyById } from '../records/vacancies/vacancies'
import { type LoadedFile, loadFiles, type Nameless } from './facts'

/** Everything an application is judged by, loaded once, and the judgement. */
export type Readiness = LoadedFile & {
  vacancy: Vacancy
  rules: Rules
  requirements: Requirement[]
  outcomes: Outcome[]
}

/**
 * The rules an application is judged by: the newest while it is being written, those it was sent under afterwards. A
 * vacancy that joins a group later asks nobody who has sent for a ranking.
 */
export function rulesOfApplication(application: Application, vacancy: Vacancy): Promise<Rules> {
  if (isDraft(application)) return rulesOfVacancy(vacancy)
  return rulesOfVacancy(vacancy, {
    version: application.rulesVersion,
    ranking: application.answers[rankingKey] !== undefined,
  })
}

type Known = Partial<Pick<Readiness, 'vacancy' | 'rules'>> & {
  /** Whose claims are called only what is read without names. */
  nameless?: Nameless | Promise<Nameless>
}

/** `known` spares the reading of what the caller has read already. */
export const readinessOf = async (deps: Deps, application: Application, known: Known = {}): Promise<Readiness> =>
  (await readinessOfAll(deps, [application], known)).get(application.id)!

/** The same for many applications, in as many statements as for one. */
export async function readinessOfAll(
  deps: Deps,
  applications: readonly Application[],
  known: Known = {},
): Promise<Map<string, Readiness>> {
  const asking = judgedBy(applications, known)
  const rulesOf = async () => {
    const found = await asking
    return ({ id }: { id: string }) => found.get(id)!.rules
  }
  const [files, found] = await Promise.all([loadFiles(deps, applications, rulesOf(), known.nameless), asking])
  return new Map(
    applications.map((application) => {
      const { id } = application
      const [file, { vacancy, rules }] = [files.get(id)!, found.get(id)!]
      const requirements = [
        ...requirementsIn(rules),
        ...requirementsOfSources(file.facts.claims, isSent(application)),
        ...conditionRequirements(file.matters, id),
      ]
      const outcomes = evaluate(requirements, file.facts)
      return [id, { ...file, vacancy, rules, requirements, outcomes }]
    }),
  )
}

/** The vacancy of each application and the rules it is judged by, each read once however many share it. */
async function judgedBy(applications: readonly Application[], known: Known) {
  const reading = new Map<string, Promise<unknown>>()
  const once = <T>(key: string, read: () => Promise<T>): Promise<T> => {
    const before = reading.get(key) as Promise<T> | undefined
    if (before) return before
    const now = read()
    reading.set(key, now)
    return now
  }
  const found = applications.map(async (application) => {
    const { id, vacancyId, rulesVersion, answers } = application
    const vacancy = known.vacancy ?? (await once(vacancyId, () => vacancyById(vacancyId)))
    const version = isDraft(application) ? 'newest' : `${rulesVersion} ${answers[rankingKey] !== undefined}`
    const rules = known.rules ?? (await once(`${vacancyId} ${version}`, () => rulesOfApplication(application, vacancy)))
    return [id, { vacancy, rules }] as const
  })
  return new Map(await Promise.all(found))
}
