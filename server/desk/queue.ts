import { Op, type WhereOptions } from 'sequelize'
import { mostCountedInQueue, type Queue, queues } from '#contract/desk'
import { writeValue } from '#core/words/stored'
import { ApplicationSummary } from '../records/hiring/model'
import { countUpTo } from './table'

const page = 40

/** A page of a queue, least slack first. `after` is the `next` of the page before. */
export async function readQueue(queue: Queue, { after, vacancy }: { after?: string; vacancy?: string }) {
  const { people, next } = await queueStretch(queue, { after, vacancy }, page)
  const late = { ...chosenIn(queue, vacancy), slack: { [Op.lt]: 0 } } as WhereOptions
  return { people, next, late: await countUpTo(mostCountedInQueue + 1, late) }
}

const chosenIn = (queue: Queue, vacancy: string | undefined) => ({
  [queue]: true,
  ...(vacancy ? { vacancyId: vacancy } : {}),
})

/** Some people of a queue from behind a place in it, and the place of the last where there are more. */
export async function queueStretch(
  queue: Queue,
  { after, vacancy }: { after?: string | undefined; vacancy?: string | undefined },
  most: number,
) {
  const rows = await ApplicationSummary.findAll({
    where: { ...chosenIn(queue, vacancy), ...beyond(after) } as WhereOptions,
    order: ['slack', 'applicationId'],
    limit: most + 1,
  })
  const last = rows.length > most ? rows[most - 1] : undefined
  return {
    people: rows.slice(0, most).map(({ applicationId, candidate, vacancy: title, slack, reasons, marks }) => ({
      id: applicationId,
      candidate,
      vacancy: title,
      slack,
      why: reasons[queue] ? writeValue(reasons[queue]) : '',
      marks,
    })),
    next: last ? `${last.slack}_${last.applicationId}` : null,
  }
}

function beyond(after: string | undefined) {
  if (!after) return {}
  const [slack, id] = [Number(after.slice(0, after.indexOf('_'))), after.slice(after.indexOf('_') + 1)]
  return { [Op.or]: [{ slack: { [Op.gt]: slack } }, { slack, applicationId: { [Op.gt]: id } }] }
}

export async function readCounts(): Promise<Record<string, number>> {
  const counts = await Promise.all(queues.map((queue) => countUpTo(mostCountedInQueue + 1, { [queue]: true })))
  return Object.fromEntries(queues.map((queue, index) => [queue, counts[index]!]))
}
