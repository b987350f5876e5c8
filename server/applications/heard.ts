import { QueryTypes } from 'sequelize'
import type { Heard } from '#contract/heard'
import { type HeardSource, heardSources } from '#core/hiring/heard'
import type { Account, Deps } from '../platform/deps'
import { ownApplication, sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
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

type Row = { source: HeardSource | null; sent: number; shortlist: number; offer: number; start: number }

/** How many of those who applied heard of it where, and how many of them passed each gate; who has not said comes last. */
export async function countHeard({ sequelize }: Pick<Deps, 'sequelize'>, vacancyId: string) {
  const { id, groupId } = await vacancyById(vacancyId)
  const passed = (gate: string) =>
    `SUM(EXISTS (SELECT 1 FROM gate_passages g WHERE g.applicationId = a.id AND g.gate = '${gate}'))`
  const found = await sequelize.query<Row>(
    `SELECT h.source, COUNT(*) AS sent, ${passed('shortlist')} AS shortlist, ${passed('offer')} AS offer, ${passed('start')} AS start
     FROM applications a LEFT JOIN heard_of_us h ON h.candidateId = a.candidateId AND h.asked = :asked
     WHERE a.vacancyId = :id AND a.stage <> 'being written' GROUP BY h.source`,
    { replacements: { asked: groupId ?? id, id }, type: QueryTypes.SELECT },
  )
  const counted = ({ sent, shortlist, offer, start }: Row) => ({
    ...{ sent: Number(sent), shortlist: Number(shortlist), offer: Number(offer), start: Number(start) },
  })
  return {
    rows: [...heardSources, null].flatMap((source) => {
      const row = found.find((one) => (one.source ?? null) === source)
      return row ? [{ source, counts: counted(row) }] : []
    }),
  }
}
