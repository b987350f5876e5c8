import { writeWhen } from '#core/dates/write'
import { mayGo } from '#core/hiring/stages'
import { coded, say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { changedMeanwhile, conflict, invalidField, notFound } from '../platform/errors/problems'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { GatePassage, Offer, OnboardingTask } from '../records/hiring/model'
import { vacancyById } from '../records/vacancies/vacancies'

/** What becomes of an offer nobody has answered yet, in time or not. */

/** Gives more time to answer an offer; one that has expired stands again. */
export async function extendOffer(deps: Deps, actor: Account, id: string, answerBy: string) {
  const { application, offer } = await unansweredOffer(id)
  if (answerBy <= deps.clock.today().toString()) throw invalidField('/body/answerBy', say('problem.giveADayAfterToday'))
  requireStartAhead(deps, offer.startsOn)
  const before = offer.answerBy
  const changes = { answerBy, remindedAt: null, expiryToldAt: null }
  if (!(await changeWhere(offer, { answer: null, answerBy: before }, changes))) throw changedMeanwhile()
  await tell(deps, application, 'offerExtended', answerBy)
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
  await tell(deps, application, 'offerWithdrawn', offer.answerBy)
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
  if (startsOn < clock.today().toString())
    throw conflict('start-past', coded('problem.theFirstDayIsPast', { startsOn: writeWhen(startsOn) }))
}

async function unansweredOffer(id: string) {
  const application = await sentApplication(id, { lock: true })
  const offer = await Offer.findByPk(id)
  if (!offer || !mayGo('withdraw offer', application)) throw notFound()
  if (offer.answer) throw conflict('answered', coded(`problem.offerWas.${offer.answer as 'accepted' | 'declined'}`))
  return { application, offer }
}

async function tell(deps: Deps, application: Application, words: 'offerExtended' | 'offerWithdrawn', until: string) {
  const person = await candidateWithMail(application.candidateId)
  const { title } = await vacancyById(application.vacancyId)
  await queueMail(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    words,
    values: { vacancy: title, until: { day: until }, link: `${deps.config.publicUrl}/applications/${application.id}` },
    about: application,
  })
}
