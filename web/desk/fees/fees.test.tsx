import { screen, waitFor, within } from '@testing-library/react'
import type { ChargeDetail, ChargeLine } from '#contract/fees'
import { aCharge, aFee, aPayment } from '../../../test/fees'
import { showPage } from '../../../test/page'
import { FeePlace } from './FeePlace'
import { Transfers } from './Transfers'
import { Vouchers } from './Vouchers'

const id = '0190a3f0-0000-7000-8000-0000000000c1'
const line: ChargeLine = {
  ...{ id, application: '0190a3f0-0000-7000-8000-000000000001', name: 'Ada Abend', reference: 'VM-1' },
  ...{ vacancy: 'Lift attendant', title: 'Examination fee', currency: 'EUR', total: 4500, owed: 4500 },
  ...{ dueOn: '2026-12-11', state: 'open', late: false },
}
const otherId = '0190a3f0-0000-7000-8000-0000000000c8'
const invoiceId = '0190a3f0-0000-7000-8000-0000000000c7'
const invoice = {
  ...{ employer: otherId, name: 'Talwerk', number: 'I-2026-00007', month: null, currency: 'EUR', total: 10_000 },
  ...{ owed: 10_000, dueOn: '2026-12-31', late: false, state: 'open', reference: 'RF18539007547034', documents: [] },
}
const counts = { owed: 2, late: 1, proofs: 0, 'to give back': 1, settled: 7 }

test('the queue says what is owed, since when it is late, and what is to be given back', async () => {
  const charges = [
    line,
    { ...line, id: '0190a3f0-0000-7000-8000-0000000000c9', name: 'Bo Bach', owed: -500, state: 'settled' },
  ]
  const { user, where } = await showPage(<FeePlace />, {
    roles: ['money'],
    listCharges: ({ query }: { query: { queue?: string } }) => ({
      charges: query.queue === 'late' ? [] : charges,
      ...{ lateInvoices: 1, daysToLookAt: 0 },
      counts,
      next: null,
    }),
  } as never)
  expect((await screen.findAllByRole('listitem')).map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/11 Dec 2026Ada Abend.*45.00 EUR/),
    expect.stringMatching(/Bo Bach.*5.00 EUR to give back/),
  ])
  // Where something has to be done, it says of how much.
  const places = within(screen.getByRole('navigation', { name: 'More about money' }))
  expect(places.getAllByRole('link').map(({ textContent }) => textContent?.trim())).toEqual([
    ...['Transfers', 'Employers who pay 1', 'Vouchers', 'Days and bookkeeping'],
  ])
  await user.keyboard('j')
  await user.click(screen.getByRole('tab', { name: 'Late 1' }))
  expect(await screen.findByText('Nothing is late.')).toBeTruthy()
  expect(where()).toContain('queue=late')
})

const detail = (over: Partial<ChargeDetail> = {}): ChargeDetail => {
  const { schedule, quote } = aFee()
  return { ...aCharge(), line, schedule, quote, facts: [], refunds: [], movements: [], today: '2026-12-01', ...over }
}
const show = (over: Partial<ChargeDetail> = {}, roles = ['money'] as const) =>
  showPage(<FeePlace />, {
    ...{ roles: [...roles], at: `/desk/fees/${id}`, path: '/desk/fees/:id?', readCharge: detail(over) },
    ...{
      recordPayment: { done: true },
      waiveFee: { done: true },
      refundPayment: { done: true },
      decideFeeProof: { done: true },
    },
  } as never)

test('a payment is noted with its day, and no more than an amount can be typed', async () => {
  const { user, sent } = await show()
  await screen.findByRole('button', { name: /^Note a payment/ })
  await user.keyboard('r')
  const dialog = within(await screen.findByRole('dialog'))
  const amount = dialog.getByLabelText<HTMLInputElement>('Amount, EUR')
  expect(amount.value).toBe('45.00')
  await user.clear(amount)
  await user.type(amount, 'some')
  expect(dialog.getByRole<HTMLButtonElement>('button', { name: 'Note it' }).disabled).toBe(true)
  await user.clear(amount)
  await user.type(amount, '12,5')
  await user.type(dialog.getByLabelText('Where it can be found'), 'line 3')
  await user.click(dialog.getByRole('button', { name: 'Note it' }))
  await waitFor(() => expect(sent).toMatchObject([{ name: 'recordPayment', body: { amount: 1250, note: 'line 3' } }]))
})

