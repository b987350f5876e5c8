import { screen, waitFor, within } from '@testing-library/react'
import { Route, Routes } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readEnquiry } from '#contract/reply'
import { type Call, showPage } from '../../test/page'
import { ReplyPage } from './ReplyPage'

const token = 'x'.repeat(43)
const question = (over: Partial<Reply<typeof readEnquiry>> = {}): Reply<typeof readEnquiry> => ({
  state: 'open',
  operator: 'Vallorne Mountain Lines',
  source: 'Technische Hochschule Tannberg',
  candidate: 'Maëlle Dréau',
  kind: 'study',
  answerBy: '2026-12-10',
  claimed: { name: 'Maëlle Dréau', award: 'MSc', awarded: '2018-03' },
  fields: [
    { key: 'name', kind: 'name', matters: true },
    { key: 'award', kind: 'words', matters: true },
    { key: 'awarded', kind: 'date', matters: true },
  ],
  ...{ id: '01890000-0000-7000-8000-000000000001', draft: null, draftVersion: 0, paper: null, parts: [] },
  asks: { standing: false, hours: false, again: false },
  answeredAt: null,
  contact: 'applications@vallorne.example',
  ...over,
})
const receipt = { receivedAt: '2026-11-28T09:00:00.000Z', receipt: 'Q-1234' }

const show = (more: Parameters<typeof showPage>[1] = {}) =>
  showPage(
    <Routes>
      <Route path="/reply/:token" element={<ReplyPage />} />
    </Routes>,
    { at: `/reply/${token}`, roles: [], readEnquiry: question(), replyToEnquiry: receipt, ...more },
  )

const line = (name: RegExp) => within(screen.getByRole('group', { name }))
const send = () => screen.getByRole('button', { name: 'Send the answer' })

test('everything is right by one press, and the receipt is shown', async () => {
  const { user, sent } = await show()
  await user.click(await screen.findByRole('button', { name: 'All of it is right' }))
  await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
  await user.click(send())
  expect(await screen.findByText('Q-1234')).toBeTruthy()
  expect(sent[0]?.body).toMatchObject({
    known: true,
    respondent: 'Rita Registrar',
    fields: { name: { says: 'agrees' }, award: { says: 'agrees' }, awarded: { says: 'agrees' } },
  })
})

test('what is left open is said line by line, and nothing is sent', async () => {
  const { user, sent } = await show()
  await screen.findByRole('button', { name: 'All of it is right' })
  await user.click(line(/^Name/).getByLabelText('Right'))
  await user.click(send())
  expect(screen.getAllByRole('alert')).toHaveLength(3)
  expect(sent).toEqual([])
})

test('another value is asked for where it differs; a date goes as a date', async () => {
  const { user, sent } = await show()
  await user.click(await screen.findByRole('button', { name: 'All of it is right' }))
  await user.click(line(/^Awarded/).getByLabelText('Not so'))
  await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
  await user.click(send())
  expect(screen.getByRole('alert')).toBeTruthy()
  await user.type(screen.getByLabelText(/Awarded according to your records/), '9 July 2018')
  await user.click(send())
  await waitFor(() => expect(sent).toHaveLength(1))
  expect((sent[0]!.body as { fields: object }).fields).toMatchObject({
    awarded: { says: 'differs', value: '2018-07-09' },
  })
})

test('whoever knows nothing of it answers in one line', async () => {
  const { user, sent } = await show()
  await user.click(await screen.findByRole('checkbox'))
  expect(screen.queryByRole('group', { name: /^Name/ })).toBeNull()
  await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
  await user.click(send())
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ known: false, fields: {} }))
})

test('of a licence its standing is asked, with since when where it is not good', async () => {
  const { user, sent } = await show({
    readEnquiry: question({ kind: 'licence', asks: { standing: true, hours: false, again: false } }),
  })
  await user.click(await screen.findByRole('button', { name: 'All of it is right' }))
  await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
  await user.click(send())
  expect(sent).toEqual([])
  await user.click(screen.getByLabelText(/suspended/i))
  await user.type(screen.getByLabelText(/^Since/), '1 Nov 2026')
  await user.click(send())
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ standing: { state: 'suspended', from: '2026-11-01' } }))
})

test('of a restriction its terms are asked, and of nothing else', async () => {
  const { user, sent } = await show({
    readEnquiry: question({ kind: 'licence', asks: { standing: true, hours: false, again: false } }),
  })
  await user.click(await screen.findByRole('button', { name: 'All of it is right' }))
  await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
  await user.click(screen.getByLabelText(/suspended/i))
  expect(screen.queryByText('On which terms?')).toBeNull()
  await user.click(screen.getByLabelText(/restricted/i))
  await user.click(screen.getByLabelText('Not at night'))
  await user.click(screen.getByLabelText('Not alone'))
  await user.click(screen.getByLabelText('Not alone'))
  await user.type(screen.getByLabelText(/^Other terms/), 'up to 30 kV')
  await user.click(send())
  await waitFor(() =>
    expect(sent[0]?.body).toMatchObject({
      standing: { state: 'restricted', terms: ['not at night'], termsSaid: 'up to 30 kV' },
    }),
  )
})

