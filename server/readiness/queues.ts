import { Temporal } from 'temporal-polyfill'
import { type Queue, queues } from '#contract/desk'
import { credentialKind } from '#core/catalogue/catalogue'
import { isBeforeOffer, isUndecided, nextGateOf } from '#core/hiring/stages'
import { openAt } from '#core/requirements/evaluate'
import type { Outcome, Step } from '#core/requirements/requirement'
import { validityOn } from '#core/validity/validity'
import { isKnown, type Key } from '#core/words/say'
import type { StoredGiven, StoredText, StoredValue } from '#core/words/stored'
import type { Application } from '../records/applications/model'
import type { LikelyDate } from './forecast'
import type { Readiness } from './readiness'

/** What besides requirements puts somebody into a queue. */
type Pressing = {
  likely: LikelyDate
  changed: boolean
  refused: boolean
  wroteToUs: boolean
  asked: boolean
  /** The promised day of decision, where it comes soon or has passed, or the post is filled and they were not told. */
  promised: StoredText | undefined
  scoresAwaited: number
  duplicates: boolean
}

/** How an application stands, as far as queues go by it. */
type Standing = Pressing & {
  application: Application
  readiness: Readiness
  /** A source has answered and nobody has compared it. */
  reply: StoredText | undefined
  /** What hinders at the next gate, or that nothing does. */
  next: StoredText | undefined
  /** Nothing hinders: why it can pass. */
  passable: StoredText | undefined
}

/** The requirement with most to do whose first step, or outcome, is like this. */
function mostUrgent({ outcomes }: Readiness, fits: (step: Step, outcome: Outcome) => boolean): StoredText | undefined {
  const found = [...outcomes].sort(byUrgency).find((outcome) => outcome.steps[0] && fits(outcome.steps[0], outcome))
  return found && briefly(found)
}

/** Why somebody is in each queue, or nothing where they are not in it. Whoever adds a queue is asked for it here. */
const whyIn: Record<Queue, (standing: Standing) => StoredText | undefined> = {
  today: ({ readiness, likely, reply, refused, wroteToUs, asked, changed, passable, promised }) => {
    const waiting = likely.heldUpBy?.outcome
    return (
      reply ??
      (refused ? stored('queue.mailRefused') : undefined) ??
      (wroteToUs ? stored('queue.wroteToUs') : undefined) ??
      (asked ? stored('queue.askedUs') : undefined) ??
      (changed ? stored('queue.changed') : undefined) ??
      promised ??
      passable ??
      mostUrgent(readiness, ({ who }, { reason }) => who === 'desk' || reason.code === 'offer-expired') ??
      (likely.slack < 0 && waiting ? briefly(waiting) : undefined)
    )
  },
  applications: ({ application, duplicates, scoresAwaited, next }) => {
    if (!isUndecided(application)) return undefined
    if (duplicates) return stored('queue.secondFile')
    if (scoresAwaited > 0) return stored('queue.scoresAwaited', { count: scoresAwaited })
    return next ?? stored('queue.new')
  },
  verification: ({ readiness, reply }) => {
    const verifying =
      mostUrgent(readiness, ({ what }) => ['look', 'ask', 'compare', 'reply'].includes(what)) ??
      mostUrgent(readiness, (_, { reason }) => ['contradicted', 'unconfirmable', 'decision-open'].includes(reason.code))
    const deskVerifies = ({ who, what }: Step) => who === 'desk' && ['look', 'ask', 'compare', 'decide'].includes(what)
    return reply ?? (verifying && (mostUrgent(readiness, deskVerifies) ?? verifying))
  },
  skills: ({ readiness }) =>
    mostUrgent(readiness, (_, { reason }) => reason.code.startsWith('check-') && reason.code !== 'check-passed'),
  validity: ({ readiness }) => fadingCredential(readiness),
  hiring: ({ application, next }) => (isUndecided(application) ? undefined : (next ?? stored('queue.inHand'))),
}

/** In which queues somebody is whose application the desk works on, each with why. */
export function queueReasons(
  application: Application,
  readiness: Readiness,
  pressing: Pressing,
): Partial<Record<Queue, StoredText>> {
  const { outcomes, facts } = readiness
  const gate = nextGateOf(application)
  const open = gate ? openAt(outcomes, gate) : []
  const unread = facts.claims.find(({ enquiry, rung, review }) => enquiry === 'answered' && rung === 'asked' && !review)
  const mute = facts.claims.find(({ enquiry, rung }) => enquiry === 'silent' && rung === 'asked')
  const silent =
    mute && !outcomes.some(({ reason }) => reason.code === 'source-silent')
      ? stored('queue.sourceSilent', { claim: mute.label })
      : undefined
  const readyFor = gate && gate !== 'send' ? stored(`queue.readyFor.${gate}`) : undefined
  const passable = gate !== null && open.length === 0 ? readyFor : undefined
  const standing: Standing = {
    ...pressing,
    application,
    readiness,
    reply:
      silent ??
      (unread && !outcomes.some(({ reason }) => reason.code === 'reply-in')
        ? stored('queue.compareReply', { claim: unread.label })
        : undefined),
    passable,
    next: passable ?? (open[0] && briefly(open[0])),
  }
  return Object.fromEntries(
    queues.flatMap((queue) => {
      const why = whyIn[queue](standing)
      return why ? [[queue, why]] : []
    }),
  )
}

