import { writeWhen } from '#core/dates/write'
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
  if (answerBy <= deps.clock.today().toString()) throw invalidField('/body/answerBy', 'Give a day after today.')
  requireStartAhead(deps, offer.startsOn)
  const before = offer.answerBy
  const changes = { answerBy, remindedAt: null, expiryToldAt: null }
  if (!(await changeWhere(offer, { answer: null, answerBy: before }, changes))) throw changedMeanwhile()
  await tell(deps, application, {
    subject: 'More time to answer our offer',
    text: (title) => `You can answer our offer of a post as ${title} until ${writeWhen(answerBy)}`,
  })
  await recordEvent(deps, actor, {
    code: 'offer-extended',
    what: `Gave more time to answer the offer, from ${writeWhen(before)} to ${writeWhen(answerBy)}`,
    forCandidate: 'You have more time to answer the offer.',
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
  await tell(deps, application, {
    subject: 'Our offer is withdrawn',
    text: (title) => `We have withdrawn our offer of a post as ${title}. Where your application stands`,
  })
  const { salary, startsOn, answerBy, madeBy, madeAt } = offer
  await recordEvent(deps, actor, {
    code: 'offer-withdrawn',
    what: `Withdrew the offer: ${reason.trim()}`,
    forCandidate: 'We withdrew the offer.',
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
    throw conflict('start-past', `The first day, ${writeWhen(startsOn)}, is past. Change the target start first.`)
}

async function unansweredOffer(id: string) {
  const application = await sentApplication(id, { lock: true })
  const offer = await Offer.findByPk(id)
  if (!offer || application.stage !== 'offered') throw notFound()
  if (offer.answer) throw conflict('answered', `The offer was ${offer.answer} already.`)
  return { application, offer }
}

type News = { subject: string; text: (title: string) => string }

async function tell(deps: Deps, application: Application, { subject, text }: News) {
  const person = await candidateWithMail(application.candidateId)
  const { title } = await vacancyById(application.vacancyId)
  await queueMail(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    subject: `${subject}: ${title}`,
    text: `${text(title)}:\n${deps.config.publicUrl}/applications/${application.id}`,
    about: application,
  })
}
