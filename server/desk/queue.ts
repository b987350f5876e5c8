import { Op, type WhereOptions } from 'sequelize'
import { mostCountedInQueue, type Queue, queues, type Whose } from '#contract/desk'
import { writeValue } from '#core/words/stored'
import { countUpTo } from '../platform/database/countUpTo'
import type { Account, Deps } from '../platform/deps'
import { actsFor, whereMine } from '../records/applications/owners'
import { whereInSight } from '../records/applications/sight'
import { ApplicationSummary } from '../records/hiring/model'
import { ownersOf } from './ownership'

const page = 40

type Choice = { vacancy?: string | undefined; whose?: Whose | undefined }

/** A page of a queue, least slack first. `after` is the `next` of the page before. */
export async function readQueue(deps: Deps, actor: Account, queue: Queue, given: Choice & { after?: string }) {
  const chosen = await chosenIn(deps, actor, queue, given)
  const { people, next } = await queueStretch(queue, chosen, given.after, page)
  const owners = await ownersOf(people.map(({ id }) => id))
  const late = { [Op.and]: [chosen, { slack: { [Op.lt]: 0 } }] } as WhereOptions
  return {
    people: people.map((person) => ({ ...person, owner: owners.get(person.id) ?? null })),
    next,
    late: await countUpTo(ApplicationSummary, mostCountedInQueue + 1, late),
  }
}

/** Who is in a queue, of those somebody may see, and of theirs unless they ask for all. */
export async function chosenIn(
  deps: Deps,
  actor: Account,
  queue: Queue,
  { vacancy, whose = 'mine' }: Choice,
): Promise<WhereOptions> {
  return {
    [Op.and]: [
      { [queue]: true },
      whereInSight(actor),
      ...(vacancy ? [{ vacancyId: vacancy }] : []),
      ...(whose === 'mine' ? [whereMine(await actsFor(deps, actor))] : []),
    ],
  } as WhereOptions
}

/** Some people of a queue from behind a place in it, and the place of the last where there are more. */
export async function queueStretch(queue: Queue, chosen: WhereOptions, after: string | undefined, most: number) {
  const rows = await ApplicationSummary.findAll({
    where: { [Op.and]: [chosen, beyond(after)] } as WhereOptions,
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

export async function readCounts(deps: Deps, actor: Account): Promise<Record<string, number>> {
  const counts = await Promise.all(
    queues.map(async (queue) =>
      countUpTo(ApplicationSummary, mostCountedInQueue + 1, await chosenIn(deps, actor, queue, {})),
    ),
  )
  return Object.fromEntries(queues.map((queue, index) => [queue, counts[index]!]))
}
