import { Temporal } from 'temporal-polyfill'
import { dayAt } from '#core/dates/zoned'
import { isActive } from '#core/hiring/stages'
import { coded } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { conflict, notFound } from '../platform/errors/problems'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { sentApplication } from '../records/applications/find'
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
  if (!isActive(application)) throw conflict('ended', coded('problem.thisApplicationHasEnded'))
  const latest = await Sitting.findOne({ where: { applicationId, check: key }, order: [['attempt', 'DESC']] })
  if (!latest) throw notFound()
  if (latest.state !== 'marked' || latest.passed) throw conflict('not-failed', coded('problem.onlyACheckThatWas'))
  const check = await checkByKey(key)
  if (latest.attempt >= check.attempts)
    throw conflict('no-more-attempts', coded('problem.thisCheckIsSatAt', { attempts: check.attempts }))
  const attempt = latest.attempt + 1
  if (await Resit.findOne({ where: { applicationId, check: key, attempt } }))
    throw conflict('given-already', coded('problem.leaveToSitThisCheck'))
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
    words: 'resit',
    values: {
      check: check.title,
      from: { day: notBefore },
      link: `${deps.config.publicUrl}/applications/${applicationId}`,
    },
    about: application,
  })
  await recordEvent(deps, actor, {
    code: 'resit-allowed',
    values: { check: check.title, attempt, reason: reason.trim() },
    about: check.title,
    candidateId: application.candidateId,
    applicationId,
  })
  return { notBefore }
}
