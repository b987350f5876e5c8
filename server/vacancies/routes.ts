import { deskVacancies as contractOfDesk } from '#contract/desk'
import * as rules from '#contract/rules'
import * as contract from '#contract/vacancies'
import * as vacancyGroups from '#contract/vacancyGroups'
import * as vacancySetUp from '#contract/vacancySetUp'
import { namedIn } from '#core/catalogue/namedIn'
import { forReader } from '#core/words/translations'
import { isStaff } from '../platform/deps'
import { bind } from '../platform/http/bind'
import { ownApplicationFor } from '../records/applications/find'
import { namesFor } from '../records/rules/versions'
import { VacancyGroup } from '../records/vacancies/model'
import {
  isOpen,
  listVacancies,
  rulesOfVacancy,
  vacanciesIn,
  vacancyBySlug,
  vacancyLine,
} from '../records/vacancies/vacancies'
import { setDecisionDay } from './decisionDay'
import { deskVacancies } from './directory'
import { listVacancyGroups, saveVacancyGroup } from './groups'
import { createVacancy, publishRules, readDeskVacancy, saveVacancy, setVacancyState } from './setUp'

export const vacancyRoutes = [
  bind(contract.listVacancies, ({ deps, input }) => listVacancies(deps, input.query)),
  bind(contract.readVacancy, async ({ deps, actor, input }) => {
    const atTheDesk = actor.kind === 'account' && isStaff(actor)
    const vacancy = await vacancyBySlug(input.params.slug, { drafts: atTheDesk })
    const asked = await rulesOfVacancy(vacancy)
    const group = vacancy.groupId ? await VacancyGroup.findByPk(vacancy.groupId) : null
    return {
      ...vacancyLine(vacancy),
      duties: vacancy.duties,
      headcount: vacancy.headcount,
      state: vacancy.state,
      opensAt: vacancy.opensAt.toISOString(),
      decidesOn: vacancy.decidesOn ?? null,
      open: isOpen(vacancy, deps.clock.now()),
      group: group && {
        title: group.title,
        rankUpTo: group.rankUpTo,
        others: (await vacanciesIn(group.id))
          .filter(({ id }) => id !== vacancy.id)
          .map(({ slug, title, place }) => ({ slug, title, place })),
      },
      requirements: asked.requirements.map(forReader),
      named: namedIn(asked.requirements, asked.form),
      names: await namesFor(asked),
      form: asked.form.map((section) => ({ ...forReader(section), questions: section.questions.map(forReader) })),
      mine: actor.kind === 'account' ? await ownApplicationFor(actor, vacancy.id) : null,
    }
  }),
  bind(contractOfDesk, ({ deps, actor }) => deskVacancies(deps, actor)),
  bind(vacancySetUp.readDeskVacancy, ({ deps, input }) => readDeskVacancy(deps, input.params.id)),
  bind(vacancySetUp.createVacancy, ({ deps, actor, input }) => createVacancy(deps, actor, input.body)),
  bind(vacancySetUp.saveVacancy, ({ deps, actor, input }) => saveVacancy(deps, actor, input.params.id, input.body)),
  bind(vacancySetUp.setVacancyState, ({ deps, actor, input }) =>
    setVacancyState(deps, actor, input.params.id, input.body),
  ),
  bind(vacancySetUp.setDecisionDay, ({ deps, actor, input }) =>
    setDecisionDay(deps, actor, input.params.id, input.body),
  ),
  bind(rules.publishRules, ({ deps, actor, input }) => publishRules(deps, actor, input.params.id, input.body)),
  bind(vacancyGroups.listVacancyGroups, listVacancyGroups),
  bind(vacancyGroups.saveVacancyGroup, ({ deps, actor, input }) => saveVacancyGroup(deps, actor, input.body)),
]
