import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Conversation } from '#contract/conversations'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { Conversations } from './Conversations'

const id = uuid()
const conversation = (over: Partial<Conversation> = {}): Conversation => ({
  id,
  about: { kind: 'claim', label: 'MSc Electrical Engineering' },
  state: 'waiting',
  answerBy: '2026-11-30',
  askedAt: '2026-11-26T08:00:00.000Z',
  version: 3,
  entries: [
    {
      ...{ id: uuid(), by: 'candidate', name: 'Ilse Vandermeer', via: 'mail' },
      text: 'May I send it later?',
      at: '2026-11-26T08:00:00.000Z',
    },
  ],
  ...over,
})
const sentence = {
  id: uuid(),
  about: 'question' as const,
  title: 'It can wait',
  english: 'It can wait.',
  german: '',
  version: 1,
}
const show = (conversations: Conversation[], more: object = {}) =>
  showPage(<Conversations file={aFile()} />, {
    roles: ['coordinator'],
    listConversations: conversations,
    listSentences: [sentence],
    answerConversation: { done: true },
    closeConversation: { done: true },
    reopenConversation: { done: true },
    ...more,
  } as Parameters<typeof showPage>[1])

test('says what was asked, how, and by when; a prepared sentence is put in, edited and sent', async () => {
  const { user, sent } = await show([conversation()])
  expect(await screen.findByText('to answer by 30 Nov 2026')).toBeTruthy()
  expect(screen.getByText(/Ilse Vandermeer, .*, by mail/)).toBeTruthy()
  const send = await screen.findByRole<HTMLButtonElement>('button', { name: 'Send the answer' })
  expect(send.disabled).toBe(true)
  await user.click(screen.getByRole('button', { name: 'It can wait' }))
  await user.type(screen.getByLabelText('Your answer'), ' Until Friday.')
  await user.click(send)
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({
    name: 'answerConversation',
    params: { id },
    body: { version: 3, text: 'It can wait. Until Friday.' },
  })
})

test('what somebody wrote meanwhile is said, and what was typed stays', async () => {
  const { user } = await show([conversation()], {
    answerConversation: { problem: { status: 409, code: 'changed-meanwhile', title: 'Somebody else changed this.' } },
  })
  await user.type(await screen.findByLabelText('Your answer'), 'Yes.')
  await user.click(screen.getByRole('button', { name: 'Send the answer' }))
  expect(await screen.findByText(/Somebody else changed this/)).toBeTruthy()
  expect(screen.getByLabelText<HTMLTextAreaElement>('Your answer').value).toBe('Yes.')
})

test('one that needs no answer is closed, a closed one opened again; whoever may not write is offered neither', async () => {
  const { user, sent, unmount } = await show([conversation()])
  await user.click(await screen.findByRole('button', { name: 'It needs no answer' }))
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'closeConversation', body: { version: 3 } }))
  unmount()
  const closed = await show([conversation({ state: 'closed', about: { kind: 'nothing', label: null } })])
  await closed.user.click(await screen.findByRole('button', { name: 'Open it again', hidden: true }))
  await waitFor(() => expect(closed.sent.at(-1)).toMatchObject({ name: 'reopenConversation' }))
  closed.unmount()
  await show([conversation()], { roles: ['auditor'] })
  expect((await screen.findAllByText('May I send it later?')).length).toBeGreaterThan(0)
  expect(screen.queryByRole('button', { name: 'Send the answer' })).toBeNull()
})
