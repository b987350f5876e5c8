import { type Attributes, Op, QueryTypes } from 'sequelize'
import type { EnquiryStep, StepDetails } from '#core/enquiries/enquiry'
import { dueDay, isDue } from '#core/enquiries/schedule'
import { nextWay, type Way } from '#core/enquiries/ways'
import { groupBy } from '#core/groupBy'
import { type ManyHappened, recordManyQuietly } from '../platform/audit/record'
import { inTransaction, lockOf } from '../platform/database/connection'
import { insertRows, momentText } from '../platform/database/insertRows'
import type { Deps } from '../platform/deps'
import { candidateNames } from '../records/accounts/candidate'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { Enquiry, EnquiryStepRow } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { stepRow, stepsOf, triedWays } from '../records/enquiries/steps'
import { permissionsOf } from '../records/permissions/permissions'
import { Source } from '../records/sources/model'
import { ask, type Leaving, letLeave, type Outgoing, type Packed, pack, remind } from './dispatch'
import { dueOnOf, nextActOf } from './due'
import { linkEnd } from './linkEnd'
import { addressOf, calendarOf, waysOf } from './plan'

/** What becomes of one question: nothing yet, a reminder, another way, the end of what can be tried, or it is not needed any more. */
type Next =
  | { act: 'wait'; dueOn: string | null }
  | { act: 'remind'; to: string }
  | { act: 'escalate'; way: Way; to: string }
  | { act: 'silent' }
  | { act: 'withdraw' }

/** What is looked at of a claim and of a source: a night reads a hundred thousand. */
const ofClaim = ['id', 'candidateId', 'kind', 'details', 'rung', 'credentialVersion', 'removedAt'] as const
const ofSource = ['id', 'name', 'country', 'register', 'answerWorkingDays', 'known', 'retiredAt'] as const

type Loaded = { enquiry: Enquiry; claim: Claim; source: Source; outgoing: Outgoing; next: Next }

type How = {
  /** The way it was asked leads nowhere, or somebody wants another: what is due is not waited for. */
  moveOn?: boolean
  /** The way that somebody has chosen. */
  to?: Way
  /** Somebody wants it reminded now. */
  remindNow?: boolean
  by?: string
}

/** What is to be written of one step of some questions. */
type Step = {
  acts: Map<string, Next['act']>
  /** How the questions stood when it was worked out. */
  seen: Map<string, string>
  updates: Update[]
  steps: ReturnType<typeof stepRow>[]
  happened: ManyHappened[]
  packed: Packed
}

/**
 * Takes questions that nobody has answered one step further: reminded, asked by another way, or silent for good. In one
 * transaction, so that a reminder is counted and in the outbox, or neither; whoever does it again finds it done.
 *
 * Standings are not computed anew here. The nightly pass does so for all; whoever else calls says that a file has changed.
 *
 * @param ids those that are thought to be due; the ones that no longer are, are left alone
 * @returns what was done with each
 */
export async function advance(deps: Deps, ids: readonly string[], how: How = {}): Promise<Map<string, Next['act']>> {
  const step = await workOut(deps, ids, how, { locked: true })
  await writeStep(deps, step)
  return step.acts
}

/**
 * The same for a night's many: it is worked out before anything is held, and written only if nothing has changed since; else it is
 * worked out once more, held.
 */
export async function advanceQuickly(deps: Deps, ids: readonly string[]) {
  const step = await workOut(deps, ids, {}, { locked: false })
  await inTransaction(deps.sequelize, async () => {
    if (await standAsSeen(step)) await writeStep(deps, step)
    else await advance(deps, ids)
  })
}

