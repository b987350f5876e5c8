import { jest } from '@jest/globals'
import { screen } from '@testing-library/react'
import { useState } from 'react'
import type { AnswerValue } from '#core/form/answer'
import type { Question, QuestionKind } from '#core/form/form'
import { showPage } from '../../../test/page'
import { AnswerField } from './AnswerField'

const told = jest.fn<(value: AnswerValue) => void>()
beforeEach(() => void told.mockClear())

function Asked({ question, begin }: { question: Question; begin: AnswerValue }) {
  const [value, setValue] = useState<AnswerValue>(begin)
  return (
    <AnswerField
      question={question}
      value={value}
      onChange={(next) => {
        told(next)
        setValue(next)
      }}
    />
  )
}

const ask = (kind: QuestionKind, more: Partial<Question> = {}, begin: AnswerValue = '') =>
  showPage(<Asked question={{ key: 'q', label: 'What', kind, required: true, ...more }} begin={begin} />)

const field = () => screen.getByLabelText<HTMLInputElement>(/^What/)

test.each<[QuestionKind, string, AnswerValue]>([
  ['text', 'Short', 'Short'],
  ['long text', 'One winter.', 'One winter.'],
  ['number', '12', '12'],
  ['date', '29 Feb 2020', '2020-02-29'],
  ['partial date', 'Mar 2019', '2019-03'],
  ['phone', '+43 512 5551', '+43 512 5551'],
  ['mail', 'a@b.example', 'a@b.example'],
  ['identity number', '1237 010180', '1237 010180'],
])('%s is typed', async (kind, typed, answer) => {
  const { user } = await ask(kind)
  await user.type(field(), typed)
  await user.tab()
  expect(told).toHaveBeenLastCalledWith(answer)
})

test('money is typed in whole units with a point and kept in cents', async () => {
  const { user } = await ask('money', { unit: 'EUR' })
  await user.type(field(), '1200.50')
  await user.tab()
  expect(told).toHaveBeenLastCalledWith('120050')
})

test('yes or no is chosen', async () => {
  const { user } = await ask('yes or no')
  await user.click(screen.getByText('Yes'))
  expect(told).toHaveBeenLastCalledWith('yes')
})

test('one of several is chosen, several are ticked', async () => {
  const options = ['North', 'South']
  const one = await ask('one of', { options })
  await one.user.selectOptions(field(), 'South')
  expect(told).toHaveBeenLastCalledWith('South')
  one.unmount()
  const { user } = await ask('several of', { options })
  await user.click(screen.getByLabelText('North'))
  await user.click(screen.getByLabelText('South'))
  expect(told).toHaveBeenLastCalledWith(['North', 'South'])
  await user.click(screen.getByLabelText('North'))
  expect(told).toHaveBeenLastCalledWith(['South'])
})

test('choices are ranked up to as many as may be', async () => {
  const { user } = await ask('ranked choice', { options: ['Day', 'Night', 'Dawn'], rankUpTo: 2 })
  await user.click(screen.getByRole('button', { name: 'Add Night as number 1' }))
  await user.click(screen.getByRole('button', { name: 'Add Day as number 2' }))
  expect(told).toHaveBeenLastCalledWith(['Night', 'Day'])
  expect(screen.queryByRole('button', { name: /^Add Dawn/ })).toBeNull()
})

test('a declaration is agreed to, and taken back', async () => {
  const { user } = await ask('declaration')
  await user.click(screen.getByRole('checkbox'))
  expect(told).toHaveBeenLastCalledWith('agreed')
  await user.click(screen.getByRole('checkbox'))
  expect(told).toHaveBeenLastCalledWith('')
})

test('an honest blank stands instead of an answer, with why where nobody knows', async () => {
  const { user } = await ask('text', { blanks: ['unknown', 'does not apply'] }, 'Something')
  await user.click(screen.getByLabelText('Does not apply'))
  expect(told).toHaveBeenLastCalledWith({ blank: 'does not apply' })
  expect(screen.queryByRole('textbox')).toBeNull()
  await user.click(screen.getByLabelText(/^I don’t know/))
  await user.type(screen.getByRole('textbox'), 'Lost')
  expect(told).toHaveBeenLastCalledWith({ blank: 'unknown', because: 'Lost' })
})

test('what may be read without a name asks to leave it out', async () => {
  await ask('long text', { help: 'In your own words.', nameless: true })
  expect(
    screen.getByText('In your own words. This may be read without your name: please leave it out here.'),
  ).toBeTruthy()
})

test('a question is asked in the reader’s language, its answers kept as they are', async () => {
  await ask('one of', {
    options: ['North'],
    translations: { de: { label: 'Was', options: ['Norden'] } },
  })
  expect(field()).toBeTruthy()
})

test('what everybody will read is said beside it', async () => {
  await ask('text', { public: true, help: 'As on your badge.' })
  screen.getByText('As on your badge. Everybody will be able to read this.')
})

test('an address asks for the street where it is asked, and keeps one that was given', async () => {
  const asked = await ask('address', { street: true }, {})
  await asked.user.type(screen.getByLabelText('Street and number'), 'Kai 3')
  expect(told).toHaveBeenLastCalledWith({ street: 'Kai 3' })
  asked.unmount()
  const not = await ask('address', {}, {})
  expect(screen.queryByLabelText(/^Street/)).toBeNull()
  not.unmount()
  await ask('address', {}, { street: 'Kai 3', town: 'Oslo' })
  expect(screen.getByLabelText<HTMLInputElement>(/^Street and number/).value).toBe('Kai 3')
})
