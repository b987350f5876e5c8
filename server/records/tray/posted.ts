import { Op } from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import type { PaperPart } from '#core/documents/papers'
import { rowsOf } from '../../platform/database/rows'
import { CoverSheet } from './model'

/** The papers that candidates have posted and that have not come, by their claim and part, with the day. */
export async function postedBy(candidateIds: readonly string[]) {
  const rows = await rowsOf(
    CoverSheet,
    {
      candidateId: [...candidateIds],
      postedAt: { [Op.ne]: null },
      usedAt: { [Op.is]: null },
      cameAt: { [Op.is]: null },
    },
    ['number'],
  )
  const posted = new Map<string, Map<PaperPart, Temporal.PlainDate>>()
  for (const { claimId, part, postedAt } of rows) {
    const own = posted.get(claimId) ?? new Map<PaperPart, Temporal.PlainDate>()
    posted.set(claimId, own.set(part, Temporal.PlainDate.from(postedAt!.toISOString().slice(0, 10))))
  }
  return posted
}
