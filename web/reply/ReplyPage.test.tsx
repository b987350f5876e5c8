import { screen, waitFor, within } from '@testing-library/react'
import { Route, Routes } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readEnquiry } from '#contract/reply'
import { showPage } from '../../test/page'
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
  const { user, sent } = await show({ readEnquiry: question({ kind: 'licence' }) })
  await user.click(await screen.findByRole('button', { name: 'All of it is right' }))
  await user.type(screen.getByLabelText('Your name'), 'Rita Registrar')
  await user.click(send())
  expect(sent).toEqual([])
  await user.click(screen.getByLabelText(/suspended/i))
  await user.type(screen.getByLabelText(/^Since/), '1 Nov 2026')
  await user.click(send())
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ standing: { state: 'suspended', from: '2026-11-01' } }))
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
