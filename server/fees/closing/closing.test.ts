import type { Visitor } from '../../../test/client'
import { aPaidVacancy, aSchedule, payAt, whoOwes } from '../../../test/fees'
import { type House, openHouse, until } from '../../../test/house'
import { depsNow } from '../../platform/clock'
import { FeeClosing } from '../../records/fees/closing'
import { FeeDocument, FeePayment, LedgerEntry } from '../../records/fees/model'
import { checkLedger } from '../ledger'
import { closeDay, closeDays } from './close'

let house: House
let slug: string
let money: Visitor
beforeAll(async () => {
  house = await openHouse('closing')
  slug = await aPaidVacancy(house, [aSchedule()])
  money = await house.staff('money')
}, 60_000)
afterAll(async () => {
  expect(await checkLedger(house.deps)).toEqual([])
  await house.close()
})

/** The day the provider counts by, which is that of the world. */
const reportDay = () => new Date().toISOString().slice(0, 10)
const payByCard = async (name: string) => {
  const owing = await whoOwes(house, slug, name)
  const { id } = await owing.charge()
  await payAt((await owing.candidate.done('payCharge', { params: { id } })).address)
  await until(async () => (await owing.charge()).state === 'settled')
  return { ...owing, charge: await owing.charge() }
}
const close = async () => (await closeDay(await depsNow(house.fixed), reportDay())).get()

test('a day agrees with the provider, a refund on it too; what somebody else moved, or at another amount, is a difference', async () => {
  const paid = await payByCard('Clara Closing')
  const payment = paid.charge.payments[0]!
  await money.done('refundPayment', {
    params: { id: paid.charge.id },
    body: { payment: payment.id, amount: 500, reason: 'It was too long' },
  })
  await house.workOff()
  expect(await close()).toMatchObject({ state: 'agreed', agreed: 2, card: [{ currency: 'EUR', amount: 4000 }] })
  // The provider took other than it said, and something nobody here knows of.
  const kept = house.payments.all.get(payment.id)!
  const before = kept.amount
  kept.amount = '40.00'
  house.payments.all.set('unknown', { ...kept, payment: 'unknown', amount: '12.00', refunds: [] })
  const differing = await close()
  expect(differing.state).toBe('differs')
  expect(differing.differences).toEqual([
    { code: 'other-amount', payment: payment.id, currency: 'EUR', ours: 4500, theirs: 4000, charge: paid.charge.id },
    { code: 'not-booked', payment: 'unknown', currency: 'EUR', theirs: 1200, charge: null },
  ])
  expect((await money.done('listCharges', { query: { queue: 'late' } })).daysToLookAt).toBe(1)
  // Somebody says why, once; closed again, it is as it is found then.
  const settle = () =>
    money.call('settleClosing', { params: { day: reportDay() }, body: { reason: 'The provider corrects it tomorrow' } })
  const both = await Promise.all([settle(), settle()])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  expect((await money.done('listClosings', {})).closings[0]).toMatchObject({ state: 'settled', settledBy: 'The money' })
  kept.amount = before
  house.payments.all.delete('unknown')
  expect(await close()).toMatchObject({ state: 'agreed' })
})

test('what the provider forgot is not reported; what it counts to another day agrees', async () => {
  const paid = await payByCard('Nils Notthere')
  const { id } = paid.charge.payments[0]!
  const kept = house.payments.all.get(id)!
  const { at } = kept
  kept.at = new Date(Date.now() - 86_400_000).toISOString()
  expect(await close()).toMatchObject({ state: 'agreed' })
  kept.at = '2020-01-01T00:00:00.000Z'
  // Far away, but it says itself that it has it.
  expect(await close()).toMatchObject({ state: 'agreed' })
  kept.state = 'declined'
  expect((await close()).differences).toMatchObject([{ code: 'not-reported', payment: id, ours: 4500 }])
  Object.assign(kept, { at, state: 'paid' })
})

