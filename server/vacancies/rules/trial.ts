import { Temporal } from 'temporal-polyfill'
import type { MadeUp } from '#contract/rules'
import { evaluate } from '#core/requirements/evaluate'
import { fileOfMadeUp } from '#core/rules/madeUp'
import { type Rules, requirementsIn } from '#core/rules/rules'
import { ballWords, outcomeWords } from '#core/words/outcomes'
import { say } from '#core/words/say'
import type { Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { loadFiles } from '../../readiness/facts'
import { sentApplication } from '../../records/applications/find'
import { shownNames } from '../../records/people/shownNames'
import { namesFor } from '../../records/rules/versions'

type Who = { madeUp: MadeUp } | { application: string }

/** How rules come out for somebody, with every reason in words. Nothing is kept. */
export async function tryRules(
  deps: Deps,
  vacancy: { id: string; targetStart: string },
  { rules, who }: { rules: Rules; who: Who },
) {
  const { name, file } =
    'madeUp' in who
      ? madeUpFile(deps, vacancy, rules, who.madeUp)
      : await realFile(deps, vacancy, rules, who.application)
  const names = await namesFor(rules)
  const nameOf = (key: string) => names[key] ?? key
  return {
    name,
    outcomes: evaluate(requirementsIn(rules), file).map((outcome) => ({
      requirement: outcome.requirement,
      title: outcome.title,
      gate: outcome.gate,
      state: outcome.state,
      why: outcomeWords(outcome, nameOf),
      ball: outcome.steps[0] ? ballWords(outcome.steps[0], []) : '',
      deciding: outcome.reason.code === 'condition-undecided' ? outcome.reason.deciding.map(nameOf) : [],
    })),
  }
}

const madeUpFile = ({ clock }: Deps, { targetStart }: { targetStart: string }, { form }: Rules, madeUp: MadeUp) => ({
  name: say('composer.aMadeUpPerson'),
  file: fileOfMadeUp(madeUp, form, clock.today(), Temporal.PlainDate.from(targetStart)),
})

async function realFile(deps: Deps, vacancy: { id: string }, rules: Rules, applicationId: string) {
  const application = await sentApplication(applicationId)
  if (application.vacancyId !== vacancy.id) throw notFound()
  const { facts } = (await loadFiles(deps, [application], () => rules)).get(applicationId)!
  const names = await shownNames([application.candidateId])
  return { name: names.get(application.candidateId)!, file: facts }
}
