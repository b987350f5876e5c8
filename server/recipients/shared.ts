import { literal } from 'sequelize'
import type { SharedRecord } from '#contract/recipients'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Actor, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { hashOf } from '../platform/http/tokens'
import { Report, ReportDelivery } from '../records/reports/model'
import { inForm } from '../reports/make'
import { stateOf, whyRevoked } from './deliveryLine'
import { problems } from './problems'

async function sharedBy(token: string): Promise<{ delivery: ReportDelivery; report: Report }> {
  const delivery = await ReportDelivery.findOne({ where: { tokenHash: hashOf(token) } })
  const report = delivery && (await Report.findByPk(delivery.reportId))
  if (!delivery || !report) throw notFound()
  return { delivery, report }
}

/** What a link shows while it is open, and otherwise why it is not. That it was opened is counted; the first time is told. */
export async function openShared(deps: Deps, actor: Actor, token: string): Promise<SharedRecord> {
  const { delivery, report } = await sharedBy(token)
  const state = stateOf(deps, delivery, report)
  if (state === 'open') await noteOpening(deps, actor, delivery, report)
  return {
    ...{ state, because: whyRevoked(report), from: report.content.issuer, to: delivery.toName },
    ...{ linkEndsAt: delivery.linkEndsAt?.toISOString() ?? null, endsAt: report.endsAt.toISOString() },
    report: state === 'open' ? report.content : null,
  }
}

async function noteOpening(deps: Deps, actor: Actor, delivery: ReportDelivery, report: Report) {
  const now = deps.clock.now()
  await ReportDelivery.update(
    { openings: literal('openings + 1') as unknown as number, lastOpenedAt: now },
    { where: { id: delivery.id } },
  )
  if (!(await changeWhere(delivery, { firstOpenedAt: null }, { firstOpenedAt: now }))) return
  await recordEvent(deps, actor, {
    code: 'record-opened',
    values: { reference: report.reference, recipient: delivery.toName },
    about: report.reference,
    candidateId: report.candidateId,
  })
}

/** The same to keep. */
export async function readShared(
  deps: Deps,
  { token, form }: { token: string; form: 'pdf' | 'jwt' | 'json' },
): Promise<FileToKeep> {
  const { delivery, report } = await sharedBy(token)
  if (stateOf(deps, delivery, report) !== 'open') throw problems.notOpen()
  await changeWhere(delivery, { savedAt: null }, { savedAt: deps.clock.now() })
  return inForm(report, form)
}
