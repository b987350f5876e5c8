import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Hearing } from '#contract/reviews'
import { showPage } from '../../../test/page'
import { Hearings } from './Hearings'

const hearing = (over: Partial<Hearing> = {}): Hearing => ({
  ...{ id: uuid(), version: 3, claimId: uuid(), claim: 'MSc Railways' },
  ...{ told: ['Award: you gave MSc; whoever issued it told us BSc.'], answerBy: '2026-12-08', answered: null },
  ...over,
})
const show = (hearings: Hearing[]) =>
  showPage(<Hearings claims={[]} />, { listMyHearings: hearings, answerHearing: { done: true } })

test('what differs is told, with the day until which it can be answered; an empty answer is none', async () => {
  const { user, sent } = await show([hearing()])
  expect(await screen.findByText(/you gave MSc; whoever issued it told us BSc/)).toBeTruthy()
  expect(screen.getByText('You can answer until 8 Dec 2026.')).toBeTruthy()
  const send = screen.getByRole<HTMLButtonElement>('button', { name: 'Send your answer' })
  expect(send.disabled).toBe(true)
  await user.type(screen.getByLabelText(/What do you know about it/), 'I finished both.')
  await user.click(send)
  await waitFor(() => expect(sent.at(-1)?.body).toEqual({ version: 3, text: 'I finished both.', documents: [] }))
})

test('what was answered stands there and is not asked again', async () => {
  await show([hearing({ answered: { text: 'I finished both.', at: '2026-12-01T08:00:00.000Z' } })])
  expect(await screen.findByText('I finished both.')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Send your answer' })).toBeNull()
})

test('where nothing differs, nothing is there', async () => {
  await show([])
  expect(screen.queryByText('We would like to hear from you')).toBeNull()
})
