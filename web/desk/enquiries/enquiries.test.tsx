import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Reply } from '#contract/endpoint'
import type { EnquiryRow, Planned, readEnquiryAtDesk } from '#contract/enquiries'
import { type Call, showPage } from '../../../test/page'
import { AskMany } from './AskMany'
import { EnquiryPage } from './EnquiryPage'
import { EnquiryTable } from './EnquiryTable'
import { Letters } from './Letters'

type Answers = Parameters<typeof showPage>[1]
type AtDesk = Reply<typeof readEnquiryAtDesk>

const row = (over: Partial<EnquiryRow> = {}): EnquiryRow => ({
  ...{ id: uuid(), reference: 'EQ-7K3Q-R9', applicationId: uuid(), claimId: uuid(), candidate: 'Ada Kern' },
  ...{ vacancy: 'Inspector', slack: -3, claim: 'Rope access card', channel: 'link', stage: 'asked', turn: 'source' },
  source: { id: uuid(), name: 'Ropeguild International', country: 'NO' },
  ...{ askedAt: '2026-11-20T08:00:00.000Z', answerBy: '2026-11-27', overdue: true, dueOn: '2026-11-30' },
  ...{ lacks: [], cost: null, toApprove: false },
  ...over,
})

describe('enquiries as a table', () => {
  const [one, other] = [
    row(),
    row({ candidate: 'Bela Moser', slack: 9, turn: 'desk', stage: 'to call', overdue: false }),
  ]
  const list = (over: object = {}) => ({
    ...{ rows: [one, other], next: null, counts: { desk: 1, source: 1, candidate: 0 } },
    most: [{ id: one.source.id, name: 'Ropeguild International', open: 6 }],
    ...over,
  })
  const show = (more: Answers = {}, at = '/desk/verification/table') =>
    showPage(<EnquiryTable />, { at, path: '/desk/*', listEnquiries: list(), ...more } as Answers)

  test('says how far each is and whose turn it is, the least slack first', async () => {
    await show()
    const lines = (await screen.findAllByRole('row')).slice(1).map(({ textContent }) => textContent)
    expect(lines[0]).toMatch(/−3 d.*Ada Kern.*Ropeguild International.*Asked.*27 Nov.*The source/)
    expect(lines[1]).toMatch(/\+9 d.*Bela Moser.*To be called.*Us/)
    expect(screen.getByRole('status').textContent).toBe('1 with us · 1 with a source · 0 with a candidate')
  })

  test('one call settles several: the source that most wait for narrows the list, and a filter is kept in the address', async () => {
    const asked: object[] = []
    const { user, where } = await show({
      listEnquiries: ({ query }: Call) => {
        asked.push(query)
        return list()
      },
    } as Answers)
    await user.click(await screen.findByRole('button', { name: /Ropeguild International 6/ }))
    await waitFor(() => expect(asked.at(-1)).toMatchObject({ sourceId: one.source.id }))
    await user.selectOptions(screen.getByLabelText('Time'), 'Overdue')
    await waitFor(() => expect(asked.at(-1)).toMatchObject({ sourceId: one.source.id, overdue: 'yes' }))
    expect(where()).toContain('overdue=yes')
  })

  test('is worked through by keyboard: down, tick, remind', async () => {
    const { user, sent } = await show({ remindEnquiries: { reminded: 1, not: 1 } } as Answers)
    await screen.findAllByRole('row')
    await user.keyboard(' j')
    await user.keyboard('r')
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'remindEnquiries' }))
    expect((sent[0]!.body as { ids: string[] }).ids).toEqual([one.id])
  })

  test('an empty list says what to do', async () => {
    await show({ listEnquiries: list({ rows: [], most: [] }) } as Answers)
    expect(await screen.findByText(/Ask from a file with E/)).toBeTruthy()
  })
})

