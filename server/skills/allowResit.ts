import { Temporal } from 'temporal-polyfill'
import { writeWhen } from '#core/dates/write'
import { dayAt } from '#core/dates/zoned'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { conflict, notFound } from '../platform/errors/problems'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { isActive, sentApplication } from '../records/applications/find'
import { checkByKey } from '../records/skills/checks'
import { Resit, Sitting } from '../records/skills/model'

/**
 * Gives leave to sit a failed check again, with another paper, after the waiting time of the check. Earlier results stay.
 * Given twice at once it is given once: the attempt it is for is unique.
 */
export async function allowResit(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { check: key, reason }: { check: string; reason: string },
) {
  const application = await sentApplication(applicationId)
  if (!isActive(application)) throw conflict('ended', 'This application has ended.')
  const latest = await Sitting.findOne({ where: { applicationId, check: key }, order: [['attempt', 'DESC']] })
  if (!latest) throw notFound()
  if (latest.state !== 'marked' || latest.passed)
    throw conflict('not-failed', 'Only a check that was sat and not passed is sat again.')
  const check = await checkByKey(key)
  if (latest.attempt >= check.attempts)
    throw conflict('no-more-attempts', `This check is sat at most ${check.attempts} times; it can only be waived now.`)
  const attempt = latest.attempt + 1
  if (await Resit.findOne({ where: { applicationId, check: key, attempt } }))
    throw conflict('given-already', 'Leave to sit this check again is given already.')
  const waited = dayAt(latest.finishedAt!, deps.config.timeZone).add({ days: check.waitDays })
  const today = deps.clock.today()
  const notBefore = (Temporal.PlainDate.compare(waited, today) > 0 ? waited : today).toString()
  await Resit.create({
    applicationId,
    check: key,
    attempt,
    notBefore,
    reason: reason.trim(),
    givenBy: actor.name,
    givenAt: deps.clock.now(),
  })
  const person = await candidateWithMail(application.candidateId)
  await queueMail(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    subject: `You can sit a skills check again: ${check.title}`,
    text: `You can sit the skills check “${check.title}” again from ${writeWhen(notBefore)}, with other questions. It is on your status page:\n${deps.config.publicUrl}/applications/${applicationId}`,
    about: application,
  })
  await recordEvent(deps, actor, {
    code: 'resit-allowed',
    what: `Gave leave to sit ${check.title} again (attempt ${attempt}): ${reason.trim()}`,
    forCandidate: `You can sit the skills check “${check.title}” again.`,
    about: check.title,
    candidateId: application.candidateId,
    applicationId,
  })
  return { notBefore }
}