const promiseDays = 3

/** Whoever waits is to be told by the promised day, and once a post is filled: also those who are not chosen. */
export function promisedTo(application: Application, { vacancy, facts }: Readiness): StoredText | undefined {
  if (!isBeforeOffer(application)) return undefined
  if (vacancy.state === 'filled') return stored('queue.filledNotTold')
  if (!vacancy.decidesOn) return undefined
  const left = facts.today.until(Temporal.PlainDate.from(vacancy.decidesOn), { largestUnit: 'day' }).days
  const day = { day: vacancy.decidesOn }
  if (left < 0) return stored('queue.promiseBroken', { day })
  return left <= promiseDays ? stored('queue.promised', { day }) : undefined
}

/** Also who is not worked on any more is answered. */
export const reasonsOfAsked = (asked: boolean): Partial<Record<Queue, StoredText>> =>
  asked ? { today: stored('queue.askedUs') } : {}

/** Who is cleared to start stays in sight: what lapses before, on or after the first day is still somebody's to see to. */
export function fadingOfCleared(readiness: Readiness): Partial<Record<Queue, StoredText>> {
  // A final paper that was owed and has not come is owed by who has started too.
  const owed = readiness.outcomes.find(({ reason }) => reason.code === 'interim-over')
  if (owed) return { today: briefly(owed), validity: briefly(owed) }
  const fading = fadingCredential(readiness)
  if (!fading) return {}
  const lapsed = readiness.facts.claims.some(
    ({ term, credential }) =>
      term && validityOn(readiness.facts.today, term, leadDaysOf(credential)).state === 'lapsed',
  )
  return { validity: fading, ...(lapsed ? { today: fading } : {}) }
}

export const leadDaysOf = (credential: string | undefined) => credentialKind(credential ?? '')?.leadDays ?? 30

/** What somebody has answered or contradicted comes first, then what has most left to do. */
function byUrgency(a: Outcome, b: Outcome): number {
  const settled = ({ reason }: Outcome) =>
    Number(
      ['reply-in', 'decision-open', 'contradicted', 'unconfirmable', 'check-failed', 'offer-expired'].includes(
        reason.code,
      ),
    )
  return settled(b) - settled(a) || b.steps.length - a.steps.length
}

const stored = <Said extends Key>(code: Said, ...[values]: StoredGiven<Said>): StoredText =>
  values === undefined ? { code } : { code, values }

/** An open requirement in a few words: what it is and what is to be done. */
function briefly(outcome: Outcome): StoredText {
  const { reason, steps } = outcome
  const code = `queue.reason.${reason.code}`
  const step = steps[0] ? (`step.what.${steps[0].what}` as const) : 'queue.open'
  return stored('queue.requirement', {
    title: titleOf(outcome),
    act: { code: isKnown(code) ? code : step },
  })
}

function fadingCredential({ claims, facts, outcomes }: Readiness): StoredText | undefined {
  const early = outcomes.find(({ reason }) => reason.code === 'lapses-early' || reason.code === 'validity-unknown')
  if (early?.reason.code === 'lapses-early') {
    const { claim, lastDay } = early.reason
    if (Temporal.PlainDate.compare(facts.targetStart, facts.today) <= 0)
      return stored(lastDay < facts.today.toString() ? 'queue.lapsed' : 'queue.lapses', {
        claim,
        day: { day: lastDay },
      })
    const after = facts.targetStart.until(Temporal.PlainDate.from(lastDay), { largestUnit: 'day' }).days
    if (after > 0) return stored('queue.lapsesAfterStart', { claim, count: after })
    return stored(after < 0 ? 'queue.lapsesBeforeStart' : 'queue.lapsesOnStart', { claim })
  }
  if (early) return briefly(early)
  for (const claim of claims) {
    const fact = facts.claims.find(({ id }) => id === claim.id)
    if (!fact?.term) continue
    const { state, lastDay } = validityOn(facts.today, fact.term, leadDaysOf(fact.credential))
    if ((state === 'expiring' || state === 'lapsed') && lastDay)
      return stored(state === 'lapsed' ? 'queue.lapsed' : 'queue.lapses', {
        claim: fact.label,
        day: { day: lastDay.toString() },
      })
  }
  return undefined
}

export const titleOf = ({ title, part, translations }: Outcome): StoredValue => ({
  title,
  ...(part ? { part } : {}),
  ...(translations ? { translations } : {}),
})