describe('one enquiry', () => {
  const enquiry = (over: Partial<AtDesk> = {}): AtDesk => ({
    ...{ row: row(), kind: 'licence', version: 4, born: '1984-09-13', contact: 'Card office, cards@x.example' },
    ...{ claimed: { name: 'Ada Kern', number: 'RG-1' }, phone: '+47 55 00', paper: null, answer: null, second: null },
    fields: [
      { key: 'name', kind: 'name', matters: true },
      { key: 'number', kind: 'number', matters: true },
    ],
    asks: { standing: true, hours: false, again: false },
    ways: [
      { channel: 'link', contactId: 'a', to: 'cards@x.example' },
      { channel: 'telephone', contactId: 'a', to: '+47 55 00' },
    ],
    steps: [
      { step: 'asked', channel: 'link', at: '2026-11-20T08:00:00.000Z', by: 'Ines', to: 'cards@x.example', note: '' },
    ],
    forwards: [],
    ...over,
  })
  const show = (given: AtDesk, more: Answers = {}) =>
    showPage(<EnquiryPage />, {
      at: `/desk/enquiries/${given.row.id}`,
      path: '/desk/enquiries/:id',
      readEnquiryAtDesk: given,
      ...more,
    } as Answers)

  test('shows what was tried, and offers what is left to do', async () => {
    const { user, sent } = await show(enquiry(), { escalateEnquiry: { done: true } } as Answers)
    expect(await screen.findByText(/Asked: secure link by mail/)).toBeTruthy()
    await user.selectOptions(screen.getByLabelText('Ask by another way'), 'telephone: +47 55 00')
    await waitFor(() => expect(sent[0]?.body).toEqual({ version: 4, channel: 'telephone', contactId: 'a' }))
  })

  test('a call is scripted, and what was said is entered only with who said it and how that was made sure', async () => {
    const given = enquiry({ row: row({ channel: 'telephone', stage: 'to call', turn: 'desk' }) })
    const { user, sent } = await show(given, { enterReply: { state: 'answered' } } as Answers)
    expect(await screen.findByText(/I am calling about Ada Kern, born 13 Sept? 1984/)).toBeTruthy()
    const enter = screen.getByRole<HTMLButtonElement>('button', { name: 'Enter the answer' })
    expect(enter.disabled).toBe(true)
    await user.click(within(screen.getByRole('group', { name: /^Name/ })).getByLabelText('Right'))
    await user.click(within(screen.getByRole('group', { name: /^Number/ })).getByLabelText('Not so'))
    await user.type(screen.getByLabelText('According to them'), 'RG-7')
    expect(screen.queryByText('On which terms')).toBeNull()
    await user.selectOptions(screen.getByLabelText('In force today'), 'Restricted')
    await user.click(screen.getByLabelText('only under supervision'))
    await user.type(screen.getByLabelText(/^Other terms/), 'lift 4 only')
    await user.type(screen.getByLabelText('Who spoke'), 'Frau Huber')
    await user.selectOptions(screen.getByLabelText('How you made sure'), 'called back through the switchboard')
    await user.click(enter)
    await waitFor(() =>
      expect(sent[0]?.body).toMatchObject({
        ...{ version: 4, sure: 'called back through the switchboard' },
        reply: {
          fields: { name: { says: 'agrees' }, number: { says: 'differs', value: 'RG-7' } },
          standing: { state: 'restricted', terms: ['supervised'], termsSaid: 'lift 4 only' },
          respondent: 'Frau Huber',
        },
      }),
    )
  })

  test('what was heard waits for somebody else; whoever heard it is told so', async () => {
    const heard = {
      ...{ known: true, note: '', respondent: 'Frau Huber', capacity: '' },
      fields: { name: { says: 'agrees' as const }, number: { says: 'differs' as const, value: 'RG-7' } },
    }
    const given = enquiry({ answer: heard, second: { by: 'Ines', mayCheck: false } })
    await show(given)
    expect(await screen.findByText('Somebody else has to check it before it counts.')).toBeTruthy()
    expect(screen.getByText('RG-7')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'So it is' })).toBeNull()
  })

  test('a cost that is too high is approved here, and a colleague beyond the domain is looked at first', async () => {
    const waiting = row({ stage: 'prepared', turn: 'desk', toApprove: true, cost: { amount: 2500, currency: 'EUR' } })
    const forwards = [{ id: 'f'.repeat(64), toMail: 'x@else.example', toName: 'X', by: 'Rita' }]
    const { user, sent } = await show(enquiry({ row: waiting, forwards }), {
      ...{ approveCost: { done: true }, checkForward: { done: true } },
    } as Answers)
    await user.click(await screen.findByRole('button', { name: /^Approve/ }))
    await user.click(screen.getByRole('button', { name: 'Do not' }))
    await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['approveCost', 'checkForward']))
    expect(sent[1]!.body).toEqual({ send: false })
  })

  test('whoever may only read is offered nothing', async () => {
    await show(enquiry(), { roles: ['auditor'] } as Answers)
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Call it off' })).toBeNull())
  })
})

