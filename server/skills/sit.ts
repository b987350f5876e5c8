import { Op, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { hasEnded, isDraft } from '#core/hiring/stages'
import { assemble, mark } from '#core/skills/paper'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import { lockOf } from '../platform/database/connection'
import { forEachRow } from '../platform/database/forEachRow'
import type { Account, Actor, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { rulesOfApplication } from '../readiness/readiness'
import { applicationById, ownApplication } from '../records/applications/find'
import { bankOf, checkByKey } from '../records/skills/checks'
import { Resit, Sitting, SittingAnswer } from '../records/skills/model'
import { vacancyById } from '../records/vacancies/vacancies'
import { problems } from './problems'

/** Seconds after the end in which an answer that was under way is still taken. */
const graceSeconds = 5

export async function describeCheck(deps: Deps, actor: Account, applicationId: string, key: string) {
  await requireAsked(actor, applicationId, key)
  const check = await checkByKey(key)
  const { latest, resit } = await standOf(applicationId, key)
  return {
    title: check.title,
    minutes: check.minutes,
    questions: check.blueprint.reduce((sum, { count }) => sum + count, 0),
    passPercent: check.passPercent,
    topics: [...new Set(check.blueprint.map(({ topic }) => topic))],
    // A paper that was marked is come back to, unless there is leave for another.
    sitting: resit ? null : (latest?.id ?? null),
    notBefore: resit?.notBefore ?? null,
    today: deps.clock.today().toString(),
  }
}

/** The latest sitting of a check, and the leave to sit it again that has not been used. */
async function standOf(applicationId: string, check: string) {
  const latest = await Sitting.findOne({ where: { applicationId, check }, order: [['attempt', 'DESC']] })
  const failed = latest?.state === 'marked' && !latest.passed
  const resit = failed ? await Resit.findOne({ where: { applicationId, check, attempt: latest.attempt + 1 } }) : null
  return { latest, resit }
}

/**
 * Begins a sitting: draws the paper by its seed and starts the server's clock. A sitting under way is come back to, and so
 * is one that was begun in another window at the same moment.
 */
export async function beginSitting(deps: Deps, actor: Account, applicationId: string, key: string) {
  await requireAsked(actor, applicationId, key)
  const { latest, resit } = await standOf(applicationId, key)
  if (latest && !resit) return { id: latest.id }
  if (resit && deps.clock.today().toString() < resit.notBefore) throw problems.tooEarly(resit.notBefore)
  const attempt = (latest?.attempt ?? 0) + 1
  const check = await checkByKey(key)
  const id = uuid()
  const drawn = assemble((await bankOf(key)).map(plain), check.blueprint, id)
  if (!drawn.ok) throw problems.bankShort(drawn.short)
  const now = deps.clock.now()
  const begun = await Sitting.create({
    id,
    applicationId,
    check: key,
    attempt,
    seed: id,
    paper: drawn.paper,
    state: 'under way',
    begunAt: now,
    dueAt: new Date(now.getTime() + check.minutes * 60_000),
  }).catch((error: unknown) => {
    if (error instanceof UniqueConstraintError) return undefined
    throw error
  })
  if (!begun) {
    const first = await Sitting.findOne({
      where: { applicationId, check: key, attempt },
      rejectOnEmpty: true,
      ...lockOf(),
    })
    return { id: first.id }
  }
  const application = await applicationById(applicationId)
  await recordEvent(deps, actor, {
    code: 'check-begun',
    values: { check: check.title },
    candidateId: application.candidateId,
    applicationId,
  })
  return { id }
}

export async function readSitting(deps: Deps, actor: Account, id: string) {
  return viewOf(deps, await ownSitting(actor, id))
}

export async function saveSittingAnswer(deps: Deps, actor: Account, id: string, questionId: string, given: string[]) {
  const sitting = await ownSitting(actor, id)
  if (deps.clock.now().getTime() > sitting.dueAt.getTime() + graceSeconds * 1000) throw problems.timeUp()
  const asked = sitting.paper.find(({ question }) => question === questionId)
  if (!asked || given.some((option) => !asked.options.includes(option))) throw notFound()
  if (!(await changeWhere(sitting, { state: 'under way' }, { savedAt: deps.clock.now() }))) throw problems.handedIn()
  await SittingAnswer.upsert({ sittingId: id, questionId, given, savedAt: deps.clock.now() })
  return { done: true as const }
}

/** Hands a paper in and marks it. Handing in again gives the same mark. */
export async function handInSitting(deps: Deps, actor: Account, id: string) {
  const sitting = await ownSitting(actor, id)
  if (sitting.state === 'under way' && !(await markSitting(deps, actor, sitting))) await sitting.reload(lockOf())
  return viewOf(deps, sitting)
}

/** Marks every paper whose time is up and that nobody handed in. Gives how many could not be marked. */
export async function markOverdue(deps: Deps): Promise<number> {
  const handedInBy = new Date(deps.clock.now().getTime() - graceSeconds * 1000)
  const overdue = { state: 'under way' as const, dueAt: { [Op.lt]: handedInBy } }
  return forEachRow(deps, Sitting, overdue, (sitting) => markSitting(deps, { kind: 'system' }, sitting))
}

/** Marks a paper, once: handed in twice at the same moment, the second finds it marked and does nothing. */
async function markSitting(deps: Deps, actor: Actor, sitting: Sitting): Promise<boolean> {
  // From here on no answer is saved any more.
  const closed = { state: 'marked' as const, finishedAt: deps.clock.now() }
  if (!(await changeWhere(sitting, { state: 'under way' }, closed))) return false
  const check = await checkByKey(sitting.check)
  const result = mark(
    (await bankOf(sitting.check)).map(plain),
    sitting.paper,
    await answersOf(sitting.id, lockOf()),
    check.passPercent,
  )
  await sitting.update({ mark: result, percent: result.percent, passed: result.passed })
  const application = await applicationById(sitting.applicationId)
  await recordEvent(deps, actor, {
    code: 'check-marked',
    values: { check: check.title, right: result.right, of: result.of, percent: result.percent },
    candidateId: application.candidateId,
    applicationId: sitting.applicationId,
  })
  return true
}

async function viewOf(deps: Deps, sitting: Sitting) {
  const check = await checkByKey(sitting.check)
  const bank = new Map((await bankOf(sitting.check)).map((question) => [question.id, question]))
  return {
    id: sitting.id,
    title: check.title,
    applicationId: sitting.applicationId,
    state: sitting.state,
    dueAt: sitting.dueAt.toISOString(),
    secondsLeft: Math.max(0, Math.round((sitting.dueAt.getTime() - deps.clock.now().getTime()) / 1000)),
    // Which options are right never leaves the server.
    questions: sitting.paper.map(({ question: id, options }) => {
      const question = bank.get(id)!
      return {
        id,
        text: question.text,
        options: options.map((option) => ({
          id: option,
          text: question.options.find((candidate) => candidate.id === option)!.text,
        })),
      }
    }),
    answers: await answersOf(sitting.id),
    result: sitting.mark
      ? {
          right: sitting.mark.right,
          of: sitting.mark.of,
          percent: sitting.mark.percent,
          passed: sitting.mark.passed,
          passPercent: check.passPercent,
        }
      : null,
  }
}

const answersOf = async (sittingId: string, lock = {}): Promise<Record<string, string[]>> =>
  Object.fromEntries(
    (await SittingAnswer.findAll({ where: { sittingId }, ...lock })).map(({ questionId, given }) => [
      questionId,
      given,
    ]),
  )

async function ownSitting(actor: Account, id: string): Promise<Sitting> {
  const sitting = await Sitting.findByPk(id)
  if (!sitting) throw notFound()
  await ownApplication(actor, sitting.applicationId)
  return sitting
}

/** A check can be sat once the application is sent and while its vacancy asks for it. */
async function requireAsked(actor: Account, applicationId: string, key: string) {
  const application = await ownApplication(actor, applicationId)
  const { requirements } = await rulesOfApplication(application, await vacancyById(application.vacancyId))
  const asked = requirements.some(({ asks }) => asks.kind === 'skills check' && asks.check === key)
  if (!asked) throw notFound()
  if (isDraft(application)) throw problems.sendFirst()
  if (hasEnded(application)) throw problems.ended()
}

const plain = ({
  id,
  topic,
  difficulty,
  options,
}: {
  id: string
  topic: string
  difficulty: 1 | 2 | 3
  options: { id: string; right: boolean }[]
}) => ({
  id,
  topic,
  difficulty,
  options: options.map((option) => ({ id: option.id, right: option.right })),
})
