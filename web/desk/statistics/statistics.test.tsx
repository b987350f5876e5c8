import { screen, within } from '@testing-library/react'
import type { Figure } from '#contract/statistics'
import { type Call, showPage } from '../../../test/page'
import { pointsOf, writeCell } from './points'
import { StatisticsPage } from './StatisticsPage'

const vacancy = { id: '0190a3f0-0000-7000-8000-000000000031', title: 'Track engineer' }
const stays: Figure = {
  key: 'stays',
  columns: [
    { key: 'stage', as: 'text' },
    { key: 'entered', as: 'count' },
    { key: 'movedOn', as: 'percent' },
    { key: 'median', as: 'days' },
  ],
  rows: [
    ['sent', 40, 75.5, 12],
    ['offered', 1, 0, null],
  ],
  chart: { kind: 'stacked', series: ['movedOn'] },
  notes: ['Shares are of everybody who came into the stage.'],
}
// There is no layout here, so everything is given a size; the library is large, and whoever waits for a figure does not wait for it.
beforeAll(async () => {
  const size = { x: 0, y: 0, top: 0, left: 0, right: 960, bottom: 240, width: 960, height: 240 }
  HTMLElement.prototype.getBoundingClientRect = () => ({ ...size, toJSON: () => size })
  await import('./FigureChart')
}, 30_000)

async function show(figures: Figure[]) {
  const asked: Call[] = []
  const page = await showPage(<StatisticsPage />, {
    readStatistics: (call) => {
      asked.push(call)
      return { from: '2025-05-30', to: '2026-11-30', figures, vacancies: [vacancy] }
    },
    at: '/desk/statistics/stages',
    path: '/desk/statistics/:section?',
  })
  return { ...page, asked }
}

test('a figure stands as a table with its units, what is unknown is not made up, and it can be kept as a file', async () => {
  await show([stays])
  const section = within(await screen.findByRole('region', { name: /How each stage ends/ }))
  const rows = section.getAllByRole('row').map((row) => row.textContent)
  expect(rows).toEqual(['StageCame into itMoved onHalf within', 'sent4075.5 %12 days', 'offered10 %—'])
  expect(section.getByText(/everybody who came/)).toBeTruthy()
  // Nothing is drawn for none.
  expect(document.querySelectorAll('.recharts-bar-rectangle')).toHaveLength(1)
  expect(section.getByRole('link', { name: 'As CSV' }).getAttribute('href')).toContain(
    '/statistics/stages/figures/stays',
  )
})

test('a vacancy is chosen for all parts, and the address says so', async () => {
  const { user, asked } = await show([stays])
  await user.selectOptions(await screen.findByLabelText('Vacancy'), 'Track engineer')
  await screen.findByRole('option', { name: 'Track engineer', selected: true })
  expect(asked.at(-1)).toMatchObject({ params: { section: 'stages' }, query: { vacancy: vacancy.id } })
  expect(screen.getByRole('link', { name: 'Team' }).getAttribute('href')).toBe(
    `/desk/statistics/team?vacancy=${vacancy.id}`,
  )
})

test('nothing in the days is said in words, and a long table waits behind its figure', async () => {
  const long = {
    ...stays,
    key: 'waiting' as const,
    rows: Array.from({ length: 30 }, (_, nth) => [`s${nth}`, nth, 0, 1]),
  }
  await show([{ ...stays, rows: [] }, long])
  expect(await screen.findByText('Nothing in these days.')).toBeTruthy()
  expect(screen.getByText('The same as a table').closest('details')?.open).toBe(false)
})

test('a curve is drawn from everybody waiting, months by their names', () => {
  const curve: Figure = {
    ...{ key: 'waiting', notes: [], rows: [[3, 80, 70, 90]] },
    columns: [
      { key: 'day', as: 'days' },
      { key: 'waits', as: 'percent' },
      { key: 'low', as: 'percent' },
      { key: 'high', as: 'percent' },
    ],
    chart: { kind: 'steps', series: ['waits'], band: ['low', 'high'] },
  }
  expect(pointsOf(curve)).toEqual([
    { at: 0, waits: 100, low: 100, high: 100 },
    { at: 3, day: 3, waits: 80, low: 70, high: 90 },
  ])
  expect(pointsOf({ ...curve, rows: [] })).toEqual([])
  expect([writeCell('2026-03', 'month'), writeCell(1, 'days'), writeCell(12.34, 'count')]).toEqual([
    'Mar 2026',
    '1 day',
    '12.3',
  ])
})
