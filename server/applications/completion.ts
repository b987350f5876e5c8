import { literal, Op } from 'sequelize'
import type { Temporal } from 'temporal-polyfill'
import { dayAt } from '#core/dates/zoned'
import { type Completion, completionEnds, reminderStep } from '#core/hiring/completion'
import { activeStages, isActive, isBeforeOffer, isDraft, stageAfter } from '#core/hiring/stages'
import { queueNotice } from '../messages/queueNotice'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { forEachRow } from '../platform/database/forEachRow'
import type { Account, Actor, Deps } from '../platform/deps'
import { type Readiness, readinessOf } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { isTheirs } from '../records/applications/writtenFor'
import { owesAnything } from '../records/fees/find'
import { GatePassage } from '../records/hiring/model'
import { vacancyById } from '../records/vacancies/vacancies'
import { dueFromCandidate } from './due'
import { problems } from './problems'

const byItself: Actor = { kind: 'system' }

/** The last day somebody has to finish an application, where its rules set one. */
function endsOn({ organisation }: Pick<Deps, 'organisation'>, application: Application, rule: Completion) {
  const { completeFrom, createdAt, sentAt, extendedAt } = application
  const day = (moment: Date) => dayAt(moment, organisation.timeZone).toString()
  const days = [completeFrom, day(createdAt), sentAt ? day(sentAt) : undefined].filter((one) => one != null)
  const began = dayAt(new Date(`${days.sort().at(-1)!}T12:00:00Z`), 'UTC')
  return completionEnds(rule, { began, extended: Boolean(extendedAt) })
}

/** Whether something of it is still for its candidate to finish: before sending all of it, afterwards until an offer. */
const isTheirTurn = (application: Application, readiness: Readiness) =>
  isDraft(application) ||
  (isActive(application) && isBeforeOffer(application) && dueFromCandidate(readiness).length > 0)

/** Whether anything it was charged is still to be paid. */
const owes = ({ facts }: Readiness) => Object.values(facts.fees ?? {}).some((state) => state !== 'settled')

/** Set aside and not taken up again: before it was sent, or afterwards. */
const isSetAside = (application: Application) =>
  isDraft(application) ? Boolean(application.setAsideAt) : application.stage === 'set aside'

/** How much time is left, for the person themselves; null where no time is set, or nothing is theirs to finish. */
export function completionOf(deps: Deps, application: Application, readiness: Readiness) {
  const rule = readiness.rules.completeWithin
  const setAside = isSetAside(application)
  if (!rule || (!setAside && !isTheirTurn(application, readiness))) return null
  return {
    ...{ endsOn: endsOn(deps, application, rule).toString(), setAside, paysFirst: setAside && owes(readiness) },
    extraDays: setAside || application.extendedAt ? 0 : rule.extraDays,
  }
}

/** One more stretch of days, with the reason; once. */
export async function extend(deps: Deps, actor: Account, id: string, reason: string) {
  const application = await ownApplication(actor, id, { lock: true })
  const readiness = await readinessOf(deps, application)
  const left = completionOf(deps, application, readiness)
  if (!left || left.setAside) throw problems.noTimeToExtend()
  if (left.extraDays === 0) throw problems.extendedAlready()
  await compareAndSet(application, application.version, { extendedAt: deps.clock.now(), completeReminded: null })
  await recordEvent(deps, actor, {
    code: 'time-extended',
    values: { days: left.extraDays, reason: reason.trim() },
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}

/** Takes up again what was set aside, with all that was given: the time begins anew. */
export async function restore(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id, { lock: true, setAside: true })
  if (!isSetAside(application)) throw problems.notSetAside()
  if (!isDraft(application) && (await owesAnything(id))) throw problems.payFirst()
  await takeUp(deps, actor, application)
  return { done: true as const }
}

/** The same once what held it up is paid. */
export async function takeUpOncePaid(deps: Deps, actor: Actor, application: Application) {
  if (application.stage === 'set aside' && !(await owesAnything(application.id))) await takeUp(deps, actor, application)
}

async function takeUp(deps: Deps, actor: Actor, application: Application) {
  const shortlisted = await GatePassage.findOne({ where: { applicationId: application.id, gate: 'shortlist' } })
  const stage = shortlisted ? ('shortlisted' as const) : ('sent' as const)
  await compareAndSet(application, application.version, {
    ...(isDraft(application) ? {} : { stage, endedAt: null }),
    ...begunAnew(deps.clock.today()),
  })
  await recordEvent(deps, actor, {
    code: 'taken-up-again',
    words: 'taken-up-again.byThemselves',
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: application.id,
  })
}

/** The time begins anew on a day. */
export const begunAnew = (today: Temporal.PlainDate) => ({
  ...{ setAsideAt: null, extendedAt: null, completeReminded: null, completeFrom: today.toString() },
})

/** Reminds of the time that is left, and sets aside what was not finished in it. Gives how many failed. */
export function watchCompletion(deps: Deps): Promise<number> {
  const now = deps.clock.now()
  const today = deps.clock.today()
  const timed = {
    stage: ['being written' as const, ...activeStages],
    setAsideAt: null,
    id: {
      [Op.in]: literal(`(SELECT a.id FROM applications a JOIN vacancies v ON v.id = a.vacancyId
        JOIN rules_versions r ON r.vacancyId = a.vacancyId
          AND r.version = IF(a.stage = 'being written', v.rulesVersion, a.rulesVersion)
        WHERE r.completeWithin IS NOT NULL AND (a.stage <> 'being written' OR v.closesAt > '${now.toISOString().slice(0, 19).replace('T', ' ')}'))`),
    },
  }
  return forEachRow(deps, Application, timed, async (application) => {
    if (isDraft(application) && !(await isTheirs(application))) return
    const readiness = await readinessOf(deps, application)
    const rule = readiness.rules.completeWithin
    if (!rule || !isTheirTurn(application, readiness)) return
    const ends = endsOn(deps, application, rule)
    const daysLeft = today.until(ends).days
    const [person, vacancy] = await Promise.all([
      candidateWithMail(application.candidateId),
      vacancyById(application.vacancyId),
    ])
    const place = isDraft(application) ? 'apply' : 'applications'
    const values = {
      vacancy: vacancy.title,
      day: { day: ends.toString() },
      link: `${deps.config.publicUrl}/${place}/${application.id}`,
    }
    if (daysLeft < 0) {
      await compareAndSet(application, application.version, {
        setAsideAt: now,
        ...(isDraft(application) ? {} : { stage: stageAfter('set aside'), endedAt: now }),
      })
      await recordEvent(deps, byItself, {
        code: 'set-aside',
        about: application.reference ?? undefined,
        candidateId: application.candidateId,
        applicationId: application.id,
      })
      await queueNotice(deps, { to: person, words: 'setAside', values, about: application })
      return
    }
    const step = reminderStep(rule, daysLeft, application.completeReminded ?? null)
    if (step === undefined) return
    await application.update({ completeReminded: step })
    await queueNotice(deps, { to: person, words: 'timeToFinish', values, about: application })
  })
}
