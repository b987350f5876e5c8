import { writeWhen } from '#core/dates/write'
import { candidateWithMail } from '../accounts/candidate'
import { contactMail } from '../applications/answers'
import { isActive, sentApplication } from '../applications/find'
import { recordEvent } from '../audit/record'
import { compareAndSet } from '../database/compareAndSet'
import type { Account, Deps } from '../deps'
import { conflict, insistOnVersion, invalidField } from '../http/problems'
import { queueMail } from '../messages/queueMail'
import { vacancyById } from '../vacancies/vacancies'
import { Offer } from './model'

type Change = { version: number; targetStart: string; reason: string }

/**
 * Changes the target start of one application, also in an offer that was made on it. What is judged by the start (validity,
 * slack) follows.
 */
export async function changeStart(deps: Deps, actor: Account, id: string, { version, targetStart, reason }: Change) {
  const application = await sentApplication(id, { lock: true })
  insistOnVersion(version, application.version)
  if (!isActive(application)) throw conflict('ended', 'This application has ended.')
  const before = application.targetStart
  if (targetStart < deps.clock.today().toString())
    throw invalidField('/body/targetStart', 'This day is past. Nobody starts before today.')
  if (targetStart === before) throw invalidField('/body/targetStart', 'This is the target start already.')
  await compareAndSet(application, version, { targetStart })
  await Offer.update({ startsOn: targetStart }, { where: { applicationId: id } })
  const person = await candidateWithMail(application.candidateId)
  const { title } = await vacancyById(application.vacancyId)
  await queueMail(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    subject: `Another first day: ${title}`,
    text: `The first day for your application as ${title} is now ${writeWhen(targetStart)} instead of ${writeWhen(before)}: ${reason.trim()}\n\nWhat this means for you is on your status page:\n${deps.config.publicUrl}/applications/${id}`,
    about: application,
  })
  await recordEvent(deps, actor, {
    code: 'start-changed',
    what: `Changed the target start from ${writeWhen(before)} to ${writeWhen(targetStart)}: ${reason.trim()}`,
    forCandidate: `Your first day is now ${writeWhen(targetStart)}.`,
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
    details: { before, after: targetStart },
  })
  return { version: application.version }
}
