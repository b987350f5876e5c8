import { act, screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Reply } from '#contract/endpoint'
import type { readSitting } from '#contract/skills'
import { type Call, showPage } from '../../../test/page'
import { SitCheck } from './SitCheck'

type Sitting = Reply<typeof readSitting>
const [first, second] = [uuid(), uuid()]
const sitting = (over: Partial<Sitting> = {}): Sitting => ({
  ...{ id: uuid(), title: 'Isolation and lock-off', applicationId: uuid(), state: 'under way', answers: {} },
  ...{ dueAt: '2026-11-28T10:00:00.000Z', secondsLeft: 900, result: null },
  questions: [first, second].map((id, nth) => ({
    id,
    text: `Question ${nth + 1}?`,
    options: [
      { id: 'a', text: `Yes ${nth + 1}` },
      { id: 'b', text: `No ${nth + 1}` },
    ],
  })),
  ...over,
})
const sit = (own: Sitting, more: Parameters<typeof showPage>[1] = {}) =>
  showPage(<SitCheck />, {
    roles: ['candidate'],
    at: `/checks/${own.id}`,
    path: '/checks/:id',
    readSitting: own,
    saveSittingAnswer: { done: true },
    handInSitting: { done: true },
    ...more,
  } as Parameters<typeof showPage>[1])

test('an answer is saved as it is given, and may be changed', async () => {
  const { user, sent } = await sit(sitting())
  await user.click(await screen.findByLabelText('Yes 1'))
  await waitFor(() => expect(sent).toHaveLength(1))
  await user.click(screen.getByLabelText('No 1'))
  await waitFor(() => expect(sent.map(({ body }) => body)).toEqual([{ given: ['a'] }, { given: ['b'] }]))
  expect(sent[0]!.params).toMatchObject({ question: first })
  expect(screen.getByText('1 of 2 answered')).toBeTruthy()
})

test('whoever comes back goes on at the first question that is open', async () => {
  await sit(sitting({ answers: { [first]: ['b'] } }))
  expect(await screen.findByText(/^2\. Question 2/)).toBeTruthy()
  expect(screen.getByRole('button', { name: /^Question 2.*open/ }).getAttribute('aria-current')).toBe('step')
})

test('what could not be saved for want of a connection is saved before it is handed in', async () => {
  let connected = false
  const { user, sent } = await sit(sitting(), {
    saveSittingAnswer: () => (connected ? { done: true } : 'no connection'),
  })
  await user.click(await screen.findByLabelText('Yes 1'))
  expect((await screen.findByRole('alert')).textContent).toMatch(/connection/i)
  await user.click(screen.getByRole('button', { name: 'Hand in' }))
  await waitFor(() => expect(sent).toHaveLength(2))
  expect(sent.map(({ name }) => name)).not.toContain('handInSitting')
  connected = true
  await user.click(screen.getByRole('button', { name: 'Hand in' }))
  await waitFor(() => expect(sent.slice(2).map(({ name }) => name)).toEqual(['saveSittingAnswer', 'handInSitting']))
})

test('of two answers given quicker than they are saved the later one stands', async () => {
  const { user, sent } = await sit(sitting())
  const [yes, no] = [await screen.findByLabelText('Yes 1'), screen.getByLabelText('No 1')]
  await act(async () => {
    yes.click()
    no.click()
  })
  await waitFor(() => expect(sent.at(-1)?.body).toEqual({ given: ['b'] }))
  await user.click(screen.getByRole('button', { name: 'Hand in' }))
  await waitFor(() => expect(sent.at(-1)?.name).toBe('handInSitting'))
  expect(sent.at(-2)?.body).toEqual({ given: ['b'] })
})

test('handed in while an answer is still being saved, it goes in once that is saved', async () => {
  let saved: (done: { done: true }) => void = () => {}
  const { user, sent } = await sit(sitting(), {
    saveSittingAnswer: (() =>
      new Promise((done) => {
        saved = done
      })) as never,
  })
  await user.click(await screen.findByLabelText('Yes 1'))
  await waitFor(() => expect(sent).toHaveLength(1))
  await user.click(screen.getByRole('button', { name: 'Hand in' }))
  expect(sent.map(({ name }) => name)).toEqual(['saveSittingAnswer'])
  saved({ done: true })
  await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['saveSittingAnswer', 'handInSitting']))
})

test('when time is up the paper is handed in by itself', async () => {
  const { sent } = await sit(sitting({ secondsLeft: 0 }))
  await waitFor(() => expect(sent.map(({ name }: Call) => name)).toEqual(['handInSitting']))
  expect(screen.getByRole('timer').textContent).toBe('0:00')
})

test.each([
  [true, /You have passed/],
  [false, /80/],
])('a result that passed: %s', async (passed, words) => {
  await sit(sitting({ state: 'marked', result: { right: 12, of: 20, percent: 60, passed, passPercent: 80 } }))
  expect(await screen.findByText(/12 of 20/)).toBeTruthy()
  expect(screen.getByText(words)).toBeTruthy()
})