async function workOut(deps: Deps, ids: readonly string[], how: How, { locked }: { locked: boolean }): Promise<Step> {
  const today = deps.clock.today().toString()
  const due = how.moveOn || how.remindNow ? {} : { dueOn: { [Op.lte]: today } }
  const enquiries = await Enquiry.findAll({
    where: { id: [...ids], state: 'open', ...due },
    order: ['id'],
    ...(locked ? lockOf() : {}),
  })
  const seen = new Map(enquiries.map((enquiry) => [enquiry.id, standingOf(enquiry)]))
  const loaded = enquiries.length > 0 ? await load(deps, enquiries, how) : []
  const leaving: Leaving[] = []
  const updates: Update[] = []
  const steps: ReturnType<typeof stepRow>[] = []
  const happened: ManyHappened[] = []
  // Those of one letter that go the same way go together again.
  for (const group of groupBy(loaded, ({ enquiry, next }) => `${enquiry.batchId} ${JSON.stringify(next)}`).values()) {
    const [first] = group
    if (!first) continue
    for (const one of group) {
      const changes = changesOf(deps, one)
      const { by = '' } = how
      updates.push(updateOf(one.enquiry, changes))
      one.enquiry.set(changes, { raw: true })
      const taken = stepOf(one.next)
      if (taken) steps.push(stepRow(one.enquiry, { ...taken, at: deps.clock.now(), by }))
      if (one.next.act !== 'wait') happened.push(eventOf(one))
    }
    const batch = group.map(({ outgoing }) => outgoing) as [Outgoing, ...Outgoing[]]
    const { next, source } = first
    if (next.act === 'remind') leaving.push(remind(deps, batch, source, next.to))
    if (next.act === 'escalate') leaving.push(ask[next.way.channel](deps, batch, source, next.to))
  }
  const acts = new Map(loaded.map(({ enquiry, next }) => [enquiry.id, next.act]))
  return { acts, seen, updates, steps, happened, packed: await pack(deps, leaving) }
}

async function writeStep(deps: Deps, { updates, steps, happened, packed }: Step) {
  if (updates.length === 0) return
  await writeUpdates(updates)
  await insertRows(EnquiryStepRow, steps)
  await recordManyQuietly(deps, happened)
  await letLeave(packed)
}

/** What others change of a question while it is worked out: whatever matters raises its version, but for a look at it. */
const looked = ['id', 'version', 'state', 'dueOn', 'openedAt', 'forwardedAt'] as const
type Looks = Pick<Enquiry, (typeof looked)[number]>

/** Locks the questions, and says whether each is as it was seen. */
async function standAsSeen({ seen }: Step): Promise<boolean> {
  if (seen.size === 0) return true
  const where = { id: [...seen.keys()] }
  const now: Looks[] = await Enquiry.findAll({ where, attributes: [...looked], order: ['id'], raw: true, ...lockOf() })
  return now.length === seen.size && now.every((one) => seen.get(one.id) === standingOf(one))
}

const standingOf = ({ version, state, dueOn, openedAt, forwardedAt }: Looks): string =>
  [version, state, dueOn, openedAt?.getTime(), forwardedAt?.getTime()].join(' ')

async function load(deps: Deps, enquiries: readonly Enquiry[], how: How): Promise<Loaded[]> {
  const of = <K extends 'claimId' | 'sourceId' | 'applicationId'>(key: K) => [
    ...new Set(enquiries.map((enquiry) => enquiry[key])),
  ]
  const [claims, sources, permissions] = await Promise.all([
    Claim.findAll({ where: { id: of('claimId') }, attributes: [...ofClaim] }),
    Source.findAll({ where: { id: of('sourceId') }, attributes: [...ofSource] }),
    permissionsOf(of('applicationId')),
  ])
  const names = await candidateNames([...new Set(claims.map(({ candidateId }) => candidateId))])
  const claimOf = new Map(claims.map((claim) => [claim.id, claim]))
  const sourceOf = new Map(sources.map((source) => [source.id, source]))
  const permissionOf = new Map(permissions.map((one) => [one.applicationId, one]))
  const looked = enquiries.flatMap((enquiry) => {
    const claim = claimOf.get(enquiry.claimId)
    const source = sourceOf.get(enquiry.sourceId)
    return claim && source ? [{ enquiry, claim, source }] : []
  })
  const first = looked.map((one) => ({ ...one, next: nextOf(deps, one, how) }))
  // What was tried is read of those alone that go another way, or end.
  const onward = first.filter(({ next }) => next.act === 'move on').map(({ enquiry: { id } }) => id)
  const steps = groupBy(await stepsOf(onward), ({ enquiryId }) => enquiryId)
  return first.map(({ enquiry, claim, source, next }) => {
    const permission = permissionOf.get(enquiry.applicationId) ?? null
    const outgoing = { enquiry, claim, candidate: names.get(claim.candidateId) ?? '', permission, enclosed: [] }
    const tried = [...triedWays(steps.get(enquiry.id) ?? []), enquiry as Way]
    return {
      ...{ enquiry, claim, source, outgoing },
      next: next.act === 'move on' ? onwardOf({ claim, source }, tried, how.to) : next,
    }
  })
}

