import { type LifeBar, layOutLife } from './lifeChartLayout'

const bar = (id: string, from: string, to: string, lane: LifeBar['lane'] = 'Work'): LifeBar => ({
  id,
  lane,
  label: id,
  from,
  to,
  rung: 'claimed',
})
const chart = { papers: [], today: '2026-11-24', start: '2027-01-11', years: 5, toleratedGapDays: 30, width: 600 }

test('the gap between two jobs lies between their bars, and is as long as the days that miss', () => {
  const life = layOutLife({ ...chart, bars: [bar('a', '2021-08-01', '2023-02-02'), bar('b', '2023-06-01', 'present')] })
  const [a, b] = life.bars
  expect(life.gaps).toHaveLength(1)
  expect(life.gaps[0]).toMatchObject({ days: 118, certain: true })
  expect(life.gaps[0]!.x).toBeCloseTo(a!.x + a!.width, 0)
  expect(life.gaps[0]!.x + life.gaps[0]!.width).toBeCloseTo(b!.x, 0)
})

test('today comes before the start, both on the axis', () => {
  const life = layOutLife({ ...chart, bars: [] })
  expect(life.today).toBeLessThan(life.start!)
  expect(life.start!).toBeLessThan(600)
})

test('what overlaps in a lane goes below, and what lies outside the axis is left out', () => {
  const life = layOutLife({
    ...chart,
    bars: [
      bar('old', '2001', '2009'),
      bar('a', '2022-01', '2024-01'),
      bar('b', '2023-01', 'present'),
      bar('odd', 'soon', 'later'),
    ],
  })
  expect(life.bars.map(({ id, row }) => `${id}${row}`)).toEqual(['a0', 'b1'])
})

test('study that led into the window is on the axis', () => {
  const life = layOutLife({ ...chart, bars: [bar('MSc', '2019-09', '2021-07', 'Study')] })
  expect(life.bars[0]!.x).toBeGreaterThan(0)
  expect(life.bars[0]!.width).toBeGreaterThan(100)
})
