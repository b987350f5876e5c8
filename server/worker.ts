import { answerReset } from './accounts/lookAfter'
import { answerSignUp } from './accounts/signUp'
import { runDaily } from './daily'
import { giveUpReading, readQueued } from './documents/reading/readQueued'
import { giveUpLookUp, lookUpFor } from './enquiries/register'
import { releaseOf } from './enquiries/release'
import { followPayment } from './fees/pay'
import { giveUpRefund, sendRefund } from './fees/refund'
import { compareImported, runImportJob } from './incoming/imports/run'
import { giveUpScan, readScan } from './incoming/tray/readScan'
import { takeFromScanner } from './incoming/tray/tray'
import { giveUpMail, sendMail } from './messages/sendMail'
import { followText, giveUpText, sendText } from './messages/sendText'
import { depsNow } from './platform/clock'
import { inTransaction } from './platform/database/connection'
import type { Deps, Fixed } from './platform/deps'
import { describeError } from './platform/errors/describeError'
import type { JobKind, Jobs } from './platform/jobs/jobs'
import { giveBackLeases, holding, leaseOf } from './platform/jobs/lease'
import { onQueued } from './platform/jobs/queue'
import { queueDaily } from './platform/jobs/queueDaily'
import { refreshForDay } from './readiness/refreshForDay'
import { refreshFlags } from './redFlags/refresh'
import { tellOfDecisionDay } from './vacancies/decisionDay'
import { runDryRun } from './vacancies/rules/runDryRun'
import { lookUpKnown } from './verification/lookUpKnown'

const idleMs = 400

/** How often and how long a job that fails is tried again. */
type Patience = { attempts: number; days: number; longestPauseSeconds: number }
const usual: Patience = { attempts: 8, days: 30, longestPauseSeconds: 3600 }
/** Somebody's mail server may be down for days; what it has not refused is not given up before (RFC 5321, 4.5.4.1). */
const untilDelivered: Patience = { attempts: 1000, days: 4, longestPauseSeconds: 3 * 3600 }

/** A register that is down over a night is up again in the morning; then another way is taken. */
const forARegister: Patience = { attempts: 12, days: 2, longestPauseSeconds: 3 * 3600 }

/** Money that is under way is not forgotten while a provider is away. */
const forAProvider: Patience = { attempts: 400, days: 4, longestPauseSeconds: 1800 }

/** What makes one program fall over does so again. */
const aPaper: Patience = { attempts: 3, days: 2, longestPauseSeconds: 60 }

/** What takes long has a lane of its own, so that mails do not wait behind it. */
const lanes = ['quick', 'long', 'paper', 'flags'] as const
type Lane = (typeof lanes)[number]

/** How jobs of one kind are done. */
type Work<Payload> = {
  lane: Lane
  run: (deps: Deps, payload: Payload) => Promise<void>
  /** What is done about one that failed for the last time. */
  giveUp?: (deps: Deps, payload: Payload, error: string) => Promise<void>
  patience?: Patience
  /** The payload holds what nobody has to keep, such as the hash of a password. */
  forgetful?: boolean
}

/** Who does what; a kind that nobody does, or that has no lane, does not compile. */
const works: { [Kind in JobKind]: Work<Jobs[Kind]> } = {
  mail: { lane: 'quick', run: sendMail, giveUp: giveUpMail, patience: untilDelivered },
  text: { lane: 'quick', run: sendText, giveUp: giveUpText, patience: untilDelivered },
  'text delivery': { lane: 'quick', run: followText, patience: untilDelivered },
  'sign up': { lane: 'quick', run: inOne(answerSignUp), forgetful: true },
  reset: { lane: 'quick', run: inOne(answerReset), forgetful: true },
  'decision day': { lane: 'long', run: tellOfDecisionDay },
  'known awards': { lane: 'quick', run: lookUpKnown },
  'look up': { lane: 'quick', run: lookUpFor, giveUp: giveUpLookUp, patience: forARegister },
  'prepared enquiries': { lane: 'quick', run: releaseOf },
  'follow payment': { lane: 'quick', run: followPayment, patience: forAProvider },
  refund: { lane: 'quick', run: sendRefund, giveUp: giveUpRefund, patience: forAProvider },
  daily: { lane: 'long', run: runDaily },
  summaries: { lane: 'long', run: refreshForDay },
  'dry run': { lane: 'long', run: runDryRun },
  'read paper': { lane: 'paper', run: readQueued, giveUp: giveUpReading, patience: aPaper },
  'red flags': { lane: 'flags', run: refreshFlags },
  'read scan': { lane: 'long', run: readScan, giveUp: giveUpScan },
  import: { lane: 'long', run: runImportJob },
  'compare imported': { lane: 'long', run: compareImported },
}

