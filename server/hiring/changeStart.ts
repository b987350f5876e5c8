import { isActive } from '#core/hiring/stages'
import { coded, say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { conflict, invalidField, requireVersion } from '../platform/errors/problems'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { sentApplication } from '../records/applications/find'
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
  if (!isActive(application)) throw conflict('ended', coded('problem.thisApplicationHasEnded'))
  const before = application.targetStart
  if (targetStart < deps.clock.today().toString())
    throw invalidField('/body/targetStart', say('problem.thisDayIsPastNobody'))
  if (targetStart === before) throw invalidField('/body/targetStart', say('problem.thisIsTheTargetStart'))
  await compareAndSet(application, version, { targetStart })
  await Offer.update({ startsOn: targetStart }, { where: { applicationId: id } })
  const person = await candidateWithMail(application.candidateId)
  const { title } = await vacancyById(application.vacancyId)
  await queueMail(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    words: 'startChanged',
    values: {
      vacancy: title,
      start: { day: targetStart },
      before: { day: before },
      reason: reason.trim(),
      link: `${deps.config.publicUrl}/applications/${id}`,
    },
    about: application,
  })
  await recordEvent(deps, actor, {
    code: 'start-changed',
    values: { before: { day: before }, start: { day: targetStart }, reason: reason.trim() },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
    details: { before, after: targetStart },
  })
  return { version: application.version }
}