test('a waiver and a refund need their reason; what is too much paid is what is proposed', async () => {
  const payments = [aPayment(), aPayment({ id: '0190a3f0-0000-7000-8000-0000000000c7', state: 'declined' })]
  const { user, sent } = await show({ owed: -500, state: 'settled', payments })
  expect(screen.queryByRole('button', { name: /^Waive/ })).toBeNull()
  await user.click(await screen.findByRole('button', { name: 'Give back' }))
  const dialog = within(await screen.findByRole('dialog'))
  expect(dialog.getByLabelText<HTMLInputElement>('Amount, EUR').value).toBe('5.00')
  const act = dialog.getByRole<HTMLButtonElement>('button', { name: 'Give back' })
  expect(act.disabled).toBe(true)
  await user.type(dialog.getByLabelText('Why'), 'Paid too much by mistake')
  await user.click(act)
  await waitFor(() =>
    expect(sent).toMatchObject([{ name: 'refundPayment', body: { payment: payments[0]!.id, amount: 500 } }]),
  )
})

test('a paper is accepted, or refused with words for the person', async () => {
  const fact = {
    key: 'apprentice',
    label: 'Are you an apprentice?',
    value: 'yes',
    asked: 'your contract',
    hasPaper: true,
  }
  const { user, sent } = await show({ facts: [{ ...fact, proof: 'to look at' }] })
  expect((await screen.findByRole<HTMLAnchorElement>('link', { name: 'See: your contract' })).href).toContain(
    '/proofs/apprentice',
  )
  await user.click(screen.getByRole('button', { name: 'Refuse' }))
  await user.type(screen.getByLabelText('Why, in words for the person'), 'It ended last year')
  await user.click(screen.getByRole('button', { name: 'Refuse' }))
  await waitFor(() => expect(sent).toMatchObject([{ body: { accepted: false, reason: 'It ended last year' } }]))
})

test('every movement is there with its accounts', async () => {
  const postings = [
    { account: 'receivable', amount: 4500 },
    { account: 'income', amount: -4500 },
  ]
  const { user } = await show({
    movements: [{ cause: 'charge', at: '2026-11-27T08:00:00.000Z', madeBy: 'Ada', postings }],
  })
  await user.click(await screen.findByText('Every movement'))
  expect(screen.getByText('owed by the payer')).toBeTruthy()
  expect(screen.getByText('-45.00 EUR')).toBeTruthy()
})

test('vouchers are made in bulk, their codes shown once; one that is used is not withdrawn', async () => {
  const voucher = {
    id,
    batch: 'Open day',
    ending: 'XYZ',
    amount: 5000,
    basisPoints: null,
    currency: 'EUR',
    lines: null,
  }
  const more = { through: '2026-12-31', madeBy: 'Ottilie', usedAt: null }
  const { user, sent } = await showPage(<Vouchers />, {
    roles: ['money'],
    listVouchers: {
      vouchers: [
        { ...voucher, ...more, state: 'open' },
        {
          ...voucher,
          ...more,
          id: '0190a3f0-0000-7000-8000-0000000000c8',
          state: 'used',
          amount: null,
          basisPoints: 5000,
        },
      ],
      next: null,
    },
    makeVouchers: { codes: ['AAAAA-AAAAA-AAAA', 'CCCCC-CCCCC-CCCC'] },
  } as never)
  expect(await screen.findAllByRole('button', { name: 'Withdraw' })).toHaveLength(1)
  expect(screen.getByText('50 %')).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Make vouchers' }))
  const dialog = within(await screen.findByRole('dialog'))
  await user.type(dialog.getByLabelText('What for'), 'Job fair')
  await user.type(dialog.getByLabelText('Worth, EUR'), '25')
  await user.type(dialog.getByLabelText('Last day'), '31.12.2026')
  await user.click(dialog.getByRole('button', { name: 'Make them' }))
  expect((await dialog.findByLabelText<HTMLTextAreaElement>('Codes')).value).toBe('AAAAA-AAAAA-AAAA\nCCCCC-CCCCC-CCCC')
  expect(sent).toMatchObject([
    {
      name: 'makeVouchers',
      body: { batch: 'Job fair', count: 10, worth: { amount: 2500, currency: 'EUR' }, lines: null },
    },
  ])
})

