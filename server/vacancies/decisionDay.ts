import { Op } from 'sequelize'
import { writeWhen } from '#core/dates/write'
import { dayAt } from '#core/dates/zoned'
import { waitingStages } from '#core/hiring/stages'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import type { StoredValues } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import { forEachRow } from '../platform/database/forEachRow'
import type { Account, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import { queueJob } from '../platform/jobs/queue'
import { countWaiting } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { Vacancy } from '../records/vacancies/model'
import { vacancyById } from '../records/vacancies/vacancies'

type Promised = { version: number; day: string | null; reason: string }

/**
 * Promises a day of decision, or moves it. Once somebody waits for it, it is not taken back, and moving it needs a reason:
 * everybody who waits is told, by a job, since they may be thousands.
 *
 * @throws Problem `invalid` where the day is before the vacancy closes or already past, or where a reason is missing
 */
export async function setDecisionDay(deps: Deps, actor: Account, id: string, { version, day, reason }: Promised) {
  const vacancy = await vacancyById(id)
  requireVersion(version, vacancy.version, { decidesOn: vacancy.decidesOn })
  const before = vacancy.decidesOn ?? null
  if (day === before) return { version }
  const closes = dayAt(vacancy.closesAt, vacancy.timeZone).toString()
  if (day !== null && day < closes)
    throw invalidField('/body/day', say('problem.decidesBeforeClosing', { day: writeWhen(closes) }))
  if (day !== null && day < deps.clock.today().toString()) throw invalidField('/body/day', say('problem.dayIsPast'))
  const waiting = await countWaiting(id)
  if (day === null && waiting > 0)
    throw invalidField('/body/day', say('problem.promiseNotTakenBack', { count: waiting }))
  if (before !== null && waiting > 0 && !isReason(reason))
    throw invalidField('/body/reason', say('problem.sayWhyItMoves'))
  await compareAndSet(vacancy, version, { decidesOn: day })
  await recordEvent(deps, actor, {
    code: 'decision-day-set',
    vacancyId: id,
    ...(day === null ? { words: 'decision-day-set.none' as const } : {}),
    values: { vacancy: vacancy.title, ...(day === null ? {} : { day: { day } }) },
    about: vacancy.title,
    details: { before, day, reason },
  })
  if (waiting > 0 && day !== null) await queueJob('decision day', { vacancyId: id, before, day, reason: reason.trim() })
  return { version: vacancy.version }
}

type Moved = { vacancyId: string; before: string | null; day: string; reason: string }

/** Tells everybody who waits, each once however often the job runs, unless the day has been moved again meanwhile. */
export async function tellOfDecisionDay(deps: Deps, { vacancyId, before, day, reason }: Moved) {
  if ((await vacancyById(vacancyId)).decidesOn !== day) return
  const untold = { [Op.or]: [{ toldDecisionDay: null }, { toldDecisionDay: { [Op.ne]: day } }] }
  const waiting = { vacancyId, stage: waitingStages, ...untold }
  const failed = await forEachRow(deps, Application, waiting as never, async (application) => {
    if (!(await changeWhere(application, untold as never, { toldDecisionDay: day }))) return
    const moved = before === null ? {} : { before: { day: before }, reason }
    await ofDecision(deps, application, before === null ? 'decision-day-told' : 'decision-day-moved', {
      day: { day },
      ...moved,
    })
  })
  if (failed > 0) throw new Error(`${failed} could not be told of the day of decision`)
}

/**
 * The day after a promise that was not kept: whoever still waits is told so, once for each promise. Gives how many failed.
 */
export async function tellOfLateDecision(deps: Deps): Promise<number> {
  const late = await Vacancy.findAll({ where: { decidesOn: { [Op.lt]: deps.clock.today().toString() } } })
  let failed = 0
  for (const { id, decidesOn } of late) {
    const day = decidesOn!
    const untold = { [Op.or]: [{ toldLateFor: null }, { toldLateFor: { [Op.ne]: day } }] }
    const waiting = { vacancyId: id, stage: waitingStages, ...untold }
    failed += await forEachRow(deps, Application, waiting as never, async (application) => {
      if (!(await changeWhere(application, untold as never, { toldLateFor: day }))) return
      await ofDecision(deps, application, 'decision-late', { day: { day } })
    })
  }
  return failed
}

const ofDecision = (
  deps: Deps,
  { id, candidateId, reference }: Application,
  code: 'decision-day-told' | 'decision-day-moved' | 'decision-late',
  values: StoredValues,
) =>
  recordEvent(
    deps,
    { kind: 'system' },
    { code, values: values as never, about: reference ?? undefined, candidateId, applicationId: id },
  )
