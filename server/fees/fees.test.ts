import { createHmac, randomUUID } from 'node:crypto'
import type { ClaimDetails } from '#contract/claims'
import { anEmployer } from '../../test/employers'
import { aLine, aPaidVacancy, aSchedule, asksFee, payAt, whoOwes } from '../../test/fees'
import { type House, openHouse, until } from '../../test/house'
import { textOf } from '../../test/pdfText'
import { mayNotAsk } from '../enquiries/mayAsk'
import { Application } from '../records/applications/model'
import { FeeCharge, FeeDocument, FeePayment, FeeRefund, LedgerEntry } from '../records/fees/model'
import { workOnce } from '../worker'
import { checkLedger } from './ledger'
import { followPayment } from './pay'

let house: House
let slug: string
beforeAll(async () => {
  house = await openHouse('fees')
  slug = await aPaidVacancy(house, [aSchedule()])
}, 60_000)
afterAll(async () => {
  expect(await checkLedger(house.deps)).toEqual([])
  await house.close()
})

const begin = async (owing: Awaited<ReturnType<typeof whoOwes>>) => {
  const { id } = await owing.charge()
  const { address } = await owing.candidate.done('payCharge', { params: { id } })
  return { id, address, payment: (await FeePayment.findAll({ where: { chargeId: id }, order: ['startedAt'] })).at(-1)! }
}
/** The house works by itself too: what it has in hand is waited for. */
const workedOff = () => until(async () => (await FeeRefund.count({ where: { state: 'asked' } })) === 0)
const stateOf = async (id: string) => (await FeePayment.findByPk(id, { rejectOnEmpty: true })).state
const toDo = async ({ candidate, id }: Awaited<ReturnType<typeof whoOwes>>) =>
  (await candidate.done('readStatus', { params: { id } })).toDo.map(({ act }) => act)

/** A notice as the provider signs it, or as somebody else would. */
async function tell(body: object, { secret = 'stand-in', at = Math.floor(Date.now() / 1000) } = {}) {
  const text = JSON.stringify(body)
  return fetch(`${house.address}/api/payment-notices`, {
    method: 'POST',
    headers: {
      ...{ 'Content-Type': 'application/json', 'Signed-At': String(at) },
      Signature: createHmac('sha256', secret).update(`${at}.${text}`).digest('hex'),
    },
    body: text,
  })
}

