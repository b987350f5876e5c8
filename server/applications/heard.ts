import type { Heard } from '#contract/heard'
import type { Account, Deps } from '../platform/deps'
import { ownApplication, sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { countHeardOf } from '../records/heard/count'
import { HeardOfUs } from '../records/heard/model'
import { hidesName } from '../records/scoring/find'
import { vacancyById } from '../records/vacancies/vacancies'

/** What it is kept by: asked once for all vacancies of a group. */
async function keyOf({ candidateId, vacancyId }: Application) {
  const { id, groupId } = await vacancyById(vacancyId)
  return { candidateId, asked: groupId ?? id }
}

const heardIn = async (application: Application): Promise<Heard> => {
  const said = await HeardOfUs.findOne({ where: await keyOf(application) })
  return { source: said?.source ?? null, recommendedBy: said?.recommendedBy ?? '' }
}

export const readHeard = async (actor: Account, id: string) => heardIn(await ownApplication(actor, id))

/** Keeps it, or takes it back: it is nobody's business unless somebody says it. */
export async function saveHeard(deps: Deps, actor: Account, id: string, { source, recommendedBy }: Heard) {
  const key = await keyOf(await ownApplication(actor, id))
  if (source === null) await HeardOfUs.destroy({ where: key })
  else await HeardOfUs.upsert({ ...key, source, recommendedBy: recommendedBy.trim(), saidAt: deps.clock.now() })
  return { done: true as const }
}

/** The same at the desk. Who recommended somebody may say who that is. */
export async function readHeardOf(id: string): Promise<Heard> {
  const application = await sentApplication(id)
  const { source, recommendedBy } = await heardIn(application)
  return { source, recommendedBy: (await hidesName(application)) ? '' : recommendedBy }
}

/** How many of those who applied heard of it where, and how far they came. */
export async function countHeard(vacancyId: string) {
  return { rows: await countHeardOf({ vacancyId: (await vacancyById(vacancyId)).id }) }
}