test('a transfer is laid with what is proposed, with what is found, or set aside with its reason', async () => {
  const transfer = {
    id,
    bookedOn: '2026-11-30',
    amount: 4500,
    currency: 'EUR',
    payer: 'Abend, A',
    reference: '',
    text: 'Kurs',
  }
  const proposed = [{ pays: line.id, kind: 'charge', name: 'Ada Abend', owed: 4500 }]
  const { user, sent } = await showPage(<Transfers />, {
    roles: ['money'],
    listTransfers: {
      transfers: [{ ...transfer, state: 'to look at', reason: null, proposed }],
      waiting: 1,
      next: null,
    },
    listCharges: { charges: [line], counts, lateInvoices: 0, daysToLookAt: 0, next: null },
    listEmployerInvoices: {
      invoices: [
        { ...invoice, id: otherId, currency: 'CHF' },
        { ...invoice, id: invoiceId },
      ],
    },
    ...{ assignTransfer: { done: true }, setTransferAside: { done: true } },
    takeStatement: { booked: 2, toLookAt: 1, known: 0, passedOver: 3 },
  } as never)
  await user.click(await screen.findByRole('button', { name: 'It is for Ada Abend, who owes 45.00 EUR' }))
  await user.click(screen.getByRole('button', { name: 'Find its fee' }))
  await user.type(screen.getByLabelText('Name or reference'), 'abend')
  await user.click(await screen.findByRole('button', { name: 'Ada Abend, Examination fee: 45.00 EUR' }))
  // An invoice to an employer is found beside fees, in its currency alone.
  expect(screen.getAllByRole('button', { name: /^Talwerk/ })).toHaveLength(1)
  await user.click(screen.getByRole('button', { name: 'Talwerk, I-2026-00007: 100.00 EUR' }))
  await user.click(screen.getByRole('button', { name: 'Set aside' }))
  await user.type(screen.getByLabelText('Why'), 'Not for us, sent back')
  await user.click(screen.getAllByRole('button', { name: 'Set aside' }).at(-1)!)
  await user.upload(screen.getByLabelText('Bank statement'), new File(['x'], 'a.xml', { type: 'text/xml' }))
  expect(await screen.findByText(/^Booked: 2. To look at: 1./)).toBeTruthy()
  const parts = [{ pays: line.id, amount: 4500 }]
  expect(sent).toMatchObject([
    { name: 'assignTransfer', body: { parts } },
    { name: 'assignTransfer', body: { parts } },
    { name: 'assignTransfer', body: { parts: [{ pays: invoiceId, amount: 4500 }] } },
    { name: 'setTransferAside', body: { reason: 'Not for us, sent back' } },
    { name: 'takeStatement' },
  ])
})

test('employers who were asked to pay are named, with the way to their account', async () => {
  const request = { id, employer: 'Talwerk', employerId: id, state: 'declined' as const, lines: null, amount: 4500 }
  const more = { orderNumber: '', askedAt: '2026-11-29T08:00:00.000Z', decidedAt: null, reason: 'She left in spring' }
  await show({ requests: [{ ...request, ...more }] })
  const link = await screen.findByRole('link', { name: 'Talwerk does not pay.' })
  expect(link.getAttribute('href')).toBe(`/desk/employers/${id}`)
  expect(screen.getByText('She left in spring')).toBeTruthy()
})