type Looked = Pick<Loaded, 'enquiry' | 'claim' | 'source'>

/** What happens with a question now. */
function nextOf(deps: Deps, { enquiry, claim, source }: Looked, how: How): Next | { act: 'move on' } {
  // Somebody has decided meanwhile, or the claim is gone: nobody needs an answer any more.
  if (claim.removedAt || claim.rung !== 'asked' || claim.credentialVersion !== enquiry.credentialVersion)
    return { act: 'withdraw' }
  const ways = waysOf(source, claim)
  const current = ways.find(({ channel, contactId }) => channel === enquiry.channel && contactId === enquiry.contactId)
  // What waits for us is due for nobody else.
  const waitsForUs =
    enquiry.toPrint || enquiry.channel === 'telephone' || enquiry.channel === 'register' || enquiry.paper
  if (waitsForUs && !how.moveOn) return { act: 'wait', dueOn: null }
  const next = nextActOf(deps, source, enquiry)
  if (!how.moveOn && !how.remindNow && !isDue(next.on, deps.clock.today()))
    return { act: 'wait', dueOn: next.on.toString() }
  // Nobody writes to an address that was changed and not checked since, nor to a source that is retired.
  const reachable = current && !source.retiredAt
  if (reachable && (how.remindNow || (!how.moveOn && next.act === 'remind')))
    return { act: 'remind', to: addressOf(source, current) }
  if (how.remindNow) return { act: 'wait', dueOn: enquiry.dueOn ?? next.on.toString() }
  return { act: 'move on' }
}

/** The way after those that were tried, or the end. */
function onwardOf({ claim, source }: Pick<Looked, 'claim' | 'source'>, tried: readonly Way[], to?: Way): Next {
  const way = to ?? (source.retiredAt ? undefined : nextWay(waysOf(source, claim), tried))
  return way ? { act: 'escalate', way, to: addressOf(source, way) } : { act: 'silent' }
}

type Values = Partial<Attributes<Enquiry>>

/** What changes of a question. */
function changesOf(deps: Deps, { enquiry, source, next }: Loaded): Values {
  const now = deps.clock.now()
  if (next.act === 'wait') return { dueOn: next.dueOn }
  if (next.act === 'withdraw') return withStanding(enquiry, { state: 'withdrawn' as const })
  if (next.act === 'silent') return withStanding(enquiry, { state: 'silent' as const })
  if (next.act === 'remind') {
    const reminders = (enquiry.reminders ?? 0) + 1
    const isLetter = enquiry.channel === 'letter'
    return withStanding(enquiry, {
      reminders,
      ...{ remindedAt: now, expiresAt: linkEnd(now) },
      ...(isLetter ? { toPrint: 'reminder' as const } : {}),
      dueOn: isLetter ? null : dueOnOf(deps, source, { ...enquiry.get(), reminders, remindedAt: now }),
    })
  }
  const { channel, contactId } = next.way
  const answerWorkingDays =
    enquiry.speed === 'faster' ? (source.known.faster?.answerWorkingDays ?? 5) : source.answerWorkingDays
  const answerBy = dueDay(deps.clock.today(), { channel, answerWorkingDays }, calendarOf(deps, source)).toString()
  const byItself = channel === 'link' || channel === 'direct issue'
  return withStanding(enquiry, {
    ...{ channel, contactId, answerBy, reminders: 0, escalations: (enquiry.escalations ?? 0) + 1 },
    ...{ openedAt: null, forwardedAt: null, remindedAt: null, expiresAt: linkEnd(now) },
    toPrint: channel === 'letter' ? ('letter' as const) : null,
    dueOn: byItself ? dueOnOf(deps, source, { channel, speed: enquiry.speed, answerBy }) : null,
  })
}

