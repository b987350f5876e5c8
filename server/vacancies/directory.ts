import { countsByStage } from '../applications/find'
import type { Deps } from '../deps'
import { vacanciesBeingEdited } from '../rules/versions'
import { Intake } from './model'
import { allVacancies, isOpen, vacancyLine } from './vacancies'

/** Every vacancy, with how many people stand where. */
export async function deskVacancies(deps: Pick<Deps, 'clock'>) {
  const [byStage, edited, intakes] = await Promise.all([countsByStage(), vacanciesBeingEdited(), Intake.findAll()])
  return (await allVacancies()).map((vacancy) => ({
    ...vacancyLine(vacancy),
    open: isOpen(vacancy, deps.clock.now()),
    state: vacancy.state,
    intake: intakes.find(({ id }) => id === vacancy.intakeId)?.title ?? null,
    changed: edited.has(vacancy.id),
    headcount: vacancy.headcount,
    byStage: byStage.get(vacancy.id) ?? {},
  }))
}