describe('by card', () => {
  test('declined, then paid: one receipt, and nothing is owed any more', async () => {
    const owing = await whoOwes(house, slug, 'Dora Declined')
    expect(await owing.charge()).toMatchObject({
      owed: 4500,
      state: 'open',
      payments: [],
      documents: [{ kind: 'invoice' }],
    })
    expect(await toDo(owing)).toContain('pay')
    const first = await begin(owing)
    await payAt(first.address, { card: '4000 0000 0000 0002' })
    expect((await owing.charge()).payments).toMatchObject([{ state: 'declined', because: 'not-enough' }])
    const second = await begin(owing)
    const back = await payAt(second.address)
    expect(back.headers.get('location')).toBe(`http://house.test/my/fees/${second.id}/paid/${second.payment.id}`)
    const paid = await owing.charge()
    expect(paid).toMatchObject({ owed: 0, state: 'settled' })
    expect(paid.documents.map(({ kind }) => kind)).toEqual(['invoice', 'receipt'])
    expect(await toDo(owing)).not.toContain('pay')
    expect((await house.mailTo(owing.candidate.mail, 'Paid:')).text).toContain('Examination fee')
    expect((await owing.candidate.call('payCharge', { params: { id: second.id } })).status).toBe(409)
  })

  test.each(['first', 'last', 'twice', 'never'] as const)(
    'the notice comes %s, and it is paid once',
    async (notice) => {
      const owing = await whoOwes(house, slug, `Nora ${notice}`)
      const { id, address, payment } = await begin(owing)
      await payAt(address, { notice })
      // Whoever has come back does not wait for a notice that may never come.
      const seen = await owing.candidate.done('readPayment', { params: { id, payment: payment.id } })
      expect(seen).toMatchObject({ payment: { state: 'paid' }, charge: { owed: 0, state: 'settled' } })
      if (notice === 'last') await new Promise((done) => setTimeout(done, 2300))
      expect(await LedgerEntry.count({ where: { cause: `payment ${payment.id}` } })).toBe(1)
      expect((await owing.charge()).documents.filter(({ kind }) => kind === 'receipt')).toHaveLength(1)
      expect((await owing.charge()).owed).toBe(0)
    },
  )

  test('nobody comes back and nothing is told: a job asks', async () => {
    const owing = await whoOwes(house, slug, 'Nils Never')
    const { address, payment } = await begin(owing)
    await followPayment(house.deps, { paymentId: payment.id })
    expect(await stateOf(payment.id)).toBe('started')
    await payAt(address, { notice: 'never' })
    await followPayment(house.deps, { paymentId: payment.id })
    expect(await stateOf(payment.id)).toBe('paid')
    expect((await owing.charge()).state).toBe('settled')
  })

  test('what nobody finishes is given up after a day, and counts if it was paid after all', async () => {
    const owing = await whoOwes(house, slug, 'Ada Abandoned')
    const { payment } = await begin(owing)
    await FeePayment.update({ startedAt: new Date(Date.now() - 25 * 3_600_000) }, { where: { id: payment.id } })
    await followPayment(house.deps, { paymentId: payment.id })
    expect(await stateOf(payment.id)).toBe('abandoned')
    const notice = { notice: randomUUID(), payment: payment.id, state: 'paid', amount: '45.00', currency: 'EUR' }
    expect((await tell(notice)).status).toBe(204)
    expect(await stateOf(payment.id)).toBe('paid')
  })

  test('a paid payment stays paid, whatever is told afterwards', async () => {
    const owing = await whoOwes(house, slug, 'Olga Order')
    const { address, payment } = await begin(owing)
    await payAt(address)
    await tell({ notice: randomUUID(), payment: payment.id, state: 'declined', amount: '45.00', currency: 'EUR' })
    expect(await stateOf(payment.id)).toBe('paid')
  })

  test('another amount or currency settles nothing, and somebody has to look', async () => {
    const money = await house.staff('money')
    for (const told of [
      { amount: '0.01', currency: 'EUR' },
      { amount: '45.00', currency: 'JPY' },
      { amount: 'much', currency: 'EUR' },
    ]) {
      const owing = await whoOwes(house, slug, 'Otto Odd')
      const { payment } = await begin(owing)
      await tell({ notice: randomUUID(), payment: payment.id, state: 'paid', ...told })
      expect(await owing.charge()).toMatchObject({ owed: 4500, payments: [{ state: 'odd' }] })
      const { charges } = await money.done('listCharges', { query: { queue: 'to give back' } })
      expect(charges.map(({ id }) => id)).toContain(payment.chargeId)
      // The provider itself knows of nothing that was paid.
      const params = { id: payment.chargeId, payment: payment.id }
      await money.done('checkPayment', { params })
      expect(await owing.charge()).toMatchObject({ owed: 4500, payments: [{ state: 'abandoned' }] })
      expect((await money.call('checkPayment', { params })).status).toBe(409)
    }
  })

  test('what the provider really took is what was paid, once somebody has asked it', async () => {
    const owing = await whoOwes(house, slug, 'Part Taken')
    const { id, payment } = await begin(owing)
    Object.assign(house.payments.all.get(payment.id)!, { state: 'paid', amount: '20.00' })
    await tell({ notice: randomUUID(), payment: payment.id, state: 'paid', amount: '20.00', currency: 'EUR' })
    expect(await stateOf(payment.id)).toBe('odd')
    const money = await house.staff('money')
    const check = () => money.call('checkPayment', { params: { id, payment: payment.id } })
    const both = await Promise.all([check(), check()])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await owing.charge()).toMatchObject({ owed: 2500, payments: [{ state: 'paid', amount: 2000 }] })
  })

  test('a notice that is not signed, wrongly signed, or old is refused; the same one counts once', async () => {
    const owing = await whoOwes(house, slug, 'Rolf Replay')
    const { payment } = await begin(owing)
    const notice = { notice: randomUUID(), payment: payment.id, state: 'paid', amount: '45.00', currency: 'EUR' }
    expect((await tell(notice, { secret: 'guessed' })).status).toBe(400)
    expect((await tell(notice, { at: Math.floor(Date.now() / 1000) - 301 })).status).toBe(400)
    expect((await tell(notice, { at: Math.floor(Date.now() / 1000) + 400 })).status).toBe(400)
    expect((await fetch(`${house.address}/api/payment-notices`, { method: 'POST', body: '{}' })).status).toBe(400)
    expect(await stateOf(payment.id)).toBe('started')
    const all = await Promise.all(Array.from({ length: 6 }, () => tell(notice)))
    expect(all.map(({ status }) => status)).toEqual(Array.from({ length: 6 }, () => 204))
    expect((await owing.charge()).payments).toMatchObject([{ state: 'paid', amount: 4500 }])
    expect((await owing.charge()).owed).toBe(0)
  })

  test('paid twice: what was too much is to be given back, and is, once', async () => {
    const owing = await whoOwes(house, slug, 'Tilda Twice')
    const one = await begin(owing)
    // Whoever goes back to pay comes to the same page; only after a while is another begun.
    expect((await begin(owing)).payment.id).toBe(one.payment.id)
    await FeePayment.update({ startedAt: new Date(Date.now() - 31 * 60_000) }, { where: { id: one.payment.id } })
    const other = await begin(owing)
    await Promise.all([payAt(one.address), payAt(other.address)])
    expect(await owing.charge()).toMatchObject({ owed: -4500, state: 'settled' })
    const money = await house.staff('money')
    const { charges, counts } = await money.done('listCharges', { query: { queue: 'to give back' } })
    expect(charges.find(({ id }) => id === one.id)).toMatchObject({ owed: -4500 })
    expect(counts['to give back']).toBeGreaterThan(0)
    const body = { payment: other.payment.id, amount: 4500, reason: 'Paid twice by mistake' }
    const both = await Promise.all([0, 1].map(() => money.call('refundPayment', { params: { id: one.id }, body })))
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    await workedOff()
    expect(await owing.charge()).toMatchObject({ owed: 0, state: 'settled', takenBack: 0 })
    expect(house.payments.all.get(other.payment.id)!.refunds).toMatchObject([{ amount: '45.00' }])
    // Nothing was taken back from what it costs, so there is no credit note.
    expect((await owing.charge()).documents.map(({ kind }) => kind).sort()).toEqual(['invoice', 'receipt', 'receipt'])
  })
})