test('a provider that is away leaves the day open; the next night it is closed', async () => {
  const deps = await depsNow(house.fixed)
  await LedgerEntry.update(
    { at: new Date(Date.now() - 86_400_000) },
    { where: { cause: (await LedgerEntry.findOne())!.cause } },
  )
  const away = { ...deps, payments: { ...deps.payments!, report: () => Promise.reject(new Error('away')) } }
  await expect(closeDays(away)).rejects.toThrow('away')
  const { ProviderSilent } = await import('../../platform/outside/payments')
  const silent = { ...deps, payments: { ...deps.payments!, report: () => Promise.reject(new ProviderSilent('away')) } }
  expect(await closeDays(silent)).toBeGreaterThanOrEqual(1)
  const yesterday = deps.clock.today().subtract({ days: 1 }).toString()
  expect(await FeeClosing.findByPk(yesterday)).toMatchObject({ state: 'no report' })
  expect(await closeDays(deps)).toBe(0)
  expect((await FeeClosing.findByPk(yesterday))!.state).not.toBe('no report')
  const today = await money.call('closeDay', { params: { day: deps.clock.today().toString() } })
  expect(today.status).toBe(422)
  expect((await money.call('closeDay', { params: { day: yesterday } })).status).toBe(200)
})

test('postings go to bookkeeping by the mapping, and come to nothing; months add up the same', async () => {
  const read = async (through = house.day(0)) => {
    const answer = await money.request(`/api/desk/postings/postings.csv?from=${house.day(-5)}&through=${through}`)
    return { status: answer.status, lines: (await answer.text()).replace('\uFEFF', '').trim().split('\r\n') }
  }
  const { lines } = await read()
  expect(lines[0]).toBe('Date;Entry;Document;Reference;Text;Account;Debit;Credit;Currency')
  const cents = (text: string | undefined) => Math.round(Number(text || 0) * 100)
  const sum = lines.slice(1).reduce((all, line) => all + cents(line.split(';')[6]) - cents(line.split(';')[7]), 0)
  expect(sum).toBe(0)
  expect(lines.some((line) => /;I-\d{4}-\d{5};/.test(line))).toBe(true)
  const { mapping, version } = await money.done('readBookkeeping')
  const own = {
    ...mapping,
    ...{
      columns: [
        { heading: 'Konto', field: 'account' as const },
        { heading: 'Betrag', field: 'amount' as const },
      ],
    },
    ...{ accounts: { ...mapping.accounts, income: '8400' }, decimal: ',' as const },
  }
  const save = () => money.call('saveBookkeeping', { body: { version, mapping: own } })
  const both = await Promise.all([save(), save()])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  expect((await read()).lines).toContain('8400;-45,00')
  expect((await read('2010-01-01')).status).toBe(422)
  const { months } = await money.done('listClosings', {})
  const charges = await money.done('listCharges', { query: { queue: 'settled' } })
  expect(months.reduce((all, { charged }) => all + charged, 0)).toBe(
    charges.charges.reduce((all, { total }) => all + total, 0) - 500,
  )
  const coordinator = await house.staff('coordinator')
  expect((await coordinator.call('listClosings', {})).status).toBe(403)
  expect((await coordinator.call('readBookkeeping')).status).toBe(403)
})

test('200 notices at once, each twice: each paid once, booked once, with one receipt, and no number left out', async () => {
  const owing = await whoOwes(house, slug, 'Tara Twohundred')
  const { id } = await owing.charge()
  const before = await FeeDocument.count({ where: { kind: 'receipt' } })
  // One charge that 200 cards pay at once: what is too much is owed back, and every cent is booked.
  const payments = await FeePayment.bulkCreate(
    Array.from({ length: 200 }, () => ({
      ...{ id: crypto.randomUUID(), chargeId: id, means: 'card' as const, amount: 4500, currency: 'EUR' },
      ...{ state: 'started' as const, startedAt: new Date() },
    })),
  )
  const deps = await depsNow(house.fixed)
  const { takeNotice } = await import('../pay')
  const tell = ({ id: payment }: FeePayment) => {
    const told = { payment, state: 'paid' as const, amount: 4500, currency: 'EUR', notice: `n-${payment}` }
    return Promise.all([takeNotice(deps, told), takeNotice(deps, told)])
  }
  await Promise.all(payments.map(tell))
  expect(await owing.charge()).toMatchObject({ owed: 4500 - 200 * 4500, state: 'settled' })
  const receipts = await FeeDocument.findAll({ where: { kind: 'receipt' }, order: ['number'] })
  expect(receipts.length - before).toBe(200)
  expect(receipts.map(({ number }) => number)).toEqual(receipts.map((_, nth) => nth + 1))
  expect(await LedgerEntry.count({ where: { chargeId: id } })).toBe(201)
}, 120_000)