const kindsIn = (lane: Lane) => (Object.keys(works) as JobKind[]).filter((kind) => works[kind].lane === lane)

/** A job that is done in one transaction. */
function inOne<P>(work: (deps: Deps, payload: P) => Promise<void>) {
  return (deps: Deps, payload: P) => inTransaction(deps.sequelize, () => work(deps, payload))
}

/**
 * Works through the queue until stopped. Several copies may do so at once: a job is leased by one of them, and given
 * free again if that one dies. A job that fails is tried again, later each time.
 */
export function startWorking(fixed: Fixed): { stop: (patienceMs: number) => Promise<void> } {
  const running = lanes
    .filter((lane) => (lane !== 'paper' && lane !== 'flags') || fixed.config.readsPapers)
    .map((lane) => workLane(fixed, lane))
  return {
    // A job that takes longer than we wait is given free for another copy, which begins it anew.
    stop: async (patienceMs) => {
      const done = Promise.all(running.map(({ stop }) => stop())).then(() => true)
      const over = new Promise<false>((fail) => setTimeout(() => fail(false), patienceMs).unref())
      if (!(await Promise.race([done, over]))) await giveBackLeases(fixed)
    },
  }
}

function workLane(fixed: Fixed, lane: Lane): { stop: () => Promise<void> } {
  let stopping = false
  let queued = false
  let wake = () => {}
  const deaf = onQueued(() => {
    queued = true
    wake()
  })
  const loop = (async () => {
    while (!stopping) {
      queued = false
      const worked = await workOnce(fixed, lane).catch((error: unknown) => {
        if (!stopping) fixed.log.error({ error: describeError(error) }, 'the job queue could not be read')
        return false
      })
      if (worked || stopping || queued) continue
      await new Promise<void>((done) => {
        const timer = setTimeout(done, idleMs)
        wake = () => {
          clearTimeout(timer)
          done()
        }
      })
    }
  })()
  return {
    stop: async () => {
      stopping = true
      deaf()
      wake()
      await loop
    },
  }
}

/** Does one job that is due. Gives whether there was one. */
export async function workOnce(fixed: Fixed, lane: Lane = 'quick'): Promise<boolean> {
  const deps: Deps = await depsNow(fixed)
  if (lane === 'long') await queueDaily(deps)
  if (lane === 'long')
    await takeFromScanner(deps).catch((error: unknown) => deps.log.warn({ error: describeError(error) }, 'the scanner'))
  const job = await leaseOf(deps, kindsIn(lane))
  if (!job) return false
  const { run, giveUp, patience = usual, forgetful } = works[job.kind] as Work<unknown>
  try {
    await holding(job, () => run(deps, job.payload))
    // In a transaction, because that is tried again when another copy’s look at the queue was in the way.
    await inTransaction(deps.sequelize, () =>
      job.update({
        doneAt: new Date(),
        leasedUntil: null,
        lastError: null,
        ...(forgetful ? { payload: {} } : {}),
      }),
    )
  } catch (error) {
    const attempts = job.attempts + 1
    const { attempts: most, days, longestPauseSeconds } = patience
    const delaySeconds = Math.min(longestPauseSeconds, 2 ** attempts)
    const runAt = new Date(Date.now() + delaySeconds * 1000)
    const over = attempts >= most || runAt.getTime() - job.queuedAt.getTime() > days * 86_400_000
    deps.log.warn({ job: job.id, kind: job.kind, attempts, error: describeError(error) }, 'a job failed')
    await inTransaction(deps.sequelize, () =>
      job.update({
        attempts,
        leasedUntil: null,
        lastError: String(error).slice(0, 2000),
        runAt,
        // What keeps failing stays on record with its error, for a person to look at.
        doneAt: over ? new Date() : null,
      }),
    )
    if (over) await giveUp?.(deps, job.payload, String(error))
  }
  return true
}
