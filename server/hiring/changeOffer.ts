import { mayGo } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { changedMeanwhile, invalidField, notFound } from '../platform/errors/problems'
import { sentApplication } from '../records/applications/find'
import { GatePassage, Offer, OnboardingTask } from '../records/hiring/model'
import { problems } from './problems'

/** What becomes of an offer nobody has answered yet, in time or not. */

/** Gives more time to answer an offer; one that has expired stands again. */
export async function extendOffer(deps: Deps, actor: Account, id: string, answerBy: string) {
  const { application, offer } = await unansweredOffer(id)
  if (answerBy <= deps.clock.today().toString()) throw invalidField('/body/answerBy', say('problem.giveADayAfterToday'))
  requireStartAhead(deps, offer.startsOn)
  const before = offer.answerBy
  const changes = { answerBy, remindedAt: null, expiryToldAt: null }
  if (!(await changeWhere(offer, { answer: null, answerBy: before }, changes))) throw changedMeanwhile()
  await recordEvent(deps, actor, {
    code: 'offer-extended',
    values: { before: { day: before }, until: { day: answerBy } },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}

/** Takes an unanswered offer back: the application stands before the offer again, and another can be made. */
export async function withdrawOffer(deps: Deps, actor: Account, id: string, reason: string) {
  const { application, offer } = await unansweredOffer(id)
  const gone = await Offer.destroy({ where: { applicationId: id, answer: null } })
  if (gone === 0) throw changedMeanwhile()
  await GatePassage.destroy({ where: { applicationId: id, gate: 'offer' } })
  await OnboardingTask.destroy({ where: { applicationId: id } })
  await compareAndSet(application, application.version, { stage: 'shortlisted' })
  const { salary, startsOn, answerBy, madeBy, madeAt } = offer
  await recordEvent(deps, actor, {
    code: 'offer-withdrawn',
    values: { reason: reason.trim() },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
    details: { offer: { salary, startsOn, answerBy, madeBy, madeAt: madeAt.toISOString() } },
  })
  return { done: true as const }
}

/** Nobody is offered a first day that is past. */
export function requireStartAhead({ clock }: Deps, startsOn: string) {
  if (startsOn < clock.today().toString()) throw problems.startPast(startsOn)
}

async function unansweredOffer(id: string) {
  const application = await sentApplication(id, { lock: true })
  const offer = await Offer.findByPk(id)
  if (!offer || !mayGo('withdraw offer', application)) throw notFound()
  if (offer.answer) throw problems.offerWasAnswered(offer.answer)
  return { application, offer }
}
