import { jest } from '@jest/globals'
import { screen } from '@testing-library/react'
import { useState } from 'react'
import { knownFacts } from '#core/conditions/vocabulary'
import type { Question } from '#core/form/form'
import { faultsOfRules } from '#core/rules/faults'
import { send } from '#core/rules/sections'
import { showPage } from '../../../test/page'
import { QuestionEditor } from './QuestionEditor'

const heights: Question = { key: 'heights', label: 'heights', kind: 'yes or no', required: true }
const sectionOf = (...questions: Question[]) => ({
  ...{ key: 'more', title: 'More', heading: '', intro: '', holds: 'questions' as const },
  questions,
})
const known = knownFacts([sectionOf(heights)])
const told = jest.fn<(next: Question) => void>()
function Held() {
  const [question, setQuestion] = useState<Question>({ key: 'bodies', label: 'Bodies', kind: 'text', required: false })
  return (
    <QuestionEditor
      question={question}
      known={known}
      onChange={(next) => {
        told(next)
        setQuestion(next)
      }}
    />
  )
}

test('bodies are composed: who each is, when it receives something, and to whom it is not open; the rules are right', async () => {
  const { user } = await showPage(<Held />)
  await user.selectOptions(screen.getByLabelText('Answered with'), 'recipients to choose')
  const name = screen.getByLabelText('Name')
  await user.clear(name)
  await user.type(name, 'Rail Inspectorate')
  await user.selectOptions(screen.getByLabelText(/receives the record once/), 'Before an offer')
  await user.click(screen.getByRole('button', { name: 'Say to whom it is not open' }))
  await user.type(screen.getByLabelText(/^Because/), 'Ropes.')
  await user.click(screen.getByRole('button', { name: 'Add a recipient' }))
  const question = told.mock.calls.at(-1)![0]
  expect(question.recipients).toMatchObject([
    {
      ...{ name: 'Rail Inspectorate', gate: 'offer' },
      exclusions: [{ when: { all: [{ fact: 'heights', is: 'yes' }] }, because: 'Ropes.' }],
    },
    { name: 'New recipient', gate: 'shortlist' },
  ])
  const form = [sectionOf(heights, question), send]
  expect(faultsOfRules({ form, requirements: [], onboarding: [] }, {})).toEqual([])
  await user.click(screen.getAllByRole('button', { name: 'Remove' })[1]!)
  expect(told.mock.calls.at(-1)![0].recipients).toHaveLength(1)
})
