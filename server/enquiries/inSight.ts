import { Op, type WhereOptions } from 'sequelize'
import type { Account, Deps } from '../platform/deps'
import { actsFor, whereMine } from '../records/applications/owners'
import { whereInSight } from '../records/applications/sight'
import type { Enquiry } from '../records/enquiries/model'
import { ApplicationSummary } from '../records/hiring/model'

/** What of all enquiries somebody sees: those about files they may see, and of theirs where they ask for that. */
export async function enquiriesInSight(
  deps: Deps,
  actor: Account,
  whose: 'mine' | 'all' = 'all',
): Promise<WhereOptions> {
  if (whose === 'all' && !actor.vacancies) return {}
  const mine = whose === 'mine' ? [whereMine(await actsFor(deps, actor))] : []
  const where = { [Op.and]: [whereInSight(actor), ...mine] } as WhereOptions
  const rows = await ApplicationSummary.findAll({ where, attributes: ['applicationId'], raw: true })
  return { applicationId: rows.map(({ applicationId }) => applicationId) }
}

/** The same without those whose name is hidden: a letter or a call cannot do without it, and waits until it is shown. */
export async function namedInSight(deps: Deps, actor: Account, enquiries: readonly Enquiry[]): Promise<Enquiry[]> {
  const where = { ...(await enquiriesInSight(deps, actor)) } as { applicationId?: string[] }
  const ids = enquiries.map(({ applicationId }) => applicationId)
  const hidden = await ApplicationSummary.findAll({
    where: { applicationId: ids, hidesName: true },
    attributes: ['applicationId'],
    raw: true,
  })
  const hides = new Set(hidden.map(({ applicationId }) => applicationId))
  return enquiries.filter(
    ({ applicationId }) =>
      !hides.has(applicationId) && (!where.applicationId || where.applicationId.includes(applicationId)),
  )
}
