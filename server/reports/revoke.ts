import { overtaken } from '#core/report/overtaken'
import { type StoredText, sayStored } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Actor, Deps } from '../platform/deps'
import { changedMeanwhile, requireVersion } from '../platform/errors/problems'
import { inLanguage } from '../platform/http/language'
import { queueMail } from '../platform/mail/queueMail'
import { reportById } from '../records/reports/find'
import { Report, ReportDelivery, RevokedStatus } from '../records/reports/model'
import { statedNow } from './gather'
import { problems } from './problems'

/** Revokes a report by hand. */
export async function revokeReport(
  deps: Deps,
  actor: Account,
  id: string,
  { version, reason }: { version: number; reason: string },
) {
  const report = await reportById(id)
  if (report.revokedAt) throw problems.revoked()
  requireVersion(version, report.version)
  const done = await revoke(deps, actor, report, { code: 'report.revoked.byHand', values: { reason: reason.trim() } })
  if (!done) throw changedMeanwhile()
  return { done: true as const }
}

/** Revokes what states things that were decided otherwise since, or of which a body says something else now. */
export async function revokeOvertaken(deps: Deps, changes: readonly Change[]) {
  const concerned = new Map(changes.flatMap(({ candidateId, actor }) => (candidateId ? [[candidateId, actor]] : [])))
  for (const [candidateId, actor] of concerned) {
    const live = await Report.findAll({
      where: { candidateId, revokedAt: null },
      attributes: { exclude: ['content', 'jwt', 'sdJwt'] },
    })
    if (live.length === 0) continue
    const now = await statedNow(candidateId, deps.clock.now())
    for (const report of live)
      if (overtaken(report.stated, now).length > 0)
        await revoke(deps, actor, report, { code: 'report.revoked.overtaken' })
  }
}

/**
 * Takes a report back for good: the published list says so from here on, and whoever received it is told.
 *
 * @returns whether it was still to be revoked: of two at the same moment one does, and the other goes on
 */
export async function revoke(deps: Deps, actor: Actor, report: Report, because: StoredText): Promise<boolean> {
  const { reference, candidateId, applicationId, madeAt, statusIndex } = report
  const now = deps.clock.now()
  const changes = { revokedAt: now, revokedBecause: because, version: report.version + 1 }
  if (!(await changeWhere(report, { revokedAt: null }, changes))) return false
  await RevokedStatus.create({ statusIndex, revokedAt: now })
  await recordEvent(deps, actor, {
    code: 'report-revoked',
    words: report.audience === 'inside' ? 'report-revoked' : `report-revoked.${report.audience}`,
    values: { reference, why: because },
    about: reference,
    candidateId,
    ...(applicationId ? { applicationId } : {}),
  })
  for (const delivery of await ReportDelivery.findAll({ where: { reportId: report.id } })) {
    const { toName: name, toMail: mail, language } = delivery
    await queueMail(deps, {
      to: { name, mail, language },
      ...(applicationId ? { about: { id: applicationId, candidateId } } : {}),
      words: 'reportRevoked',
      values: {
        ...{ reference, day: { day: madeAt.toISOString().slice(0, 10) } },
        why: inLanguage(language, () => sayStored(because.code, because.values)),
      },
    })
  }
  return true
}
