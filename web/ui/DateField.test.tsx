import { jest } from '@jest/globals'
import { screen, within } from '@testing-library/react'
import { useState } from 'react'
import { showPage } from '../../test/page'
import { DateField } from './DateField'

function Held({
  begin,
  told,
  ...more
}: { begin: string; told: (iso: string) => void } & Partial<Parameters<typeof DateField>[0]>) {
  const [value, setValue] = useState(begin)
  return (
    <DateField
      label="First day"
      {...more}
      value={value}
      onChange={(iso) => {
        told(iso)
        setValue(iso)
      }}
    />
  )
}

const field = () => screen.getByLabelText<HTMLInputElement>(/^First day/)

test.each([
  ['24 Nov 2026', '2026-11-24', '24 Nov 2026'],
  ['24.11.2026', '2026-11-24', '24 Nov 2026'],
  ['2026-11', '2026-11', 'Nov 2026'],
  ['about 2026', '2026~', 'about 2026'],
])('%s is read as it is typed and written as everywhere', async (typed, iso, written) => {
  const told = jest.fn<(iso: string) => void>()
  const { user } = await showPage(<Held begin="" told={told} />)
  await user.type(field(), typed)
  expect(told).toHaveBeenLastCalledWith(iso)
  await user.tab()
  expect(field().value).toBe(written)
})

test('what is no date is said beneath, and nothing is made of it', async () => {
  const told = jest.fn<(iso: string) => void>()
  const { user } = await showPage(<Held begin="" told={told} />)
  await user.type(field(), '31 Feb 2026')
  await user.tab()
  expect(screen.getByRole('alert').textContent).toMatch(/^This cannot be read as a date/)
  expect(field().value).toBe('31 Feb 2026')
  expect(told).toHaveBeenLastCalledWith('')
})

test('an honest blank closes the field and its calendar', async () => {
  const told = jest.fn<(iso: string) => void>()
  const blanks = [{ value: 'present', label: 'Until now' }]
  const { user } = await showPage(<Held begin="2026-11-24" told={told} blanks={blanks} />)
  await user.click(screen.getByLabelText('Until now'))
  expect(told).toHaveBeenLastCalledWith('present')
  expect(field().disabled).toBe(true)
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Open the calendar' }).disabled).toBe(true)
})

test('a day is chosen from the calendar by the mouse and by the keys', async () => {
  const told = jest.fn<(iso: string) => void>()
  const { user } = await showPage(<Held begin="2026-11-24" told={told} />)
  await user.click(screen.getByRole('button', { name: 'Open the calendar' }))
  const calendar = await screen.findByRole('dialog', { name: 'Calendar' })
  expect(within(calendar).getByRole('grid', { name: 'November 2026' })).toBeTruthy()
  await user.click(within(calendar).getByRole('button', { name: /^Monday,? 30 November 2026/ }))
  expect(told).toHaveBeenLastCalledWith('2026-11-30')
  expect(screen.queryByRole('dialog')).toBeNull()
  expect(field().value).toBe('30 Nov 2026')

  await user.click(screen.getByRole('button', { name: 'Open the calendar' }))
  await screen.findByRole('dialog', { name: 'Calendar' })
  await user.keyboard('{ArrowRight}{Enter}')
  expect(told).toHaveBeenLastCalledWith('2026-12-01')
})
