import { screen, within } from '@testing-library/react'
import type { ClosingLine } from '#contract/closings'
import type { EmployerDetail } from '#contract/employers'
import { usualMapping } from '#core/money/bookkeeping'
import { someTerms } from '../../../test/fees'
import { showPage } from '../../../test/page'
import { Closings } from './Closings'
import { EmployerPlace } from './EmployerPlace'

const id = (nth: number) => `0190a3f0-0000-7000-8000-0000000000d${nth}`

test('an account is opened with what is agreed and who decides', async () => {
  const { user, sent } = await showPage(<EmployerPlace />, {
    roles: ['money'],
    listEmployers: { employers: [] },
    addEmployer: { id: id(1) },
  } as never)
  await user.click(await screen.findByRole('button', { name: 'Open an account' }))
  const dialog = within(await screen.findByRole('dialog'))
  await user.type(dialog.getAllByLabelText('Name')[0]!, 'Talwerk')
  await user.type(dialog.getByLabelText(/^May owe at most/), '500')
  await user.selectOptions(dialog.getByLabelText('Invoices'), 'monthly')
  const person = within(dialog.getByRole('group', { name: 'Who decides there' }))
  await user.type(person.getByLabelText('Name'), 'Paula')
  await user.type(person.getByLabelText('E-mail address'), 'paula@talwerk.test')
  await user.click(dialog.getByRole('button', { name: 'Open the account' }))
  expect(sent).toMatchObject([
    {
      name: 'addEmployer',
      body: {
        terms: { name: 'Talwerk', limit: 50_000, invoicing: 'monthly', currency: 'EUR' },
        person: { name: 'Paula', mail: 'paula@talwerk.test' },
      },
    },
  ])
})

const detail: EmployerDetail = {
  ...{ id: id(1), code: 'ACDEF-34679', version: 2, terms: someTerms(), owes: 10_000, closed: false, people: [] },
  requests: [
    {
      ...{
        id: id(2),
        employer: id(1),
        name: 'Ada Abend',
        reference: 'VM-1',
        vacancy: 'Lift',
        fee: 'Course',
        lines: [],
      },
      ...{ amount: 10_000, currency: 'EUR', orderNumber: 'PO-1', state: 'accepted', lapsesOn: '2026-12-13' },
      ...{
        askedAt: '2026-11-29T08:00:00.000Z',
        decidedAt: '2026-11-30T08:00:00.000Z',
        decidedBy: 'Paula',
        reason: null,
      },
    },
  ],
  invoices: [
    {
      ...{ id: id(3), employer: id(1), name: 'Talwerk', number: 'I-2026-00007', month: null, currency: 'EUR' },
      ...{ total: 10_000, owed: 10_000, dueOn: '2026-11-20', late: true, state: 'open', reference: 'RF18539007547034' },
      documents: [],
    },
  ],
  today: '2026-12-01',
}
const showOne = (roles: string[]) =>
  showPage(<EmployerPlace />, {
    ...{ roles, at: `/desk/employers/${id(1)}`, path: '/desk/employers/:id?', readEmployer: detail },
    ...{ recordInvoicePayment: { done: true }, returnToCandidate: { done: true }, changeEmployer: { version: 3 } },
  } as never)

test('a payment is noted, who pays is changed with a reason, and the account is closed', async () => {
  const { user, sent } = await showOne(['money'])
  await user.click(await screen.findByRole('button', { name: 'Note a payment' }))
  const noting = within(await screen.findByRole('dialog'))
  expect(noting.getByLabelText<HTMLInputElement>('Amount, EUR').value).toBe('100.00')
  await user.click(noting.getByRole('button', { name: 'Note it' }))
  await user.click(screen.getByRole('button', { name: 'Back to the candidate' }))
  await user.type(screen.getByLabelText('Why'), 'They agreed on the telephone')
  await user.click(screen.getByRole('button', { name: 'The candidate pays' }))
  await user.click(screen.getByRole('button', { name: 'Change' }))
  await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Close the account' }))
  expect(sent).toMatchObject([
    { name: 'recordInvoicePayment', body: { amount: 10_000, receivedOn: '2026-12-01', givenBack: false } },
    { name: 'returnToCandidate', params: { id: id(2) }, body: { reason: 'They agreed on the telephone' } },
    { name: 'changeEmployer', body: { version: 2, closed: true } },
  ])
})

const closing = (over: Partial<ClosingLine> = {}): ClosingLine => ({
  ...{ day: '2026-11-30', state: 'agreed', card: [{ currency: 'EUR', amount: 4500 }], agreed: 1, differences: [] },
  ...{ closedAt: '2026-12-01T01:00:00.000Z', reason: null, settledBy: null },
  ...over,
})
const differing = closing({
  ...{ day: '2026-11-29', state: 'differs' },
  differences: [
    { code: 'other-amount', payment: 'p1', currency: 'EUR', ours: 4500, theirs: 4000, charge: id(5) },
    { code: 'not-booked', payment: 'p2', currency: 'EUR', theirs: 1200, charge: null },
  ],
})
const month = {
  month: '2026-11',
  currency: 'EUR',
  charged: 9000,
  tax: 1500,
  paid: 4500,
  vouchers: 0,
  waived: 0,
  employers: 4500,
}

test('days that do not agree say why, lead to their fee, and are closed again or left with a reason; columns are one’s own', async () => {
  const { user, sent } = await showPage(<Closings />, {
    roles: ['money'],
    listClosings: { closings: [closing(), differing], months: [month], next: null, today: '2026-12-01' },
    readBookkeeping: { mapping: usualMapping, version: 0 },
    ...{ closeDay: { done: true }, settleClosing: { done: true }, saveBookkeeping: { version: 1 } },
  } as never)
  expect(await screen.findByText('45.00 EUR were booked; the provider has 40.00 EUR.')).toBeTruthy()
  expect(screen.getByText('The provider has 12.00 EUR; nothing was booked.')).toBeTruthy()
  expect(screen.getByRole('link', { name: 'To the fee' }).getAttribute('href')).toBe(`/desk/fees/${id(5)}`)
  expect(screen.getByRole('row', { name: /^Nov 2026/ }).textContent).toContain('90.00 EUR')
  await user.click(screen.getByRole('button', { name: 'Close again' }))
  await user.click(screen.getByRole('button', { name: 'Leave it so' }))
  await user.type(screen.getByLabelText('Why it does not agree'), 'They correct it tomorrow')
  await user.click(screen.getAllByRole('button', { name: 'Leave it so' }).at(-1)!)
  expect(screen.getByRole('link', { name: 'Every posting as CSV' }).getAttribute('href')).toBe(
    '/api/desk/postings/postings.csv?from=2026-11-01&through=2026-12-01',
  )
  await user.click(screen.getByRole('button', { name: 'Remove the column Entry' }))
  const income = screen.getByLabelText('income')
  await user.clear(income)
  await user.type(income, '8400')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  expect(sent).toMatchObject([
    { name: 'closeDay', params: { day: '2026-11-29' } },
    { name: 'settleClosing', body: { reason: 'They correct it tomorrow' } },
    { name: 'saveBookkeeping', body: { version: 0, mapping: { accounts: { income: '8400', tax: 'tax' } } } },
  ])
  expect(await screen.findByText('Saved.')).toBeTruthy()
})
