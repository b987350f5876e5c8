import { writeWhen } from '#core/dates/write'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { conflict, invalidField, requireVersion } from '../platform/errors/problems'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { isActive, sentApplication } from '../records/applications/find'
import { Offer } from '../records/hiring/model'
import { vacancyById } from '../records/vacancies/vacancies'

type Change = { version: number; targetStart: string; reason: string }

/**
 * Changes the target start of one application, also in an offer that was made on it. What is judged by the start (validity,
 * slack) follows.
 */
export async function changeStart(deps: Deps, actor: Account, id: string, { version, targetStart, reason }: Change) {
  const application = await sentApplication(id, { lock: true })
  requireVersion(version, application.version)
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