test('letters are printed in one batch, and said to be on their way', async () => {
  const [one, other] = [uuid(), uuid()]
  const letter = (batchId: string, source: string) => ({
    ...{
      batchId,
      what: 'letter',
      source,
      address: 'Ring 7\n6020 Innsbruck',
      pages: 4,
      since: '2026-11-20T08:00:00.000Z',
    },
    people: [{ id: uuid(), candidate: 'Ada Kern', claim: 'Mechanic' }],
  })
  const { user, sent } = await showPage(<Letters />, {
    listLetters: [letter(one, 'Werk A'), letter(other, 'Werk B')],
    markPrinted: { printed: 1 },
  } as Answers)
  await user.click(await screen.findByLabelText(/Werk B/))
  await user.click(screen.getByRole('button', { name: /They are on their way/ }))
  await waitFor(() => expect(sent[0]?.body).toEqual({ batchIds: [one] }))
})

test.each([
  ['a source', '?sourceId=0190a3f0-0000-7000-8000-000000000031', true],
  ['every source', '', false],
])('narrowed to %s, all that waits for it can be asked about: %s', async (_, search, may) => {
  const counts = { desk: 0, source: 0, candidate: 0 }
  const { user } = await showPage(<EnquiryTable />, {
    ...{ at: `/desk/verification/table${search}`, path: '/desk/verification/table' },
    ...{ listEnquiries: { rows: [], next: null, counts, most: [] }, listToAsk: [] },
  } as Answers)
  await screen.findByText('0 with us · 0 with a source · 0 with a candidate')
  expect(Boolean(screen.queryByRole('button', { name: /^Ask about all/ }))).toBe(may)
  await user.keyboard('q')
  expect(Boolean(screen.queryByText('Nothing here is still to be asked.'))).toBe(may)
})

test('many are asked at once after what goes where was shown; what cannot go has no tick', async () => {
  const line = (over: Partial<Planned>): Planned => ({
    ...{ claimId: uuid(), applicationId: uuid(), candidate: 'Ada Kern', claim: 'Mechanic', source: 'Werk A' },
    ...{ channel: 'link', to: 'a@x.example', cost: null, outcome: 'goes', because: [], together: null },
    ...over,
  })
  const lines = [
    line({}),
    line({ claim: 'Fitter', outcome: 'waits', because: ['Look at the document first.'] }),
    line({ claim: 'Guard', outcome: 'not', because: ['This source is retired.'] }),
  ]
  const items = lines.map(({ claimId, applicationId }) => ({ claimId, applicationId }))
  const { user, sent } = await showPage(<AskMany of={{ applicationIds: uuid() }} title="Ask" onClose={() => {}} />, {
    ...{ listToAsk: items, planEnquiries: lines, raiseEnquiries: { asked: 1, prepared: 0, not: 0 } },
  } as Answers)
  expect(await screen.findByText('This source is retired.')).toBeTruthy()
  expect(screen.getAllByRole('checkbox')).toHaveLength(2)
  await user.click(screen.getByLabelText('Ada Kern, Fitter'))
  await user.click(screen.getByRole('button', { name: 'Ask about 1' }))
  await waitFor(() => expect(sent.at(-1)?.body).toEqual({ items: [items[0]] }))
})
