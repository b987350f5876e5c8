import { screen } from '@testing-library/react'
import { useState } from 'react'
import type { Question } from '#core/form/form'
import type { Ask, RulesAsk } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { aSchedule } from '../../../test/fees'
import { showPage } from '../../../test/page'
import { AskEditor, newAsk } from './AskEditor'
import { askKinds } from './askKinds'

const question = (key: string, kind: Question['kind'], over: Partial<Question> = {}): Question => ({
  ...{ key, label: `Question ${key}`, kind, required: true },
  ...over,
})
const rules: Rules = {
  form: [
    {
      ...{ key: 'more', title: 'More', heading: '', intro: '', holds: 'questions' },
      questions: [
        question('heights', 'yes or no'),
        question('truth', 'declaration'),
        question('season', 'one of', { options: ['Winter', 'yes'] }),
        question('scan', 'document'),
        question('since', 'date'),
      ],
    },
  ],
  requirements: [],
  onboarding: [{ key: 'keys', title: 'Fetch the keys', text: '' }] as Rules['onboarding'],
  fees: [aSchedule(), aSchedule({ key: 'course', title: 'Course' })],
}
const around = { rules, checks: { isolation: 'Isolation and lock-off' } }

async function edit(begin: Ask) {
  const told: Ask[] = []
  function Held() {
    const [ask, setAsk] = useState(begin)
    return (
      <AskEditor
        label="What is asked"
        ask={ask}
        {...around}
        onChange={(next) => {
          told.push(next)
          setAsk(next)
        }}
      />
    )
  }
  const { user } = await showPage(<Held />)
  return { user, last: () => told.at(-1) }
}
const options = (label: string) => [...screen.getByLabelText<HTMLSelectElement>(label).options].map((one) => one.text)

test('every kind begins with an ask of that kind that refers to something there is', () => {
  for (const kind of Object.keys(askKinds) as RulesAsk['kind'][]) {
    const ask = newAsk(kind, around)
    expect(ask.kind).toBe(kind)
    for (const [name, value] of Object.entries(ask))
      expect([name, value === '' || value === undefined]).toEqual([name, false])
  }
})

test('where there is nothing to refer to an ask begins with nothing chosen', () => {
  const bare = { rules: { form: [], requirements: [], onboarding: [] }, checks: {} }
  expect(newAsk('skills check', bare)).toEqual({ kind: 'skills check', check: '' })
  expect(newAsk('onboarding task', bare)).toEqual({ kind: 'onboarding task', task: '' })
  expect(newAsk('document', bare)).toEqual({ kind: 'document', question: '' })
})

test('another kind begins anew and brings its own fields', async () => {
  const { user, last } = await edit(newAsk('credential', around))
  await user.selectOptions(screen.getByLabelText('What is asked'), 'history')
  expect(last()).toEqual({ kind: 'history', years: 5, toleratedGapDays: 30 })
  await user.selectOptions(screen.getByLabelText('Of what'), 'home')
  expect(last()).toEqual({ kind: 'history', years: 5, toleratedGapDays: 30, of: 'home' })
  await user.selectOptions(screen.getByLabelText('Of what'), '')
  expect(last()).toEqual({ kind: 'history', years: 5, toleratedGapDays: 30 })
})

test('a number is never less than makes sense', async () => {
  const { user, last } = await edit({ kind: 'reference', count: 2 })
  const many = screen.getByLabelText('How many')
  await user.clear(many)
  expect(last()).toEqual({ kind: 'reference', count: 1 })
  await user.type(many, '{Backspace}3')
  expect(last()).toEqual({ kind: 'reference', count: 13 })
})

test('a declaration offers the answers its question knows, and keeps none that it does not', async () => {
  const { user, last } = await edit(newAsk('declaration', around))
  expect(last()).toBeUndefined()
  expect(options('Answered with')).toEqual(['Choose', 'yes', 'no'].map((one) => expect.stringMatching(one)))
  await user.selectOptions(screen.getByLabelText('Which question'), 'truth')
  expect(last()).toEqual({ kind: 'declaration', question: 'truth', mustBe: 'agreed' })
  await user.selectOptions(screen.getByLabelText('Which question'), 'season')
  expect(last()).toEqual({ kind: 'declaration', question: 'season', mustBe: 'Winter' })
  await user.selectOptions(screen.getByLabelText('Answered with'), 'yes')
  await user.selectOptions(screen.getByLabelText('Which question'), 'heights')
  expect(last()).toEqual({ kind: 'declaration', question: 'heights', mustBe: 'yes' })
})