describe('giving back', () => {
  test('a part, with a credit note; never more than was paid', async () => {
    const owing = await whoOwes(house, slug, 'Petra Partly')
    const { id, address, payment } = await begin(owing)
    await payAt(address)
    const money = await house.staff('money')
    const give = (amount: number) =>
      money.call('refundPayment', {
        params: { id },
        body: { payment: payment.id, amount, reason: 'The day was cut short' },
      })
    expect((await give(2000)).status).toBe(200)
    await workedOff()
    expect(await owing.charge()).toMatchObject({
      owed: 0,
      takenBack: 2000,
      state: 'settled',
      payments: [{ givenBack: 2000 }],
    })
    expect((await give(2501)).status).toBe(409)
    expect((await give(2500)).status).toBe(200)
    await workedOff()
    expect(await owing.charge()).toMatchObject({ owed: 0, takenBack: 4500, payments: [{ givenBack: 4500 }] })
    expect(house.payments.all.get(payment.id)!.refunds.map(({ amount }) => amount)).toEqual(['20.00', '25.00'])
    expect((await house.mailTo(owing.candidate.mail, 'About what you pay')).text).toContain('The day was cut short')
  })
  test('what the provider refuses is owed still', async () => {
    const owing = await whoOwes(house, slug, 'Rita Refused')
    const { id, address, payment } = await begin(owing)
    await payAt(address)
    house.payments.all.get(payment.id)!.amount = '1.00'
    const money = await house.staff('money')
    await money.done('refundPayment', {
      params: { id },
      body: { payment: payment.id, amount: 3000, reason: 'Called off by us' },
    })
    await workedOff()
    expect(await owing.charge()).toMatchObject({ owed: -3000, payments: [{ givenBack: 0 }] })
    expect((await money.done('readCharge', { params: { id } })).refunds).toMatchObject([{ state: 'failed' }])
  })
})

