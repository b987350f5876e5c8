import { screen, within } from '@testing-library/react'
import { useState } from 'react'
import type { DeskVacancy } from '#contract/vacancySetUp'
import type { Rules } from '#core/rules/rules'
import { aSection } from '../../../test/draft'
import { aLine, aSchedule, asksFee } from '../../../test/fees'
import { showPage } from '../../../test/page'
import { FeesPart } from './FeesPart'

const form = [
  aSection('questions', { questions: [{ key: 'winter', label: 'Winter?', kind: 'yes or no', required: true }] }),
  aSection('send'),
]
const empty: Rules = { form, requirements: [], onboarding: [] }

/** Fees that are edited on the page and saved nowhere. */
async function edit(rules: Rules) {
  let last = rules
  function Editing() {
    const [edited, setEdited] = useState(rules)
    const change = (next: Rules) => {
      last = next
      setEdited(next)
    }
    const saved = { undo: undefined, faults: [], changed: true, version: 4, state: 'saved' as const, clash: undefined }
    return (
      <FeesPart
        vacancy={{ checks: {}, today: '2026-12-01' } as DeskVacancy}
        editing={{ rules: edited, change, ...saved }}
      />
    )
  }
  const shown = await showPage(<Editing />)
  return { ...shown, now: () => last, schedule: () => last.fees![0]! }
}

test('fees begin with a line, and with the requirement that somebody pays them', async () => {
  const { user, now } = await edit(empty)
  await user.click(await screen.findByRole('button', { name: 'Add fees' }))
  expect(now().fees).toMatchObject([{ currency: 'EUR', lines: [{ amount: { kind: 'fixed' } }] }])
  expect(now().requirements).toMatchObject([
    { asks: { kind: 'fee', schedule: now().fees![0]!.key }, gate: 'shortlist' },
  ])
  await user.click(screen.getByRole('button', { name: 'Remove' }))
  expect(now()).toEqual(empty)
})

const begun: Rules = { ...empty, requirements: [asksFee()], fees: [aSchedule()] }

test('a line is composed: what it comes to, when, and for whom less; what is no amount is not taken', async () => {
  const { user, schedule } = await edit(begun)
  await user.click((await screen.findAllByRole('button', { name: /^Examination/ }))[1]!)
  const amount = screen.getByLabelText<HTMLInputElement>('Amount, EUR')
  await user.clear(amount)
  await user.type(amount, '12,345')
  await user.tab()
  expect(schedule().lines[0]!.amount).toEqual({ kind: 'fixed', amount: 4500 })
  await user.clear(screen.getByLabelText('Amount, EUR'))
  await user.type(screen.getByLabelText('Amount, EUR'), '12,50')
  await user.tab()
  expect(schedule().lines[0]!.amount).toEqual({ kind: 'fixed', amount: 1250 })
  await user.click(screen.getByLabelText('Whoever pays may leave it out'))
  await user.click(screen.getByRole('button', { name: 'Add an exemption' }))
  expect(schedule().lines[0]).toMatchObject({ optional: true, exempt: [{ basisPoints: 10_000 }] })
  await user.click(screen.getByRole('button', { name: 'Remove this exemption' }))
  expect(schedule().lines[0]).not.toHaveProperty('exempt')
  await user.selectOptions(screen.getByLabelText('It comes to'), 'a share of other lines')
  expect(schedule().lines[0]!.amount).toMatchObject({ kind: 'share', basisPoints: 200 })
})

test('something asked for the fee alone decides what it comes to, tried at once on somebody made up', async () => {
  const facts = [{ key: 'lift', label: 'Which lift?', kind: 'one of' as const, options: ['Chair', 'Gondola'] }]
  const amount = { kind: 'by choice' as const, fact: 'fee.lift', amounts: { Chair: 1000, Gondola: 3000 } }
  const { user, schedule } = await edit({ ...begun, fees: [aSchedule({ facts, lines: [aLine({ amount })] })] })
  const tried = within(await screen.findByRole('complementary', { name: 'Try it' }))
  const total = () => within(tried.getByRole('row', { name: /^In all/ })).getByRole('cell').textContent
  expect(total()).toBe('10.00 to 30.00 EUR')
  await user.selectOptions(tried.getByLabelText('Which lift?'), 'Gondola')
  expect(total()).toBe('30.00 EUR')
  await user.click(screen.getByRole('button', { name: 'Add a tax' }))
  expect(schedule().taxes).toMatchObject([{ basisPoints: 2000 }])
  await user.click(screen.getByRole('button', { name: /^Which lift/ }))
  await user.type(screen.getByLabelText(/^Shown by/), 'a card')
  expect(schedule().facts[0]).toMatchObject({ proof: 'a card' })
})

test('a time to finish is set with its reminders, and taken away', async () => {
  const { user, now } = await edit(empty)
  await user.click(await screen.findByRole('button', { name: 'Set a time to finish' }))
  expect(now().completeWithin).toEqual({ days: 30, remindAt: [7, 3, 1], extraDays: 14 })
  const steps = screen.getByLabelText('Reminded with so many days left')
  await user.clear(steps)
  await user.type(steps, '2, 10 and 2')
  await user.tab()
  expect(now().completeWithin!.remindAt).toEqual([10, 2])
  await user.click(screen.getByRole('button', { name: 'No time to finish' }))
  expect(now()).toEqual(empty)
})
