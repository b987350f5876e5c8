import { screen } from '@testing-library/react'
import { useState } from 'react'
import type { Ask, Requirement } from '#core/requirements/requirement'
import { showPage } from '../../../test/page'
import { Deciders } from './Deciders'
import { RequirementEditor } from './RequirementEditor'

type Declaration = Extract<Ask, { kind: 'declaration' }>
const asks: Declaration = { kind: 'declaration', question: 'dismissed', mustBe: 'no' }
const listMatterDeciders = [
  { mail: 'ines@vallorne.example', name: 'Ines Caldwell' },
  { mail: 'bastian@vallorne.example', name: 'Bastian Roth' },
]

/** What is edited, with what it has come to. */
function Edited<T>({ begin, part }: { begin: T; part: (value: T, set: (next: T) => void) => React.ReactElement }) {
  const [value, set] = useState(begin)
  return (
    <>
      {part(value, set)}
      <output>{JSON.stringify(value)}</output>
    </>
  )
}
const value = () => JSON.parse(screen.getByRole('status').textContent!)

test('together is asked once two are named, and goes when one is left; who may not any more can be taken out', async () => {
  const begin = { ...asks, deciders: ['gone@vallorne.example'] }
  const { user } = await showPage(
    <Edited<Declaration> begin={begin} part={(ask, set) => <Deciders ask={ask} onChange={set} />} />,
    { listMatterDeciders },
  )
  expect(screen.queryByLabelText(/^All of them/)).toBeNull()
  await user.click(screen.getByLabelText('Ines Caldwell'))
  await user.click(screen.getByLabelText(/^All of them/))
  expect(value()).toMatchObject({ deciders: ['ines@vallorne.example', 'gone@vallorne.example'], together: true })
  await user.click(screen.getByLabelText('gone@vallorne.example, who may not any more'))
  expect(value()).toEqual({ ...asks, deciders: ['ines@vallorne.example'] })
  await user.click(screen.getByLabelText('Ines Caldwell'))
  expect(value()).toEqual(asks)
})

test('an interim paper and the rule behind a requirement are composed, and go with what they belong to', async () => {
  const begin: Requirement = {
    ...{ key: 'k', title: 'Degree', why: 'By law.', gate: 'offer', rung: 'evidenced', waivableBy: [] },
    asks: { kind: 'study', levelAtLeast: 6 },
  }
  const rules = { form: [], requirements: [begin], onboarding: [] }
  const { user } = await showPage(
    <Edited<Requirement>
      begin={begin}
      part={(requirement, onChange) => (
        <RequirementEditor {...{ requirement, rules, onChange }} known={[]} checks={{}} />
      )}
    />,
    { listMatterDeciders },
  )
  await user.type(screen.getByLabelText(/^An interim paper does/), '30')
  expect(value().interim).toEqual({ days: 30 })
  await user.type(screen.getByLabelText(/^Where the rule is written/), 'Order, 14')
  await user.type(screen.getByLabelText(/^Where it can be read/), 'law.example')
  screen.getByText('An address begins with https://')
  await user.clear(screen.getByLabelText(/^Where it can be read/))
  expect(value().citation).toEqual({ text: 'Order, 14' })
  await user.selectOptions(screen.getByLabelText('How well proven'), 'claimed')
  expect(value().interim).toBeUndefined()
  await user.clear(screen.getByLabelText(/^Where the rule is written/))
  expect(value().citation).toBeUndefined()
})

test('what has to vouch for a paper is composed, and goes with what has none', async () => {
  const begin: Requirement = {
    ...{ key: 'k', title: 'Degree', why: 'By law.', gate: 'offer', rung: 'evidenced', waivableBy: [] },
    asks: { kind: 'study', levelAtLeast: 6 },
  }
  const rules = { form: [], requirements: [begin], onboarding: [] }
  const { user } = await showPage(
    <Edited<Requirement>
      begin={begin}
      part={(requirement, onChange) => (
        <RequirementEditor {...{ requirement, rules, onChange }} known={[]} checks={{}} />
      )}
    />,
    { listMatterDeciders },
  )
  expect(screen.queryByLabelText(/^By whom, in words/)).toBeNull()
  await user.click(screen.getByLabelText('certified copy'))
  await user.click(screen.getByLabelText('notarised paper'))
  await user.type(screen.getByLabelText(/^By whom, in words/), 'a court')
  expect(value().certified).toEqual({ forms: ['certified copy', 'notarised'], by: 'a court' })
  await user.clear(screen.getByLabelText(/^By whom, in words/))
  expect(value().certified).toEqual({ forms: ['certified copy', 'notarised'] })
  await user.selectOptions(screen.getByLabelText('What is asked'), 'the permission to check')
  expect(value().certified).toBeUndefined()
})