describe('at the desk', () => {
  test('received otherwise, in parts; a waiver settles the rest, and no more than is owed', async () => {
    const owing = await whoOwes(house, slug, 'Carla Cash')
    const { id } = await owing.charge()
    const money = await house.staff('money')
    const body = { amount: 3000, receivedOn: house.day(0), note: 'at the counter' }
    await money.done('recordPayment', { params: { id }, body })
    expect(await owing.charge()).toMatchObject({ owed: 1500, state: 'open' })
    const waive = (amount: number) =>
      money.call('waiveFee', { params: { id }, body: { amount, reason: 'She came a long way' } })
    expect((await waive(1501)).status).toBe(409)
    const both = await Promise.all([waive(1500), waive(1500)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await owing.charge()).toMatchObject({ owed: 0, state: 'settled' })
    const detail = await money.done('readCharge', { params: { id } })
    expect(detail.movements.map(({ cause }) => cause)).toEqual(['charge', 'payment', 'waiver'])
    expect((await money.call('recordPayment', { params: { id }, body })).status).toBe(409)
  })
  test('who may not see money sees that it is not paid, and no amount', async () => {
    const owing = await whoOwes(house, slug, 'Hidden Amount')
    const coordinator = await house.staff('coordinator')
    const { id } = await owing.charge()
    for (const call of [
      coordinator.call('readCharge', { params: { id } }),
      coordinator.call('listCharges', { query: { queue: 'owed' } }),
      coordinator.call('listVouchers', {}),
    ])
      expect((await call).status).toBe(403)
    const file = JSON.stringify(await coordinator.done('readFile', { params: { id: owing.id } }))
    expect(file).not.toMatch(/45[.,]00|4500/)
    expect((await house.visitor().call('readCharge', { params: { id } })).status).toBe(401)
    const other = await house.applicant('Somebody Else')
    expect((await other.call('payCharge', { params: { id } })).status).toBe(404)
    expect((await other.call('listOwnFees', { params: { id: owing.id } })).status).toBe(404)
  })
  test('whoever waives what has to be paid does without what is owed of it', async () => {
    const waivable = await aPaidVacancy(house, [aSchedule()], 'Paid post, or waived', {
      requirements: [asksFee('fees', ['money'])],
    })
    const owing = await whoOwes(house, waivable, 'Walter Waived')
    const money = await house.staff('money')
    const charge = await owing.charge()
    await money.done('recordPayment', {
      params: { id: charge.id },
      body: { amount: 500, receivedOn: house.day(0), note: '' },
    })
    const waive = () =>
      money.call('waive', {
        params: { id: owing.id },
        body: { requirement: 'pay-fees', reason: 'He teaches the course himself' },
      })
    const both = await Promise.all([waive(), waive()])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await owing.charge()).toMatchObject({ owed: 0, state: 'settled' })
    const { movements } = await money.done('readCharge', { params: { id: charge.id } })
    expect(movements.at(-1)).toMatchObject({
      cause: 'waiver',
      postings: [
        { account: 'waived', amount: 4000 },
        { account: 'receivable', amount: -4000 },
      ],
    })
  })
  test('what is still owed when an application ends is called off, with a credit note', async () => {
    const owing = await whoOwes(house, slug, 'Wanda Withdrawn')
    await owing.candidate.done('withdraw', { params: { id: owing.id } })
    const charge = await owing.charge()
    expect(charge).toMatchObject({ owed: 0, state: 'called off', takenBack: 4500 })
    expect(charge.documents.map(({ kind }) => kind)).toEqual(['invoice', 'credit note'])
    expect((await owing.candidate.call('payCharge', { params: { id: charge.id } })).status).toBe(409)
  })
})

