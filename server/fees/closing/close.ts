import { type Attributes, Op, QueryTypes, type WhereOptions } from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import { groupBy } from '#core/groupBy'
import { compareDay, type Moved } from '#core/money/closing'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { changeWhere } from '../../platform/database/compareAndSet'
import { inTransaction } from '../../platform/database/connection'
import type { Account, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import { ProviderSilent } from '../../platform/outside/payments'
import { FeeClosing } from '../../records/fees/closing'
import { FeePayment, LedgerEntry } from '../../records/fees/model'
import { problems } from '../problems'

const pageSize = 31
/** Days that a provider that was away is asked again for. */
const catchesUpDays = 14

type Booked = Moved & { charge: string }

/** The moments a day begins and ends at, where the organisation is. */
export function boundsOf({ organisation }: Pick<Deps, 'organisation'>, day: string): [Date, Date] {
  const at = (one: Temporal.PlainDate) => new Date(one.toZonedDateTime(organisation.timeZone).epochMilliseconds)
  const date = Temporal.PlainDate.from(day)
  return [at(date), at(date.add({ days: 1 }))]
}

/** What the provider has by our books, of some moments or of some payments. */
async function bookedAtProvider(deps: Deps, where: object): Promise<Booked[]> {
  const entries = await LedgerEntry.findAll({
    where: {
      [Op.and]: [where, { [Op.or]: ['payment ', 'refund '].map((cause) => ({ cause: { [Op.like]: `${cause}%` } })) }],
    } as WhereOptions<Attributes<LedgerEntry>>,
    order: ['at', 'id'],
  })
  if (entries.length === 0) return []
  const sums = await deps.sequelize.query<{ entryId: string; amount: number | string }>(
    `SELECT entryId, SUM(amount) AS amount FROM ledger_postings WHERE account = 'provider' AND entryId IN (:ids) GROUP BY entryId`,
    { replacements: { ids: entries.map(({ id }) => id) }, type: QueryTypes.SELECT },
  )
  const amounts = new Map(sums.map(({ entryId, amount }) => [entryId, Number(amount)]))
  const paidBack = new Map<string, string>()
  const refunds = entries.flatMap(({ cause }) => (cause.startsWith('refund ') ? [cause.slice(7)] : []))
  if (refunds.length > 0)
    for (const { id, paymentId } of await deps.sequelize.query<{ id: string; paymentId: string }>(
      'SELECT id, paymentId FROM fee_refunds WHERE id IN (:refunds)',
      { replacements: { refunds }, type: QueryTypes.SELECT },
    ))
      paidBack.set(id, paymentId)
  return entries.flatMap(({ id, cause, chargeId, currency }): Booked[] => {
    const amount = amounts.get(id)
    if (amount === undefined || !chargeId) return []
    const [kind, own] = cause.split(' ') as [string, string]
    if (kind === 'payment') return [{ payment: own, amount, currency, charge: chargeId }]
    return [{ payment: paidBack.get(own) ?? '', refund: own, amount, currency, charge: chargeId }]
  })
}

/**
 * Closes a day: what was booked with the provider against its report. What it has on a neighbouring day agrees; what it tells and
 * nobody booked, or the other way round, waits for somebody. Closed again, it is as it is found then.
 *
 * @throws ProviderSilent where the provider gives no report now
 */
export async function closeDay(deps: Deps, day: string): Promise<FeeClosing> {
  const { payments } = deps
  if (!payments) throw problems.noCards()
  const [from, until] = boundsOf(deps, day)
  const [booked, reported] = await Promise.all([
    bookedAtProvider(deps, { at: { [Op.gte]: from, [Op.lt]: until } }),
    payments.report(day),
  ])
  const keyOf = ({ payment, refund = '' }: Moved) => `${payment} ${refund}`
  const known = new Set(booked.map(keyOf))
  const told = new Set(reported.map(keyOf))
  const causes = reported.filter((one) => !known.has(keyOf(one))).map((one) => causeOf(one))
  const before = causes.length > 0 ? await bookedAtProvider(deps, { cause: causes }) : []
  const neighbours = booked.every((one) => told.has(keyOf(one)))
    ? []
    : (
        await Promise.all(
          [-1, 1].map((by) => payments.report(Temporal.PlainDate.from(day).add({ days: by }).toString())),
        )
      ).flat()
  const looked = await Promise.all(
    booked
      .filter((one) => !told.has(keyOf(one)) && !neighbours.some((other) => keyOf(other) === keyOf(one)))
      .map(async (one): Promise<Moved[]> => {
        // The provider may count it to a day of its own; whether it has it at all, it says itself.
        const found = one.refund ? undefined : await payments.look(one.payment)
        return found?.state === 'paid' ? [{ payment: one.payment, amount: found.amount, currency: found.currency }] : []
      }),
  )
  const { agreed, differences } = compareDay(booked, reported, {
    booked: before,
    reported: [...neighbours, ...looked.flat()],
  })
  const charges = new Map([...booked, ...before].map((one) => [one.payment, one.charge]))
  const unknown = differences.filter(({ payment }) => !charges.has(payment)).map(({ payment }) => payment)
  for (const { id, chargeId } of await FeePayment.findAll({ where: { id: unknown } })) charges.set(id, chargeId)
  const byCurrency = groupBy(booked, ({ currency }) => currency)
  const found = {
    ...{ day, state: differences.length === 0 ? ('agreed' as const) : ('differs' as const), agreed },
    card: [...byCurrency].map(([currency, all]) => ({
      currency,
      amount: all.reduce((sum, { amount }) => sum + amount, 0),
    })),
    differences: differences.map((one) => ({ ...one, charge: charges.get(one.payment) ?? null })),
    ...{ closedAt: deps.clock.now(), reason: null, settledBy: null },
  }
  await FeeClosing.upsert(found)
  return FeeClosing.build(found)
}

const causeOf = ({ payment, refund }: Moved) => (refund ? `refund ${refund}` : `payment ${payment}`)

/** The same for somebody who asks for it: of a day that has passed. */
export async function closeDayNow(deps: Deps, actor: Account, day: string) {
  if (day >= deps.clock.today().toString()) throw invalidField('/params/day', say('problem.dayNotOver'))
  const closed = await closeDay(deps, day).catch((error: unknown) => {
    throw error instanceof ProviderSilent ? problems.providerAway() : error
  })
  await inTransaction(deps.sequelize, () =>
    recordEvent(deps, actor, { code: 'day-closed', about: day, details: { state: closed.state } }),
  )
  return { done: true as const }
}

/**
 * Closes yesterday, and what of the days before could not be closed. A provider that gives no report leaves the day open, and is asked
 * again the next night. Gives how many failed.
 */
export async function closeDays(deps: Deps): Promise<number> {
  if (!deps.payments) return 0
  const today = deps.clock.today()
  const days = Array.from({ length: catchesUpDays }, (_, nth) => today.subtract({ days: nth + 1 }).toString())
  const done = new Set(
    (await FeeClosing.findAll({ where: { day: days, state: { [Op.ne]: 'no report' } } })).map(({ day }) => day),
  )
  const begun = await LedgerEntry.min<Date, LedgerEntry>('at')
  let failed = 0
  for (const day of days.filter((one) => !done.has(one) && begun && boundsOf(deps, one)[1] > new Date(begun)))
    try {
      await closeDay(deps, day)
    } catch (error) {
      if (!(error instanceof ProviderSilent)) throw error
      failed += 1
      await FeeClosing.upsert({
        ...{ day, state: 'no report', card: [], agreed: 0, differences: [], closedAt: deps.clock.now() },
      })
    }
  return failed
}

/** Leaves a day that does not agree as it is, with the reason. */
export async function settleClosing(deps: Deps, actor: Account, day: string, reason: string) {
  const closing = await FeeClosing.findByPk(day)
  if (!closing) throw notFound()
  const settled = { state: 'settled' as const, reason: reason.trim(), settledBy: actor.name }
  if (!(await changeWhere(closing, { state: 'differs' }, settled))) throw problems.closingAgrees()
  await recordEvent(deps, actor, { code: 'day-settled', about: day, details: { reason: reason.trim() } })
  return { done: true as const }
}

/** Days that do not agree and nobody has settled. */
export const countDifferingDays = (): Promise<number> =>
  FeeClosing.count({ where: { state: ['differs', 'no report'] } })

/** The days that were closed, the newest first, and what each month came to. */
export async function listClosings(deps: Deps, after: string | undefined) {
  const rows = await FeeClosing.findAll({
    where: after ? { day: { [Op.lt]: after } } : {},
    order: [['day', 'DESC']],
    limit: pageSize + 1,
  })
  const shown = rows.slice(0, pageSize)
  return {
    closings: shown.map(({ day, state, card, agreed, differences, closedAt, reason, settledBy }) => ({
      ...{ day, state, card, agreed, differences, closedAt: closedAt.toISOString() },
      ...{ reason: reason ?? null, settledBy: settledBy ?? null },
    })),
    months: await monthsOf(deps),
    next: rows.length > pageSize ? shown.at(-1)!.day : null,
    today: deps.clock.today().toString(),
  }
}

type Sum = { month: string; currency: string; account: string; amount: number | string }

/** What each of the last twelve months came to, by currency: all of it from the postings. */
async function monthsOf({ sequelize, clock, organisation }: Deps) {
  const first = clock.today().with({ day: 1 }).subtract({ months: 11 })
  const from = new Date(first.toZonedDateTime(organisation.timeZone).epochMilliseconds)
  const offset = clock.today().toZonedDateTime(organisation.timeZone).offset
  const sums = await sequelize.query<Sum>(
    `SELECT DATE_FORMAT(CONVERT_TZ(e.at, '+00:00', :offset), '%Y-%m') AS month, e.currency, p.account, SUM(p.amount) AS amount
       FROM ledger_entries e JOIN ledger_postings p ON p.entryId = e.id WHERE e.at >= :from
     GROUP BY 1, 2, 3 ORDER BY 1 DESC, 2`,
    { replacements: { from, offset }, type: QueryTypes.SELECT },
  )
  const groups = [...groupBy(sums, ({ month, currency }) => `${month} ${currency}`).values()]
  return groups.map((own) => {
    const of = (...names: string[]) =>
      own.reduce((sum, { account, amount }) => (names.includes(account) ? sum + Number(amount) : sum), 0)
    return {
      ...{ month: own[0]!.month, currency: own[0]!.currency },
      ...{ charged: -of('income', 'tax'), tax: -of('tax'), paid: of('provider', 'bank', 'by hand') },
      ...{ vouchers: of('vouchers'), waived: of('waived'), employers: of('employers') },
    }
  })
}
