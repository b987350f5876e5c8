import { screen } from '@testing-library/react'
import { useState } from 'react'
import { showPage } from '../../../test/page'
import { DecidedBefore } from './DecidedBefore'
import type { Autosave } from './useAutosave'

const before = { on: '2026-03-03', answer: 'yes', explanation: 'In 2019.' }

/** The question with answers that are kept as they are given. */
function Asked({ given }: { given: Record<string, string> }) {
  const [answers, setAnswers] = useState(given)
  const autosave = {
    answer: (key: string) => answers[key],
    text: (key: string) => answers[key] ?? '',
    change: (key: string, value: string) => setAnswers((now) => ({ ...now, [key]: value })),
  } as unknown as Autosave
  return (
    <>
      <DecidedBefore question="q" before={before} autosave={autosave}>
        <p>The question itself</p>
      </DecidedBefore>
      <output>{JSON.stringify(answers)}</output>
    </>
  )
}
const show = (given: Record<string, string> = {}) => showPage(<Asked given={given} />, { roles: ['candidate'] })
const answers = () => JSON.parse(screen.getByRole('status').textContent!)
const chosen = () => screen.getAllByRole<HTMLInputElement>('radio').map(({ checked }) => checked)

test('with nothing new the same answer is given with one press, and the question is not asked again', async () => {
  const { user } = await show()
  screen.getByText(/on 3 Mar 2026 we decided .* Is there anything new since then\?/)
  expect(chosen()).toEqual([false, false])
  await user.click(screen.getByLabelText('Nothing new'))
  expect(answers()).toEqual({ q: 'yes', 'q.because': 'In 2019.' })
  expect(chosen()).toEqual([true, false])
  expect(screen.queryByText('The question itself')).toBeNull()
})

test('with something new it is asked as of anybody, and what is answered otherwise shows as new', async () => {
  const { user, unmount } = await show()
  await user.click(screen.getByLabelText('Something new'))
  screen.getByText('The question itself')
  unmount()
  await show({ q: 'yes', 'q.because': 'In 2019, and in 2025.' })
  expect(chosen()).toEqual([false, true])
  screen.getByText('The question itself')
})