describe('vouchers', () => {
  const make = async (worth: { amount: number; currency: string } | { basisPoints: number }, more: object = {}) => {
    const money = await house.staff('money')
    const body = { batch: 'Open day', count: 1, worth, lines: null, through: house.day(10), ...more }
    return (await money.done('makeVouchers', { body })).codes
  }
  const use = (owing: Awaited<ReturnType<typeof whoOwes>>, id: string, code: string) =>
    owing.candidate.call('redeemVoucher', { params: { id }, body: { code } })

  test('one works once, of two who use it at the same moment too', async () => {
    const [code] = await make({ amount: 5000, currency: 'EUR' })
    const people = [await whoOwes(house, slug, 'Vera One'), await whoOwes(house, slug, 'Vera Two')]
    const ids = await Promise.all(people.map(async (one) => (await one.charge()).id))
    const both = await Promise.all(people.map((one, nth) => use(one, ids[nth]!, ` ${code!.toLowerCase()} `)))
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const owed = await Promise.all(people.map(async (one) => (await one.charge()).owed))
    expect(owed.sort()).toEqual([0, 4500])
    expect(JSON.stringify(await (await house.staff('money')).done('listVouchers'))).not.toContain(
      code!.replace(/-/g, ''),
    )
  })
  test('one for a part leaves the rest; one in another currency, over, withdrawn or unknown covers nothing', async () => {
    const owing = await whoOwes(house, slug, 'Viktor Part')
    const { id } = await owing.charge()
    const [half] = await make({ basisPoints: 5000 })
    expect((await use(owing, id, half!)).body).toMatchObject({ covered: 2250 })
    expect((await owing.charge()).owed).toBe(2250)
    const [yen] = await make({ amount: 5000, currency: 'JPY' })
    expect((await use(owing, id, yen!)).status).toBe(409)
    const [other] = await make({ basisPoints: 10_000 }, { lines: ['medical'] })
    expect((await use(owing, id, other!)).status).toBe(409)
    expect((await use(owing, id, 'AAAAA-AAAAA-AAAA')).status).toBe(422)
    const [gone] = await make({ basisPoints: 10_000 })
    const money = await house.staff('money')
    const { vouchers } = await money.done('listVouchers')
    await money.done('withdrawVoucher', {
      params: { id: vouchers.find(({ ending }) => ending === gone!.replace(/-/g, '').slice(-3))!.id },
    })
    expect((await use(owing, id, gone!)).status).toBe(409)
    const [today] = await make({ basisPoints: 10_000 }, { through: house.day(0) })
    expect((await use(owing, id, today!)).body).toMatchObject({ covered: 2250 })
    expect(
      (
        await money.call('makeVouchers', {
          body: { batch: 'Late', count: 1, worth: { basisPoints: 1 }, lines: null, through: house.day(-1) },
        })
      ).status,
    ).toBe(422)
  })
  test('two on one charge at the same moment cover no more than is owed', async () => {
    const owing = await whoOwes(house, slug, 'Vilma Both')
    const { id } = await owing.charge()
    const codes = [...(await make({ basisPoints: 10_000 })), ...(await make({ basisPoints: 10_000 }))]
    const both = await Promise.all(codes.map((code) => use(owing, id, code)))
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect((await owing.charge()).owed).toBe(0)
  })
})