test('a document and a declaration refer only to questions that ask for one', async () => {
  const { user } = await edit(newAsk('document', around))
  expect(options('Which').slice(1)).toEqual(['Question scan'])
  await user.selectOptions(screen.getByLabelText('What is asked'), 'answer')
  expect(options('To which question')).toHaveLength(6)
})

test('a fee is one of the schedules there are', async () => {
  const { user, last } = await edit(newAsk('fee', around))
  expect(options('Which').slice(1)).toEqual(['Examination fee', 'Course'])
  await user.selectOptions(screen.getByLabelText('Which'), 'Course')
  expect(last()).toEqual({ kind: 'fee', schedule: 'course' })
})

test('kinds of work are written with commas, and none means any', async () => {
  const { user, last } = await edit(newAsk('experience', around))
  const tags = screen.getByLabelText(/^In work of these kinds/)
  await user.type(tags, ' ropes, , lifts ,')
  await user.tab()
  expect(last()).toMatchObject({ tags: ['ropes', 'lifts'] })
  await user.clear(tags)
  await user.tab()
  expect(last()).toMatchObject({ tags: [] })
})

test('fields of study are chosen, and none of them means any', async () => {
  const { user, last } = await edit(newAsk('study', around))
  const [first] = screen.getAllByRole('checkbox')
  await user.click(first!)
  expect((last() as { fields?: string[] }).fields).toHaveLength(1)
  await user.click(first!)
  expect(last()).toEqual({ kind: 'study', levelAtLeast: 6 })
})

test('cover is for an amount of its kind, and another kind asks for none', async () => {
  const { user, last } = await edit({ kind: 'credential', credential: 'guide-insurance' })
  await user.selectOptions(screen.getByLabelText('For at least'), 'sum-insured')
  await user.clear(screen.getByLabelText('EUR'))
  await user.type(screen.getByLabelText('EUR'), '2000000')
  await user.tab()
  expect(last()).toEqual({
    ...{ kind: 'credential', credential: 'guide-insurance' },
    atLeast: { field: 'sum-insured', amount: 200_000_000 },
  })
  await user.selectOptions(screen.getByLabelText('Of this kind'), 'medical')
  expect(last()).toEqual({ kind: 'credential', credential: 'medical' })
  expect(screen.queryByLabelText('For at least')).toBeNull()
})

test('an age has limits, a day, and allowances with what shows them', async () => {
  const { user, last } = await edit(newAsk('age', around))
  expect(options('By the answer to')).toContain('Question since')
  await user.type(screen.getByLabelText('At most, years'), '40')
  await user.type(screen.getByLabelText(/^On the day/), '1 Mar 2027')
  await user.tab()
  await user.click(screen.getByRole('button', { name: 'Allow some to be younger or older' }))
  await user.selectOptions(screen.getByLabelText('Shown by the document'), 'scan')
  expect(last()).toMatchObject({ least: 18, most: 40, on: '2027-03-01' })
  expect((last() as Extract<Ask, { kind: 'age' }>).allowances).toEqual([
    { years: 1, when: { all: [{ fact: 'heights', is: 'yes' }] }, document: 'scan' },
  ])
  await user.clear(screen.getByLabelText('At most, years'))
  expect(last()).not.toHaveProperty('most')
})

test('a language is one of the catalogue at a level', async () => {
  const { user, last } = await edit(newAsk('language', around))
  await user.selectOptions(screen.getByLabelText('Which language'), 'de')
  await user.selectOptions(screen.getByLabelText('At least at the level of'), 'C1')
  expect(last()).toEqual({ kind: 'language', language: 'de', level: 'C1' })
})
