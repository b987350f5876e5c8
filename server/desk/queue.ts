import { Op, type WhereOptions } from 'sequelize'
import { type Queue, queues } from '#contract/desk'
import { mostCounted } from '#contract/lists'
import { Standing } from '../hiring/model'
import { countUpTo } from './table'

const page = 40

/** A page of a queue, least slack first. `after` is the `next` of the page before. */
export async function readQueue(queue: Queue, { after, vacancy }: { after?: string; vacancy?: string }) {
  const chosen = { [queue]: true, ...(vacancy ? { vacancyId: vacancy } : {}) }
  const rows = await Standing.findAll({
    where: { ...chosen, ...beyond(after) } as WhereOptions,
    order: ['slack', 'applicationId'],
    limit: page + 1,
  })
  const last = rows.length > page ? rows[page - 1] : undefined
  return {
    people: rows
      .slice(0, page)
      .map(({ applicationId, candidate, reference, hidesName, vacancy, slack, reasons, marks }) => ({
        id: applicationId,
        candidate: hidesName ? (reference ?? '') : candidate,
        vacancy,
        slack,
        why: reasons[queue] ?? '',
        marks,
      })),
    next: last ? `${last.slack}_${last.applicationId}` : null,
    late: await countUpTo(mostCounted, { ...chosen, slack: { [Op.lt]: 0 } } as WhereOptions),
  }
}

function beyond(after: string | undefined) {
  if (!after) return {}
  const [slack, id] = [Number(after.slice(0, after.indexOf('_'))), after.slice(after.indexOf('_') + 1)]
  return { [Op.or]: [{ slack: { [Op.gt]: slack } }, { slack, applicationId: { [Op.gt]: id } }] }
}

export async function readCounts(): Promise<Record<string, number>> {
  const counts = await Promise.all(queues.map((queue) => countUpTo(mostCounted, { [queue]: true })))
  return Object.fromEntries(queues.map((queue, index) => [queue, counts[index]!]))
}