describe('facts with their proof', () => {
  const facts = [
    { key: 'trainee', label: 'Are you in training?', kind: 'yes or no' as const, proof: 'your contract of training' },
  ]
  const lines = [
    aLine({
      exempt: [{ when: { fact: 'fee.trainee', is: 'yes' }, because: 'you are in training', basisPoints: 5000 }],
    }),
  ]
  let exam: string
  beforeAll(async () => {
    exam = await aPaidVacancy(house, [aSchedule({ facts, lines })], 'Paid post with a category')
  })
  const paper = Buffer.from(
    '%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj 2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj 3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 200]>>endobj\ntrailer<</Root 1 0 R>>',
  )

  test('before sending it is asked; with its paper it counts; refused, the rest is charged, told, and can be shown again', async () => {
    const candidate = await house.applicant('Tina Trainee')
    const { id } = await candidate.done('beginApplication', { params: { slug: exam } })
    const own = async () => (await candidate.done('listOwnFees', { params: { id } })).fees[0]!
    expect((await own()).quote).toMatchObject({ total: { least: 2250, most: 4500 }, deciding: ['fee.trainee'] })
    const { version } = await candidate.done('readDraft', { params: { id } })
    const early = await candidate.call('sendApplication', { params: { id }, body: { version } })
    expect(early.status).toBe(409)
    expect(JSON.stringify(early.body)).toContain('Are you in training')
    const schedule = 'fees'
    await candidate.done('saveFeeAnswers', {
      params: { id, schedule },
      body: { version: 0, facts: { trainee: 'yes' } },
    })
    expect((await own()).quote.total).toEqual({ least: 4500, most: 4500 })
    await candidate.done('addFeeProof', { params: { id, schedule, fact: 'trainee' }, body: paper })
    expect((await own()).quote.total).toEqual({ least: 2250, most: 2250 })
    await candidate.done('sendApplication', { params: { id }, body: { version } })
    const charge = (await own()).charge!
    expect(charge.owed).toBe(2250)
    expect(
      (await candidate.call('saveFeeAnswers', { params: { id, schedule }, body: { version: 2, facts: {} } })).status,
    ).toBe(409)

    const money = await house.staff('money')
    const params = { id: charge.id, fact: 'trainee' }
    expect((await money.done('listCharges', { query: { queue: 'proofs' } })).charges.map((one) => one.id)).toContain(
      charge.id,
    )
    const proof = await money.request(`/api/desk/charges/${charge.id}/proofs/trainee`)
    expect([proof.status, proof.headers.get('content-type')]).toEqual([200, 'application/pdf'])
    const coordinator = await house.staff('coordinator')
    expect((await coordinator.call('readFeeProof', { params })).status).toBe(403)
    const refuse = () =>
      money.call('decideFeeProof', { params, body: { accepted: false, reason: 'It ended last year' } })
    const both = await Promise.all([refuse(), refuse()])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const after = (await own()).charge!
    expect(after).toMatchObject({ owed: 4500, total: 4500, state: 'open' })
    expect(after.documents.map(({ kind }) => kind)).toEqual(['invoice', 'invoice'])
    expect((await house.mailTo(candidate.mail, 'About what you pay')).text).toContain('It ended last year')

    await candidate.done('addFeeProof', { params: { id, schedule, fact: 'trainee' }, body: paper })
    // Until somebody has looked it is charged as it was; accepted, the difference is taken back.
    await money.done('decideFeeProof', { params, body: { accepted: true } })
    expect((await own()).charge).toMatchObject({ owed: 2250, takenBack: 2250 })
  })
  test('a correction after a voucher gives no money back that nobody paid; where it is said so, nothing is given back at all', async () => {
    const money = await house.staff('money')
    const employers: Awaited<ReturnType<typeof anEmployer>>[] = []
    const settle = async (title: string, surplus: 'given back' | 'kept', pay: 'voucher' | 'by hand' | 'employer') => {
      const address = await aPaidVacancy(house, [aSchedule({ facts, lines, surplus })], title)
      const candidate = await house.applicant(title)
      const { id } = await candidate.done('beginApplication', { params: { slug: address } })
      const own = { id, schedule: 'fees' }
      await candidate.done('saveFeeAnswers', { params: own, body: { version: 0, facts: { trainee: 'yes' } } })
      const { version } = await candidate.done('readDraft', { params: { id } })
      await candidate.done('sendApplication', { params: { id }, body: { version } })
      const charge = async () => (await candidate.done('listOwnFees', { params: { id } })).fees[0]!.charge!
      const params = { id: (await charge()).id }
      if (pay === 'by hand')
        await money.done('recordPayment', { params, body: { amount: 4500, receivedOn: house.day(0), note: '' } })
      else if (pay === 'employer') {
        const employer = await anEmployer(house, { name: title }, money)
        const body = { employer: employer.id, lines: null, orderNumber: '' }
        await candidate.done('askEmployer', { params, body })
        await employer.accept()
        const before = await employer.read()
        expect(before.owes).toBe(4500)
        employers.push(employer)
      } else {
        const worth = { basisPoints: 10_000 }
        const body = { batch: 'Open day', count: 1, worth, lines: null, through: house.day(10) }
        const [code] = (await money.done('makeVouchers', { body })).codes
        await candidate.done('redeemVoucher', { params, body: { code: code! } })
      }
      expect((await charge()).owed).toBe(0)
      await candidate.done('addFeeProof', { params: { ...own, fact: 'trainee' }, body: paper })
      await money.done('decideFeeProof', { params: { ...params, fact: 'trainee' }, body: { accepted: true } })
      const { owed, takenBack } = await charge()
      return { owed, takenBack }
    }
    expect(await settle('Voucher corrected', 'given back', 'voucher')).toEqual({ owed: 0, takenBack: 2250 })
    expect(await settle('Money given back', 'given back', 'by hand')).toEqual({ owed: -2250, takenBack: 2250 })
    expect(await settle('Money kept', 'kept', 'by hand')).toEqual({ owed: 0, takenBack: 0 })
    // What an employer took over goes back to it, with a credit note.
    expect(await settle('Employer corrected', 'given back', 'employer')).toEqual({ owed: 0, takenBack: 2250 })
    expect((await employers[0]!.read()).owes).toBe(2250)
    expect((await employers[0]!.invoices())[0]).toMatchObject({
      ...{ total: 2250, owed: 2250, state: 'open' },
      documents: [{ kind: 'invoice' }, { kind: 'credit note' }],
    })
  }, 60_000)
  test('what nobody asks, no answer there is, and a line that cannot be left out are refused', async () => {
    const candidate = await house.applicant('Wrong Answers')
    const { id } = await candidate.done('beginApplication', { params: { slug: exam } })
    const save = (body: object) =>
      candidate.call('saveFeeAnswers', { params: { id, schedule: 'fees' }, body: { version: 0, ...body } as never })
    expect((await save({ facts: { nobody: 'yes' } })).status).toBe(422)
    expect((await save({ facts: { trainee: 'perhaps' } })).status).toBe(422)
    expect((await save({ leftOut: ['exam'] })).status).toBe(422)
    const both = await Promise.all([save({ facts: { trainee: 'no' } }), save({ facts: { trainee: 'yes' } })])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  })
})

