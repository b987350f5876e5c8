import { recordEvent } from '../platform/audit/record'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { changedMeanwhile, notFound } from '../platform/errors/problems'
import { ownApplication } from '../records/applications/find'
import { Offer } from '../records/hiring/model'
import { problems } from './problems'

/** The candidate accepts or declines the offer, once and in time. */
export async function answerOffer(deps: Deps, actor: Account, id: string, answer: 'accepted' | 'declined') {
  const application = await ownApplication(actor, id, { lock: true })
  const offer = await Offer.findByPk(id)
  if (!offer) throw notFound()
  if (offer.answer) throw problems.youAnswered(offer.answer)
  if (deps.clock.today().toString() > offer.answerBy) throw problems.tooLate()
  if (!(await changeWhere(offer, { answer: null, answerBy: offer.answerBy }, { answer, answeredAt: deps.clock.now() })))
    throw changedMeanwhile()
  await compareAndSet(
    application,
    application.version,
    answer === 'declined' ? { stage: 'declined', endedAt: deps.clock.now() } : {},
  )
  await recordEvent(deps, actor, { code: `offer-${answer}`, candidateId: application.candidateId, applicationId: id })
  return { done: true as const }
}
