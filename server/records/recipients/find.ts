import { rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import { mergedWith } from '../accounts/candidate'
import { Report, ReportDelivery } from '../reports/model'
import { RecipientPermission } from './model'

/** The permissions of a person for recipients, the newest first. */
export const permissionsFor = async (candidateId: string): Promise<RecipientPermission[]> =>
  RecipientPermission.findAll({
    where: { candidateId: await mergedWith(candidateId) },
    order: [['createdAt', 'DESC'], 'id'],
  })

/** The permissions that hold for bodies chosen in applications. */
export const permittedIn = async (applicationId: string[]) =>
  (await rowsOf(RecipientPermission, { applicationId, withdrawnAt: null })).map((row) => ({
    ...{ applicationId: row.applicationId!, recipientKey: row.recipientKey!, through: row.through },
  }))

/** @throws Problem `not-found`, also where it is of somebody else */
export async function permissionFor(candidateId: string, id: string): Promise<RecipientPermission> {
  const permission = await RecipientPermission.findOne({ where: { id, candidateId: await mergedWith(candidateId) } })
  if (!permission) throw notFound()
  return permission
}

/** What was sent by permissions, the newest first. */
export const deliveriesBy = (permissionId: string[]): Promise<ReportDelivery[]> =>
  ReportDelivery.findAll({ where: { permissionId }, order: [['sentAt', 'DESC'], 'id'] })

/** @throws Problem `not-found`, also where it is of somebody else or went to no recipient */
export async function deliveryFor(
  candidateId: string,
  id: string,
): Promise<{ delivery: ReportDelivery; report: Report }> {
  const delivery = await ReportDelivery.findByPk(id)
  const report = delivery?.permissionId ? await Report.findByPk(delivery.reportId) : null
  if (!delivery || !report || !(await mergedWith(candidateId)).includes(report.candidateId)) throw notFound()
  return { delivery, report }
}

/** Reports that were sent, by their identifier; without what was signed, which is long. */
export async function reportsSent(id: string[]): Promise<Map<string, Report>> {
  const reports = await Report.findAll({ where: { id }, attributes: { exclude: ['jwt', 'sdJwt', 'stated'] } })
  return new Map(reports.map((report) => [report.id, report]))
}