test('a surcharge is seen before it is chosen, and is charged only where that way is taken', async () => {
  const byCard = aLine({
    ...{ key: 'card', title: 'Payment by card', amount: { kind: 'share', of: [], basisPoints: 200 } },
    when: { fact: 'payment.means', is: 'card' },
  })
  const own = await aPaidVacancy(house, [aSchedule({ lines: [aLine(), byCard] })], 'Paid post with a surcharge')
  const owing = await whoOwes(house, own, 'Sara Surcharge')
  const [fee] = await owing.fees()
  expect(fee!.surcharges).toEqual([{ means: 'card', title: 'Payment by card', amount: 90 }])
  expect(fee!.charge!.owed).toBe(4500)
  const { address, payment } = await begin(owing)
  expect(payment.amount).toBe(4590)
  await payAt(address, { card: '4000 0000 0000 0003' })
  expect(await owing.charge()).toMatchObject({ owed: 4500, total: 4500 })
  const first = await begin(owing)
  await FeePayment.update({ startedAt: new Date(Date.now() - 31 * 60_000) }, { where: { id: first.payment.id } })
  const second = await begin(owing)
  await payAt(first.address)
  expect(await owing.charge()).toMatchObject({ owed: 0, total: 4590, state: 'settled' })
  // Paid again, nothing is added for it: all of it is owed back.
  await payAt(second.address)
  expect(await owing.charge()).toMatchObject({ owed: -4590, total: 4590 })
})

