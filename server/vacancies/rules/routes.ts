import * as dryRuns from '#contract/dryRuns'
import * as places from '#contract/places'
import * as rules from '#contract/rules'
import * as sections from '#contract/sharedSections'
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
  bind(rules.saveRulesDraft, async ({ deps, actor, input }) => {
    readyDryRun()
    return saveRulesDraft(deps, actor, await vacancyById(input.params.id), input.body)
  }),
  bind(rules.dropRulesDraft, async ({ input }) => dropRulesDraft(await vacancyById(input.params.id))),
  bind(rules.readRulesVersion, async ({ input }) => ({
    rules: await rulesNamed(await vacancyById(input.params.id), input.params.version),
  })),
  bind(rules.compareRules, async ({ input }) =>
    compareRules(await vacancyById(input.params.id), input.query.from, input.query.to),
  ),
  bind(rules.importRules, async ({ deps, actor, input }) =>
    importRules(deps, actor, await vacancyById(input.params.id), input.body),
  ),
  bind(rules.tryRules, async ({ deps, input }) => tryRules(deps, await vacancyById(input.params.id), input.body)),
  bind(dryRuns.startDryRun, async ({ deps, actor, input }) =>
    startDryRun(deps, actor, await vacancyById(input.params.id)),
  ),
  bind(dryRuns.readDryRun, ({ input }) =>
    readDryRun(input.params.id, async (id) => (await vacancyById(id)).rulesVersion, input.query),
  ),
  bind(dryRuns.moveApplications, ({ deps, actor, input }) => moveToRules(deps, actor, input.params.id, input.body)),
  bind(sections.sharedSections, async () => sharedSections(await allVacancies())),
  bind(sections.saveSharedSection, ({ deps, actor, input }) =>
    saveSharedSection(deps, actor, input.params.key, input.body),
  ),
  bind(sections.spreadSharedSection, async ({ deps, actor, input }) =>
    spreadSharedSection(deps, actor, input.params.key, await Promise.all(input.body.vacancies.map(vacancyById))),
  ),
  bind(places.findPlaces, ({ deps, input }) => deps.places.find(input.query.country, input.query.postcode)),
]
