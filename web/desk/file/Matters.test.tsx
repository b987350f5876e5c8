import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Matter } from '#contract/matters'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { Matters } from './Matters'

const matter = (over: Partial<Matter> = {}): Matter => ({
  ...{
    requirement: 'dismissed',
    title: 'No dismissal',
    answer: 'yes',
    explanation: 'In 2019, for lateness.',
    papers: [],
  },
  ...{ state: 'waiting', decidedOn: null, together: true, votes: [], earlier: [], mayDecide: true, version: 2 },
  deciders: [
    { id: uuid(), name: 'Ines Caldwell' },
    { id: uuid(), name: 'Bastian Huber' },
  ],
  ...over,
})
const show = (over: Partial<Matter> = {}, more: object = {}) =>
  showPage(<Matters file={aFile()} />, {
    roles: ['coordinator'],
    readMatters: [matter(over)],
    decideMatter: { state: 'waiting' },
    askAboutMatter: { done: true },
    ...more,
  } as Parameters<typeof showPage>[1])
const press = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name })

test('what was declared stands beside who decides it, and a decision needs its reason', async () => {
  const { user, sent } = await show({ earlier: [{ outcome: 'no bearing', on: '2025-03-03', reason: 'Long ago.' }] })
  screen.getByText('In 2019, for lateness.')
  screen.getByText('Decided by Ines Caldwell, Bastian Huber, who have to say the same')
  screen.getByText('Decided before, on 3 Mar 2025: no bearing. Long ago.')
  await user.click(press('No bearing'))
  expect(press('Decide so').disabled).toBe(true)
  await user.type(screen.getByLabelText(/^Why/), 'It was years ago')
  await user.click(press('Decide so'))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({
    name: 'decideMatter',
    params: { requirement: 'dismissed' },
    body: { version: 2, outcome: 'no bearing', reason: 'It was years ago' },
  })
})

test('who agrees with conditions begins with those another has named, and may add and take out', async () => {
  const conditions = [{ title: 'Six months with a second person', text: '' }]
  const votes = [{ name: 'Bastian Huber', outcome: 'conditions' as const, reason: 'Careful.', conditions }]
  const { user, sent } = await show({ votes })
  await user.click(press('Under conditions'))
  expect(screen.getByLabelText<HTMLInputElement>('Condition 1').value).toBe('Six months with a second person')
  await user.click(press('Add a condition'))
  await user.type(screen.getByLabelText('Condition 2'), 'A yearly talk')
  await user.click(screen.getAllByRole('button', { name: 'Take it out' })[0]!)
  await user.type(screen.getByLabelText(/^Why/), 'To be sure')
  await user.click(press('Decide so'))
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ conditions: [{ title: 'A yearly talk', text: '' }] }))
})

test('what somebody else said meanwhile is told, and what was typed stays', async () => {
  const { user } = await show(
    {},
    {
      decideMatter: { problem: { status: 409, code: 'changed-meanwhile', title: 'Somebody else changed this.' } },
    },
  )
  await user.click(press('Against'))
  await user.type(screen.getByLabelText(/^Why/), 'It was grave')
  await user.click(press('Decide so'))
  expect(await screen.findByText(/Somebody else changed this/)).toBeTruthy()
  expect(screen.getByLabelText<HTMLTextAreaElement>(/^Why/).value).toBe('It was grave')
})

test('a question goes to the candidate; whoever may not read or decide is offered neither', async () => {
  const { user, sent, unmount } = await show()
  await user.click(press('Ask back'))
  await user.type(screen.getByLabelText(/^What you want to know/), 'Who was there?')
  await user.click(press('Send the question'))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'askAboutMatter', body: { text: 'Who was there?' } }))
  unmount()
  await show({ mayDecide: false, answer: '', explanation: null })
  screen.getByText(/^What was declared is shown to those/)
  expect(screen.queryByRole('button', { name: 'No bearing' })).toBeNull()
})
