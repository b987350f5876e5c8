import { deskVacancies } from '#contract/desk'
import * as contract from '#contract/vacancies'
import { countsByStage, ownApplicationFor } from '../applications/find'
import { bind } from '../http/bind'
import { allVacancies, isOpen, listVacancies, namesFor, vacancyBySlug, vacancyLine } from './vacancies'

export const vacancyRoutes = [
  bind(contract.listVacancies, ({ deps, input }) => listVacancies(deps, input.query)),
  bind(contract.readVacancy, async ({ deps, actor, input }) => {
    const vacancy = await vacancyBySlug(input.params.slug)
    return {
      ...vacancyLine(vacancy),
      duties: vacancy.duties,
      headcount: vacancy.headcount,
      open: isOpen(vacancy, deps.clock.now()),
      requirements: vacancy.requirements,
      names: await namesFor(vacancy),
      form: vacancy.form,
      mine: actor.kind === 'account' ? await ownApplicationFor(actor, vacancy.id) : null,
    }
  }),
  bind(deskVacancies, async ({ deps }) => {
    const byStage = await countsByStage()
    return (await allVacancies()).map((vacancy) => ({
      ...vacancyLine(vacancy),
      open: isOpen(vacancy, deps.clock.now()),
      headcount: vacancy.headcount,
      byStage: byStage.get(vacancy.id) ?? {},
    }))
  }),
]