test('numbers have no gaps, also with many at once and work that is undone', async () => {
  const before = await FeeDocument.count({ where: { kind: 'invoice' } })
  const waiting = await Promise.all(
    Array.from({ length: 24 }, async (_, nth) => {
      const candidate = await house.applicant(`Gap Less ${nth}`)
      const { id } = await candidate.done('beginApplication', { params: { slug } })
      return { candidate, id, version: (await candidate.done('readDraft', { params: { id } })).version }
    }),
  )
  await Promise.all(
    waiting.flatMap(({ candidate, id, version }) =>
      // Each tries twice; one of the two is undone as a whole.
      [0, 1].map(() => candidate.call('sendApplication', { params: { id }, body: { version } })),
    ),
  )
  const numbers = (await FeeDocument.findAll({ where: { kind: 'invoice' } }))
    .map(({ number }) => number)
    .sort((a, b) => a - b)
  expect(numbers).toHaveLength(before + 24)
  expect(numbers).toEqual(numbers.map((_, nth) => nth + 1))
}, 120_000)

test('papers say what was charged, in the language of whom they are for, and are sound PDFs', async () => {
  const owing = await whoOwes(house, slug, 'Paula Paper')
  const { id, documents } = await owing.charge()
  const path = `/api/my/charges/${id}/documents/${documents[0]!.id}`
  const text = await textOf(await (await owing.candidate.request(path)).arrayBuffer())
  expect(text).toContain('Invoice')
  expect(text).toContain('45.00 EUR')
  expect(text).toMatch(/RF\d{2}/)
})

test('charges and their reference are made once, whoever tries it twice', async () => {
  const charges = await FeeCharge.findAll()
  expect(new Set(charges.map(({ reference }) => reference)).size).toBe(charges.length)
  await expect(FeeCharge.create({ ...charges[0]!.get(), id: randomUUID() })).rejects.toThrow()
  await until(async () => !(await workOnce(house.fixed)))
})

test('what has to be paid first holds up what the desk and sources would do, until it is paid', async () => {
  const held = await aPaidVacancy(house, [aSchedule({ holds: true })], 'Paid before anything')
  const owing = await whoOwes(house, held, 'Hanna Held')
  const application = await Application.findByPk(owing.id, { rejectOnEmpty: true })
  const study = { kind: 'study' } as ClaimDetails
  expect(await mayNotAsk(study, application)).toEqual([{ code: 'enquiry.obstacle.notPaid' }])
  await payAt((await begin(owing)).address)
  expect(await mayNotAsk(study, application)).toEqual([])
})