test.each([
  ['answered', { state: 'answered' as const, answeredAt: '2026-11-20T09:00:00.000Z' }, /answered already/i],
  ['withdrawn', { state: 'withdrawn' as const }, /no answer/i],
  ['expired', { state: 'expired' as const }, /expired/i],
])('a link that was %s says so and asks nothing', async (_, over, title) => {
  await show({ readEnquiry: question(over) })
  expect((await screen.findByRole('heading', { level: 1 })).textContent).toMatch(title)
  expect(screen.queryByRole('button', { name: 'Send the answer' })).toBeNull()
})

test('a link that was cut off says so', async () => {
  await show({ readEnquiry: { problem: { status: 404, code: 'not-found' } } })
  expect((await screen.findByRole('heading', { level: 1 })).textContent).toMatch(/leads nowhere/i)
})

test('without a connection nothing that was typed is lost', async () => {
  const { user } = await show({ replyToEnquiry: 'no connection' })
  await user.click(await screen.findByRole('button', { name: 'All of it is right' }))
  await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
  await user.click(send())
  expect((await screen.findByRole('alert')).textContent).toMatch(/no connection/i)
  expect(screen.getByLabelText<HTMLInputElement>('Your name').value).toBe('Rita Registrar')
})

describe('several people behind one link', () => {
  const [first, second] = ['01890000-0000-7000-8000-000000000001', '01890000-0000-7000-8000-000000000002']
  const parts = [
    { id: first, state: 'open' as const, candidate: 'Maëlle Dréau' },
    { id: second, state: 'open' as const, candidate: 'Ada Kern' },
  ]

  test('are answered one after the other, each by itself', async () => {
    const asked: (string | undefined)[] = []
    const { user, sent } = await show({
      readEnquiry: ({ query }: Call) => {
        asked.push(query.part)
        return query.part === second ? question({ id: second, candidate: 'Ada Kern', parts }) : question({ parts })
      },
    } as Parameters<typeof showPage>[1])
    await user.click(await screen.findByRole('button', { name: 'All of it is right' }))
    await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
    await user.click(send())
    await user.click(await screen.findByRole('button', { name: 'Go on with the next' }))
    expect(await screen.findByRole('heading', { name: /^Ada Kern/ })).toBeTruthy()
    expect([sent.find(({ name }) => name === 'replyToEnquiry')?.query, asked.at(-1)]).toEqual([{ part: first }, second])
  })
})

test('what was filled in before is there again, and what is filled in now is kept', async () => {
  const draft = { known: true, fields: { name: { says: 'agrees' as const } }, respondent: 'Rita' }
  const { user, sent } = await show({
    readEnquiry: question({ draft, draftVersion: 3 }),
    saveReplyDraft: { version: 4 },
  })
  await screen.findByRole('button', { name: 'All of it is right' })
  expect(line(/^Name/).getByLabelText<HTMLInputElement>('Right').checked).toBe(true)
  expect(screen.getByLabelText<HTMLInputElement>('Your name').value).toBe('Rita')
  await user.type(screen.getByLabelText('Your name'), ' R.')
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'saveReplyDraft', body: { version: 3 } }), {
    timeout: 3000,
  })
  expect((sent.at(-1)!.body as { draft: object }).draft).toMatchObject({ respondent: 'Rita R.' })
  expect(await screen.findByText(/^Kept/)).toBeTruthy()
})

test('where another page of the same link has kept something, nothing is written over it', async () => {
  const clash = { problem: { status: 409, code: 'changed-meanwhile' } }
  const { user } = await show({ saveReplyDraft: clash } as Parameters<typeof showPage>[1])
  await user.type(await screen.findByLabelText('Your name'), 'Rita')
  expect(await screen.findByText(/Load the page anew/, {}, { timeout: 3000 })).toBeTruthy()
})

test('a question is passed on to a colleague, or declined with a reason', async () => {
  const { user, sent } = await show({ forwardEnquiry: { state: 'to check' } } as Parameters<typeof showPage>[1])
  await user.click(await screen.findByRole('button', { name: 'Pass it on to a colleague' }))
  await user.type(screen.getByLabelText('Their name'), 'Karl Kollege')
  await user.type(screen.getByLabelText('Their mail address'), 'karl@else.example')
  await user.type(screen.getAllByLabelText('Your name').at(-1)!, 'Rita')
  await user.click(screen.getByRole('button', { name: 'Pass it on' }))
  expect(await screen.findByText(/outside of your own domain/)).toBeTruthy()
  expect(sent.at(-1)?.body).toMatchObject({ toMail: 'karl@else.example', by: 'Rita' })
})
