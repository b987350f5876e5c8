import { screen, within } from '@testing-library/react'
import type { EmployerInvoiceLine, EmployerView, PayerRequestLine } from '#contract/employers'
import { someTerms } from '../../test/fees'
import { showPage } from '../../test/page'
import { EmployerPage } from './EmployerPage'

const id = (nth: number) => `0190a3f0-0000-7000-8000-0000000000e${nth}`
const employer = (over: Partial<EmployerView> = {}): EmployerView => ({
  ...{ id: id(1), code: 'ACDEF-34679', version: 3, terms: someTerms({ limit: 50_000 }), owes: 12_000, closed: false },
  people: [
    { id: id(2), name: 'Paula Payer', mail: 'paula@talwerk.test', state: 'active' },
    { id: id(3), name: 'Ingo Invited', mail: 'ingo@talwerk.test', state: 'invited' },
  ],
  ...over,
})
const request = (over: Partial<PayerRequestLine> = {}): PayerRequestLine => ({
  ...{ id: id(4), employer: id(1), name: 'Ada Abend', reference: 'VM-1', vacancy: 'Lift attendant', fee: 'Course' },
  lines: [
    { title: 'Examination', amount: 4500 },
    { title: 'Lodging', amount: 5500 },
  ],
  ...{ amount: 10_000, currency: 'EUR', orderNumber: '', state: 'asked', askedAt: '2026-11-29T08:00:00.000Z' },
  ...{ lapsesOn: '2026-12-13', decidedAt: null, decidedBy: null, reason: null },
  ...over,
})
const invoice = (over: Partial<EmployerInvoiceLine> = {}): EmployerInvoiceLine => ({
  ...{ id: id(5), employer: id(1), name: 'Talwerk Bahnen', number: 'I-2026-00007', month: null, currency: 'EUR' },
  ...{ total: 10_000, owed: 10_000, dueOn: '2026-12-31', late: false, state: 'open', reference: 'RF18539007547034' },
  documents: [{ id: id(6), kind: 'invoice', number: 'I-2026-00007', issuedAt: '2026-12-01T08:00:00.000Z' }],
  ...over,
})
const show = (at: string, more: object = {}) =>
  showPage(<EmployerPage />, {
    ...{ roles: ['employer'], at, path: '/employer/:part?', readOwnEmployer: employer() },
    ...more,
  } as never)

test('it says what is owed of how much; each request with its person, lines and last day', async () => {
  const { user, sent } = await show('/employer', {
    listPayerRequests: { requests: [request()], waiting: 1, next: null },
    decidePayerRequest: { done: true },
  })
  expect(await screen.findByText(/You owe 120.00 EUR of at most 500.00 EUR./)).toBeTruthy()
  const item = within((await screen.findByText('Ada Abend')).closest('li')!)
  expect(item.getByText('Lodging')).toBeTruthy()
  expect(item.getByText(/Answer by 13 Dec 2026/)).toBeTruthy()
  await user.type(item.getByLabelText(/^Order number/), 'PO-9')
  await user.click(item.getByRole('button', { name: 'We pay 100.00 EUR' }))
  expect(sent).toMatchObject([
    { name: 'decidePayerRequest', params: { id: id(4) }, body: { accepted: true, orderNumber: 'PO-9' } },
  ])
})

test('to decline takes a reason; what was refused stays with why', async () => {
  const { user, sent } = await show('/employer', {
    listPayerRequests: { requests: [request()], waiting: 1, next: null },
    decidePayerRequest: { problem: { status: 409, code: 'over-limit', title: 'With this you would owe more.' } },
  })
  await user.click(await screen.findByRole('button', { name: 'We do not pay' }))
  const send = screen.getByRole<HTMLButtonElement>('button', { name: 'Send the answer' })
  expect(send.disabled).toBe(true)
  await user.type(screen.getByLabelText(/^Why not; Ada Abend reads it/), 'She left us in spring')
  await user.click(send)
  expect(sent).toMatchObject([{ body: { accepted: false, reason: 'She left us in spring' } }])
  expect((await screen.findByRole('alert')).textContent).toContain('you would owe more')
})

test.each([
  [
    request({ state: 'accepted', decidedAt: '2026-11-30T08:00:00.000Z', decidedBy: 'Paula' }),
    /taken over, 30 Nov 2026, Paula/,
  ],
  [
    request({ state: 'declined', decidedAt: '2026-11-30T08:00:00.000Z', decidedBy: 'Paula', reason: 'No' }),
    /declined, .*No/,
  ],
  [request({ state: 'lapsed', decidedAt: '2026-11-30T08:00:00.000Z' }), /^not answered, 30 Nov 2026/],
])('what was decided is said as it was: %#', async (one, words) => {
  await show('/employer/decided', { listPayerRequests: { requests: [one], waiting: 0, next: null } })
  expect((await screen.findByText(words)).textContent).toBeTruthy()
})

test.each([
  [invoice(), '100.00 EUR to pay by 31 Dec 2026'],
  [invoice({ late: true }), '100.00 EUR was due on 31 Dec 2026'],
  [invoice({ owed: 0, state: 'settled' }), 'Paid'],
])('an invoice says how it stands: %#', async (one, words) => {
  await show('/employer/invoices', { listOwnInvoices: { invoices: [one] } })
  expect(await screen.findByText(words)).toBeTruthy()
  expect(screen.getByRole('link', { name: 'Invoice I-2026-00007' }).getAttribute('href')).toBe(
    `/api/employer/invoices/${id(5)}/documents/${id(6)}`,
  )
})

test('the account: its code, where papers go, and who decides; nobody removes themselves', async () => {
  const { user, sent } = await show('/employer/account', {
    account: { mail: 'paula@talwerk.test' },
    saveOwnEmployer: { version: 4 },
    inviteOwnPerson: { done: true },
    removeOwnPerson: { done: true },
  })
  expect(await screen.findByText('ACDEF-34679')).toBeTruthy()
  await user.type(screen.getByLabelText(/^Second address/), 'books@talwerk.test')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await user.click(screen.getByRole('button', { name: 'Remove Ingo Invited' }))
  await user.click(screen.getByRole('button', { name: 'Invite somebody' }))
  await user.type(screen.getByLabelText('Name'), 'Third Person')
  await user.type(screen.getByLabelText('E-mail address'), 'third@talwerk.test')
  await user.click(screen.getByRole('button', { name: 'Send the invitation' }))
  expect(sent).toMatchObject([
    { name: 'saveOwnEmployer', body: { version: 3, details: { receiptMail: 'books@talwerk.test', town: 'Talwerk' } } },
    { name: 'removeOwnPerson', params: { id: id(3) } },
    { name: 'inviteOwnPerson', body: { name: 'Third Person', mail: 'third@talwerk.test' } },
  ])
})
