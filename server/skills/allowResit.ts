import { Temporal } from 'temporal-polyfill'
import { dayAt } from '#core/dates/zoned'
import { isActive } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { sentApplication } from '../records/applications/find'
import { checkByKey } from '../records/skills/checks'
import { Resit, Sitting } from '../records/skills/model'
import { problems } from './problems'

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
  if (!isActive(application)) throw problems.ended()
  const latest = await Sitting.findOne({ where: { applicationId, check: key }, order: [['attempt', 'DESC']] })
  if (!latest) throw notFound()
  if (latest.state !== 'marked' || latest.passed) throw problems.notFailed()
  const check = await checkByKey(key)
  if (latest.attempt >= check.attempts) throw problems.noMoreAttempts(check.attempts)
  const attempt = latest.attempt + 1
  if (await Resit.findOne({ where: { applicationId, check: key, attempt } })) throw problems.givenAlready()
  const waited = dayAt(latest.finishedAt!, deps.organisation.timeZone).add({ days: check.waitDays })
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
  await recordEvent(deps, actor, {
    code: 'resit-allowed',
    values: { check: check.title, attempt, reason: reason.trim() },
    about: check.title,
    candidateId: application.candidateId,
    applicationId,
    details: { notBefore },
  })
  return { notBefore }
}
