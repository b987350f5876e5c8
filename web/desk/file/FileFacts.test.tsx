import { screen, within } from '@testing-library/react'
import type { File } from '#contract/desk'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { FileFacts } from './FileFacts'

const help: NonNullable<File['help']> = {
  ...{ how: 'telephone', what: 'reply', title: 'Rope access card', source: 'Ropeguild International' },
  ...{ claim: '0190a3f0-0000-7000-8000-000000000077', days: 6, chance: 81 },
}

async function show(over: Partial<File>) {
  const chosen: string[] = []
  const page = await showPage(<FileFacts file={aFile(over)} onChoose={(claim) => chosen.push(claim)} />)
  return { ...page, chosen }
}

test('the likely day stands with its range, the start with its chance, and what holds it up', async () => {
  await show({})
  expect(screen.getByText('Likely ready').nextSibling?.textContent).toBe('5 Jan(11 Dec to 23 Feb)')
  expect(screen.getByText('Target start').parentElement?.textContent).toContain('(70 % likely)')
  expect(screen.getByText('Held up by').nextSibling).toMatchObject({ title: 'Rope access card, in 80 of 100 cases' })
  expect(screen.queryByTestId('help')).toBeNull()
})

test('what would help most is said with its gain, and leads to the claim', async () => {
  const { user, chosen } = await show({ help })
  expect(screen.getByTestId('help').textContent).toBe(
    'Would help mosttelephone Ropeguild International instead of writing (6 days earlier, 81 % by the start)',
  )
  await user.click(within(screen.getByTestId('help')).getByRole('button'))
  expect(chosen).toEqual([help.claim])
})

test.each([
  [{ how: 'now' as const, what: 'look' as const }, 'Rope access card: look at document today'],
  [{ how: 'tomorrow' as const, what: 'upload' as const }, 'Rope access card: candidate to send document by tomorrow'],
])('%j reads as what is to be done', async (way, words) => {
  await show({ help: { ...help, ...way, claim: null, days: 1 } })
  expect(screen.getByTestId('help').textContent).toBe(`Would help most${words} (1 day earlier, 81 % by the start)`)
  expect(within(screen.getByTestId('help')).queryByRole('button')).toBeNull()
})

test('of a file that is over nothing is to be done any more', async () => {
  await show({ help, stage: 'withdrawn' })
  expect(screen.queryByTestId('help')).toBeNull()
  expect(screen.queryByText(/% likely/)).toBeNull()
})
