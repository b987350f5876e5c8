import { screen } from '@testing-library/react'
import type { Turnaround as Curve } from '#contract/turnaround'
import { showPage } from '../../../test/page'
import { Turnaround } from './Turnaround'

const curve = (over: Partial<Curve> = {}): Curve => ({
  ...{ own: { ended: 12, open: 2 }, beside: null, median: { day: 8, from: 4, to: 10 }, eighty: 12 },
  steps: [
    { day: 4, atRisk: 14, ended: 2, waits: 0.857, low: 0.62, high: 0.952 },
    { day: 8, atRisk: 7, ended: 4, waits: 0.4, low: 0.2, high: 0.6 },
  ],
  ...over,
})
const nothing = curve({ own: { ended: 0, open: 0 }, median: null, eighty: null, steps: [] })
const show = (whole: Curve) =>
  showPage(<Turnaround sourceId="0190a3f0-0000-7000-8000-000000000001" />, {
    readTurnaround: { whole, recent: curve({ median: null, eighty: null }), before: nothing, since: '2026-05-30' },
  } as never)

test('it is said in a sentence with what it rests on, and stands in tables', async () => {
  const { user } = await show(curve())
  expect(
    await screen.findByText(
      'Half of what we ask is answered within 8 days (95 % interval: 4 to 10). Four of five within 12 days.',
    ),
  ).toBeTruthy()
  expect(screen.getByText('From 12 answers and 2 questions that it has not answered.')).toBeTruthy()
  const row = screen.getByRole('row', { name: /^All together/ })
  expect([...row.querySelectorAll('td')].map((cell) => cell.textContent)).toEqual(['8 d', '12 d', '12', '2'])
  expect(screen.getByRole('row', { name: /^Asked since 30 May 2026/ }).textContent).toContain('—')
  await user.click(screen.getByText('The same as a table'))
  expect(screen.getByText('62 to 95 %')).toBeTruthy()
})

test('with little of its own it says whose stand beside it', async () => {
  const beside = { scope: 'kind and country', waits: 9, countsAs: 6 } as const
  await show(curve({ own: { ended: 1, open: 0 }, beside, median: { day: 5, from: 5, to: 5 }, eighty: null }))
  expect(await screen.findByText('Half of what we ask is answered within 5 days.')).toBeTruthy()
  expect(
    screen.getByText(/9 waits of sources of its kind in its country stand beside its own, and count as 6/),
  ).toBeTruthy()
})

test('too little to say is said, and of what nobody was asked nothing', async () => {
  const { unmount } = await show(curve({ median: null, eighty: null }))
  expect(await screen.findByText('Too little is answered to say.')).toBeTruthy()
  unmount()
  await show(nothing)
  expect(screen.queryByText('How long it takes to answer')).toBeNull()
})
