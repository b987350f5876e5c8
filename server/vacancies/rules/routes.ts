import * as contract from '#contract/rules'
import { moveToRules } from '../../hiring/moveToRules'
import { bind } from '../../platform/http/bind'
import { allVacancies, vacancyById } from '../../records/vacancies/vacancies'
import { dropRulesDraft, saveRulesDraft } from './draft'
import { readDryRun, startDryRun } from './dryRun'
import { compareRules, importRules, rulesNamed } from './exchange'
import { saveSharedSection, sharedSections, spreadSharedSection } from './library'
import { readyDryRun } from './runDryRun'
import { tryRules } from './trial'

export const rulesRoutes = [
  bind(contract.saveRulesDraft, async ({ deps, actor, input }) => {
    readyDryRun()
    return saveRulesDraft(deps, actor, await vacancyById(input.params.id), input.body)
  }),
  bind(contract.dropRulesDraft, async ({ input }) => dropRulesDraft(await vacancyById(input.params.id))),
  bind(contract.readRulesVersion, async ({ input }) => ({
    rules: await rulesNamed(await vacancyById(input.params.id), input.params.version),
  })),
  bind(contract.compareRules, async ({ input }) =>
    compareRules(await vacancyById(input.params.id), input.query.from, input.query.to),
  ),
  bind(contract.importRules, async ({ deps, actor, input }) =>
    importRules(deps, actor, await vacancyById(input.params.id), input.body),
  ),
  bind(contract.tryRules, async ({ deps, input }) => tryRules(deps, await vacancyById(input.params.id), input.body)),
  bind(contract.startDryRun, async ({ deps, actor, input }) =>
    startDryRun(deps, actor, await vacancyById(input.params.id)),
  ),
  bind(contract.readDryRun, ({ input }) =>
    readDryRun(input.params.id, async (id) => (await vacancyById(id)).rulesVersion, input.query),
  ),
  bind(contract.moveApplications, ({ deps, actor, input }) => moveToRules(deps, actor, input.params.id, input.body)),
  bind(contract.sharedSections, async () => sharedSections(await allVacancies())),
  bind(contract.saveSharedSection, ({ deps, actor, input }) =>
    saveSharedSection(deps, actor, input.params.key, input.body),
  ),
  bind(contract.spreadSharedSection, async ({ deps, actor, input }) =>
    spreadSharedSection(deps, actor, input.params.key, await Promise.all(input.body.vacancies.map(vacancyById))),
  ),
  bind(contract.findPlaces, ({ deps, input }) => deps.places.find(input.query.country, input.query.postcode)),
]
