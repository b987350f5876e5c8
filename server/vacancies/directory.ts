import type { Account, Deps } from '../platform/deps'
import { countsByStage } from '../records/applications/find'
import { vacanciesBeingEdited } from '../records/rules/versions'
import { VacancyGroup } from '../records/vacancies/model'
import { allVacancies, isOpen, vacancyLine } from '../records/vacancies/vacancies'

/** Every vacancy, with how many people stand where. */
export async function deskVacancies(deps: Pick<Deps, 'clock'>, actor: Pick<Account, 'vacancies'>) {
  const [byStage, edited, groups] = await Promise.all([countsByStage(), vacanciesBeingEdited(), VacancyGroup.findAll()])
  const seen = (await allVacancies()).filter(({ id }) => actor.vacancies?.includes(id) ?? true)
  return seen.map((vacancy) => ({
    ...vacancyLine(vacancy),
    open: isOpen(vacancy, deps.clock.now()),
    state: vacancy.state,
    group: groups.find(({ id }) => id === vacancy.groupId)?.title ?? null,
    changed: edited.has(vacancy.id),
    headcount: vacancy.headcount,
    byStage: byStage.get(vacancy.id) ?? {},
  }))
}
