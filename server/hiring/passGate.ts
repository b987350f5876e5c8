import { Temporal } from 'temporal-polyfill'
import { mayGo, stageAfter } from '#core/hiring/stages'
import { openAt } from '#core/requirements/evaluate'
import type { Gate } from '#core/requirements/requirement'
import { outcomeWords } from '#core/words/outcomes'
import { requirementTitle } from '#core/words/requirementTitle'
import { coded, say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notAllowed, requireVersion } from '../platform/errors/problems'
import { type Readiness, readinessOf } from '../readiness/readiness'
import { sentApplication } from '../records/applications/find'
import { GatePassage, Offer, OnboardingTask } from '../records/hiring/model'
import { namesFor } from '../records/rules/versions'
import { requireStartAhead } from './changeOffer'
import { problems } from './problems'

type Passing = { gate: Gate; version: number; salary?: number; answerBy?: string }

/**
 * Moves an application through its next gate. Refused, with what is missing, while a requirement up to that gate is
 * unmet or undecided. Passing the offer gate makes the offer; passing the start gate clears the person to start.
 */
export async function passGate(deps: Deps, actor: Account, id: string, { gate, version, salary, answerBy }: Passing) {
  const application = await sentApplication(id, { lock: true })
  requireVersion(version, application.version)
  if (!mayGo(gate, application)) throw problems.notThisGate(application.stage)
  if (gate === 'offer' && !actor.rights.includes('offers.make')) {
    throw notAllowed(coded('problem.anOfferIsMadeBy'))
  }
  const readiness = await readinessOf(deps, application)
  await requireReadiness(readiness, gate)
  if (gate === 'offer' || gate === 'start') requireStartAhead(deps, application.targetStart)
  if (gate === 'offer')
    await makeOffer(deps, actor, id, readiness, { salary, answerBy, startsOn: application.targetStart })
  await compareAndSet(application, version, {
    stage: stageAfter(gate),
    ...(gate === 'start' ? { endedAt: deps.clock.now() } : {}),
  })
  await GatePassage.create({
    applicationId: id,
    gate,
    passedBy: actor.name,
    passedAt: deps.clock.now(),
    readiness: readiness.outcomes,
  })
  await recordEvent(deps, actor, {
    code: `gate-${gate}`,
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { stage: application.stage }
}

async function requireReadiness({ outcomes, rules }: Readiness, gate: Gate) {
  const open = openAt(outcomes, gate)
  if (open.length === 0) return
  const names = await namesFor(rules)
  const missing = open.map((outcome) => ({
    requirement: outcome.requirement,
    title: requirementTitle(outcome),
    why: outcomeWords(outcome, (key) => names[key] ?? key),
  }))
  throw problems.gateShut(missing)
}

type Terms = { salary?: number; answerBy?: string; startsOn: string }

async function makeOffer(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { vacancy, rules }: Readiness,
  { salary, answerBy, startsOn }: Terms,
) {
  if (salary === undefined || salary < vacancy.payFrom || salary > vacancy.payTo)
    throw invalidField('/body/salary', say('problem.thePayHasToLie'))
  if (!answerBy || Temporal.PlainDate.compare(Temporal.PlainDate.from(answerBy), deps.clock.today()) <= 0)
    throw invalidField('/body/answerBy', say('problem.giveADayAfterToday'))
  await Offer.create({ applicationId, salary, startsOn, answerBy, madeBy: actor.name, madeAt: deps.clock.now() })
  await OnboardingTask.bulkCreate(rules.onboarding.map((task) => ({ applicationId, ...task })))
}
