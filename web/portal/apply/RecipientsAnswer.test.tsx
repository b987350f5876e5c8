import { screen, waitFor } from '@testing-library/react'
import type { Question } from '#core/form/form'
import type { Recipient } from '#core/recipients/choice'
import { aDraft, aSection } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { QuestionsSection } from './QuestionsSection'
import type { Autosave } from './useAutosave'

const body = (key: string, over: Partial<Recipient> = {}): Recipient => ({
  ...{ key, name: `Body ${key}`, mail: `${key}@body.example`, language: 'en', gate: 'shortlist' },
  ...over,
})
const ropes = [{ when: { fact: 'heights', is: 'no' }, because: 'It inspects on ropes.' }]
const question: Question = {
  ...{ key: 'bodies', label: 'Inspectorates', kind: 'recipients', required: false },
  recipients: [body('low', { about: 'In the valley.' }), body('mid'), body('high', { exclusions: ropes })],
}
const heights: Question = { key: 'heights', label: 'Do you work at heights?', kind: 'yes or no', required: true }
const section = aSection('questions', { key: 'more', title: 'More', questions: [heights, question] })

async function show(chosen: string[], facts: Record<string, string> = {}, over: object = {}) {
  const changes: unknown[] = []
  const autosave = {
    ...{ version: 4, facts, clashes: {}, state: 'saved', fault: () => undefined, text: () => '' },
    answer: (key: string) => (key === 'bodies' ? chosen : ''),
    change: (key: string, value: unknown) => changes.push([key, value]),
  } as unknown as Autosave
  const draft = aDraft({ form: [section], ...over })
  const shown = await showPage(<QuestionsSection {...{ draft, section, autosave }} />, {
    ...{ roles: ['candidate'], at: '/apply/1/more', path: '/apply/:id/:section', chooseRecipients: { done: true } },
  } as never)
  return { ...shown, changes }
}
const box = (name: RegExp) => screen.getByRole<HTMLInputElement>('checkbox', { name })

test('that one is not open is said before it is chosen, and it cannot be', async () => {
  const { user, changes } = await show([], { heights: 'no' })
  expect(screen.getByText('Not open to you: It inspects on ropes.')).toBeTruthy()
  expect(box(/Body high/).disabled).toBe(true)
  await user.click(box(/Body low/))
  expect(changes).toEqual([['bodies', ['low']]])
  expect(screen.queryByRole('region', { name: /Allow those/ })).toBeNull()
})

test('what still decides is named; one that closed since it was chosen can be taken off', async () => {
  const { unmount } = await show([])
  expect(screen.getByText('Whether it is open to you depends on: Do you work at heights?')).toBeTruthy()
  unmount()
  const { user, changes } = await show(['low', 'high'], { heights: 'no' }, { authorised: ['low'] })
  expect(box(/Body high/).disabled).toBe(false)
  await user.click(box(/Body high/))
  expect(changes).toEqual([['bodies', ['low']]])
})

test('several are allowed with one signature, and those that are say so', async () => {
  const { user, sent } = await show(['low', 'mid', 'high'], { heights: 'yes' }, { authorised: ['low'] })
  expect(screen.getByText('You have allowed it to be told.')).toBeTruthy()
  const sign = screen.getByRole('region', { name: 'Allow those you have chosen to be told' })
  expect(sign.querySelector('ul')!.textContent).toBe('Body midBody high')
  await user.click(screen.getByLabelText(/I have read this/))
  await user.type(screen.getByLabelText(/typing your full/), 'Rita Report')
  await user.type(screen.getByLabelText('Your password'), 'a-secret')
  await user.click(screen.getByRole('button', { name: 'Sign for all 2' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toEqual({
    ...{ choose: ['mid', 'high'], fullName: 'Rita Report', password: 'a-secret', agreed: true },
  })
})
