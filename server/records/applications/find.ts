import { literal, Op, QueryTypes } from 'sequelize'
import type { Answers } from '#core/form/answer'
import { activeStages, isActive, isDraft, waitingStages } from '#core/hiring/stages'
import { lockOf } from '../../platform/database/connection'
import type { Account } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { Candidate } from '../accounts/model'
import { Application, Snapshot } from './model'
import { problems } from './problems'

/** Whether papers are still put into an application: it is worked on, or was begun for somebody and is not sent yet. */
export const awaitsPapers = (application: Application): boolean =>
  isActive(application) || (isDraft(application) && Boolean(application.onBehalf))

/** Whether a reference has been given to anybody. */
export const anyReferenceGiven = async (): Promise<boolean> =>
  (await Application.findOne({ where: { reference: { [Op.ne]: null } } as never, attributes: ['id'] })) !== null

export const applicationById = (id: string): Promise<Application> => Application.findByPk(id, { rejectOnEmpty: true })

/** Applications by their identifiers, in the order of their references. */
export const applicationsById = (ids: readonly string[]): Promise<Application[]> =>
  Application.findAll({ where: { id: [...new Set(ids)] }, order: ['reference'] })

/**
 * An application of the person's own; somebody else's is not there.
 *
 * @param options.setAside also one that is to be changed though it was set aside before it was sent
 * @throws Problem `not-found`, `set-aside`
 */
export async function ownApplication(
  actor: Account,
  id: string,
  options: { lock?: boolean; setAside?: boolean } = {},
): Promise<Application> {
  const account = Candidate.sequelize!.escape(actor.id)
  // A file that was merged leads to the one that was kept.
  const own = `(SELECT COALESCE(mergedInto, id) FROM candidates WHERE accountId = ${account})`
  const application = await Application.findOne({
    where: { id, candidateId: { [Op.in]: literal(own) } },
    ...(options.lock ? lockOf() : {}),
  })
  if (!application) throw notFound()
  // What was set aside is taken up again before it is changed.
  if (options.lock && !options.setAside && isDraft(application) && application.setAsideAt) throw problems.setAside()
  return application
}

export async function ownApplicationFor(actor: Account, vacancyId: string) {
  const candidate = await Candidate.findOne({ where: { accountId: actor.id } })
  const where = candidate && { candidateId: candidate.id, vacancyId }
  const application = where && (await Application.findOne({ where, order: [['duplicateOrdinal', 'DESC']] }))
  return application ? { id: application.id, stage: application.stage } : null
}

/**
 * An application the desk may see: one that has been sent. What is still being written is nobody else's, and a file that
 * waits to be erased is nobody's any more.
 */
export async function sentApplication(id: string, options: { lock?: boolean } = {}): Promise<Application> {
  const application = await Application.findOne({
    where: { id, stage: { [Op.ne]: 'being written' }, candidateId: { [Op.notIn]: literal(sealedFile) } },
    ...(options.lock ? lockOf() : {}),
  })
  if (!application) throw notFound()
  return application
}

const sealedFile =
  '(SELECT id FROM candidates WHERE id = candidateId AND (eraseOn IS NOT NULL OR erasedAt IS NOT NULL))'

export const applicationsOf = (candidateId: string): Promise<Application[]> =>
  Application.findAll({ where: { candidateId }, order: ['createdAt', 'id'] })

/** Applications under way and of people cleared to start, a stretch at a time: those whose state the days change. */
export const watchedApplications = (after: string | undefined, most: number): Promise<Application[]> =>
  Application.findAll({
    where: { stage: [...activeStages, 'cleared'], ...(after ? { id: { [Op.gt]: after } } : {}) },
    order: ['id'],
    limit: most,
  })

/** What was answered when an application was sent; the rest of the snapshot stays where it is. */
export const answersSent = async (applicationId: string): Promise<Answers | undefined> =>
  (await answersSentOf([applicationId])).get(applicationId)

/** The same for many applications; those that were not sent are left out. */
export async function answersSentOf(applicationIds: readonly string[]): Promise<Map<string, Answers>> {
  const rows = await Snapshot.sequelize!.query<{ applicationId: string; answers: Answers | string }>(
    "SELECT applicationId, JSON_EXTRACT(content, '$.answers') AS answers FROM snapshots WHERE applicationId IN (:ids)",
    { replacements: { ids: [...applicationIds] }, type: QueryTypes.SELECT },
  )
  return new Map(
    rows.map(({ applicationId, answers }) => [
      applicationId,
      typeof answers === 'string' ? (JSON.parse(answers) as Answers) : answers,
    ]),
  )
}

const judged: (keyof InProgress)[] = [
  'id',
  'candidateId',
  'reference',
  'stage',
  'answers',
  'targetStart',
  'rulesVersion',
]

/** The applications of a vacancy that are being written or worked on, and a way through them by key, as plain rows. */
export function inProgress(vacancyId: string) {
  const where = { vacancyId, stage: ['being written', ...activeStages] }
  return {
    count: () => Application.count({ where }),
    page: (after: string, most: number): Promise<InProgress[]> =>
      Application.findAll({
        where: { ...where, id: { [Op.gt]: after } },
        order: ['id'],
        limit: most,
        attributes: judged,
        raw: true,
      }),
  }
}

export const sentApplicationsOf = (vacancyId: string, most: number): Promise<Application[]> =>
  Application.findAll({ where: { vacancyId, stage: [...activeStages] }, order: ['id'], limit: most })

/** An application on its way, as far as it is judged by. */
export type InProgress = Pick<
  Application,
  'id' | 'candidateId' | 'reference' | 'stage' | 'answers' | 'targetStart' | 'rulesVersion'
>

/** How many applications of a vacancy were sent under each version of its rules. */
export async function sentByRulesVersion(vacancyId: string): Promise<Map<number, number>> {
  const rows = await Application.count({
    where: { vacancyId, stage: { [Op.ne]: 'being written' } },
    group: ['rulesVersion'],
  })
  return new Map(rows.map(({ rulesVersion, count }) => [Number(rulesVersion), count]))
}

export async function countsByStage(): Promise<Map<string, Record<string, number>>> {
  const rows = await Application.count({ group: ['vacancyId', 'stage'] })
  const counts = new Map<string, Record<string, number>>()
  for (const row of rows) {
    const vacancy = String(row.vacancyId)
    counts.set(vacancy, { ...counts.get(vacancy), [String(row.stage)]: row.count })
  }
  return counts
}

/** How many have applied for a vacancy and wait to hear whether they are chosen. */
export const countWaiting = (vacancyId: string): Promise<number> =>
  Application.count({ where: { vacancyId, stage: waitingStages } })