function stepOf(next: Next): { step: EnquiryStep; details?: StepDetails } | undefined {
  if (next.act === 'wait') return undefined
  if (next.act === 'remind') return { step: 'reminded', details: { to: next.to } }
  if (next.act === 'escalate') return { step: 'escalated', details: { to: next.to } }
  return { step: next.act === 'silent' ? 'silent' : 'withdrawn' }
}

function eventOf({ enquiry, claim, source, next }: Loaded): ManyHappened {
  const about = {
    ...{ about: source.name, candidateId: claim.candidateId, applicationId: enquiry.applicationId, claimId: claim.id },
    details: { enquiry: enquiry.reference, channel: enquiry.channel },
  }
  const values = { source: source.name, claim: labelValue(claim.details) }
  if (next.act === 'remind') return { ...about, code: 'source-reminded', values }
  if (next.act === 'silent') return { ...about, code: 'enquiry-silent', values }
  if (next.act === 'withdraw') return { ...about, code: 'enquiry-called-off', values }
  return { ...about, code: 'enquiry-escalated', values: { ...values, way: { code: `enquiry.way.${enquiry.channel}` } } }
}

/** The columns that a step changes; all of them are written, so that one statement does for many rows. */
const columns = {
  state: 'VARCHAR(12)',
  channel: 'VARCHAR(14)',
  contactId: 'VARCHAR(64)',
  answerBy: 'DATE',
  expiresAt: 'VARCHAR(30)',
  remindedAt: 'VARCHAR(30)',
  openedAt: 'VARCHAR(30)',
  forwardedAt: 'VARCHAR(30)',
  reminders: 'INT',
  escalations: 'INT',
  toPrint: 'VARCHAR(10)',
  dueOn: 'DATE',
  turn: 'VARCHAR(10)',
  activeKey: 'CHAR(36)',
} as const
type Update = { id: string } & Record<keyof typeof columns, string | number | null>

const columnNames = Object.keys(columns) as (keyof typeof columns)[]

function updateOf(enquiry: Enquiry, changes: Values): Update {
  const before = enquiry.get() as Record<string, unknown>
  const update: Record<string, unknown> = { id: enquiry.id }
  for (const name of columnNames) {
    const value = name in changes ? changes[name] : before[name]
    update[name] = value instanceof Date ? momentText(value) : (value ?? null)
  }
  return update as Update
}

/** One statement for all: a hundred round trips would hold their locks far longer. */
async function writeUpdates(updates: readonly Update[]) {
  const shape = Object.entries({ id: 'CHAR(36)', ...columns }).map(([name, type]) => `${name} ${type} PATH '$.${name}'`)
  const set = Object.keys(columns).map((name) => `e.${name} = x.${name}`)
  await Enquiry.sequelize!.query(
    `UPDATE enquiries e JOIN JSON_TABLE(:updates, '$[*]' COLUMNS (${shape.join(', ')})) x ON x.id = e.id
     SET ${set.join(', ')}, e.version = e.version + 1`,
    { replacements: { updates: JSON.stringify(updates) }, type: QueryTypes.UPDATE },
  )
}
