import { Op, QueryTypes } from 'sequelize'
import { rowsOf } from '../../platform/database/rows'
import type { Deps } from '../../platform/deps'
import type { Claim } from '../claims/model'
import { ofClaims } from '../claims/subquery'
import { Enquiry } from './model'

/** The enquiries about claims, oldest first. */
export const enquiriesOf = async (claimIds: readonly string[]): Promise<Enquiry[]> =>
  claimIds.length === 0 ? [] : Enquiry.findAll({ where: { claimId: [...claimIds] }, order: ['askedAt', 'id'] })

/** Those about any claim of candidates, also about claims taken back since. */
export const enquiriesOfCandidates = (candidateIds: readonly string[]): Promise<Enquiry[]> =>
  rowsOf(Enquiry, { claimId: { [Op.in]: ofClaims('id', candidateIds) } }, ['askedAt', 'id'])

/** Those that go on. */
export const live = { state: ['prepared' as const, 'open' as const] }

const ended = ['answered' as const, 'declined' as const, 'silent' as const]

/**
 * Somebody has decided on a claim: how its questions ended needs nobody any more, and what still goes on is called off with the next
 * nightly pass, so that a decision can be undone until then.
 */
export async function settleEnquiries({ clock }: Pick<Deps, 'clock'>, claimId: string) {
  await Enquiry.update({ turn: null }, { where: { claimId, state: ended } })
  await Enquiry.update({ dueOn: clock.today().toString() }, { where: { claimId, state: 'open' } })
}

/** The decision is undone: what ended last is to be looked at again. */
export async function reopenEnquiries({ id: claimId, credentialVersion }: Pick<Claim, 'id' | 'credentialVersion'>) {
  const last = await Enquiry.findOne({
    where: { claimId, credentialVersion, state: ended },
    order: [
      ['askedAt', 'DESC'],
      ['id', 'DESC'],
    ],
  })
  await last?.update({ turn: 'desk' })
}

type Counts = { asked: number; open: number }

/** How many enquiries each of these sources got, and how many are open. */
export async function enquiryCounts(sourceIds: readonly string[]): Promise<Map<string, Counts>> {
  if (sourceIds.length === 0) return new Map()
  const rows = await Enquiry.sequelize!.query<{ sourceId: string; asked: number | bigint; open: number | string }>(
    `SELECT sourceId, COUNT(*) AS asked, SUM(open) AS open
     FROM (SELECT sourceId, state = 'open' AS open FROM enquiries WHERE channel <> 'register' AND sourceId IN (:sourceIds)
           UNION ALL
           SELECT sourceId, FALSE FROM enquiry_waits WHERE channel <> 'register' AND sourceId IN (:sourceIds)) e
     GROUP BY sourceId`,
    { replacements: { sourceIds: [...sourceIds] }, type: QueryTypes.SELECT },
  )
  return new Map(rows.map(({ sourceId, asked, open }) => [sourceId, { asked: Number(asked), open: Number(open) }]))
}
