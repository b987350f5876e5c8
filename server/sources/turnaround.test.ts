import { answeredAfter, askedBefore, checkedSource, type PastEnquiry } from '../../test/asking'
import { type House, openHouse } from '../../test/house'

let house: House
beforeAll(async () => {
  house = await openHouse('turnaround')
}, 60_000)
afterAll(() => house.close())

const askedOf = async (name: string, asked: readonly PastEnquiry[], kind: 'university' | 'school' = 'university') => {
  const source = await checkedSource(house, { kind })
  const { desk } = await askedBefore(house, source, name, asked)
  return { ...source, desk, read: () => desk.done('readTurnaround', { params: { id: source.id } }) }
}

test('what is still open and what ended without an answer count as long as they waited', async () => {
  const one = await askedOf('Kay', [
    ...answeredAfter(2, 2, 4, 4, 6, 6, 8, 8, 10, 10, 12, 12),
    ...[{ ago: 7 }, { ago: 90, silent: 9 }],
    // What nobody was asked by, or not yet, says nothing of how long people take.
    ...[
      { ago: 50, answered: 1, channel: 'register' as const },
      { ago: 50, state: 'prepared' as const },
    ],
  ])
  const { whole } = await one.read()
  expect([whole.own, whole.beside]).toEqual([{ ended: 12, open: 2 }, null])
  expect(whole.steps.map(({ day: after, atRisk }) => [after, atRisk])).toEqual([
    ...[
      [2, 14],
      [4, 12],
      [6, 10],
      [8, 7],
      [10, 4],
      [12, 2],
    ],
  ])
  // By hand: 12/14 · 10/12 · 8/10 · 5/7 · 2/4.
  expect(whole.steps.at(-2)!.waits).toBeCloseTo((12 / 14) * (10 / 12) * (8 / 10) * (5 / 7) * (2 / 4), 10)
  expect([whole.median?.day, whole.eighty]).toEqual([8, 12])
})

test('the last six months stand beside the time before', async () => {
  const before: PastEnquiry[] = [3, 3, 3].map((answered) => ({ ago: 300, answered }))
  const one = await askedOf('Nora', [...answeredAfter(20, 20), ...before])
  const { recent, before: old } = await one.read()
  expect([recent.own.ended, recent.median?.day, old.own.ended, old.median?.day]).toEqual([2, 20, 3, 3])
})

test('with little of its own, its like in its country stand beside it', async () => {
  const few = await askedOf('Zoe', answeredAfter(30), 'school')
  expect((await few.read()).whole.beside).toMatchObject({ scope: 'all', countsAs: 6 })
  await askedOf('Many', answeredAfter(5, 5, 5, 5, 5, 5, 5, 5, 5), 'school')
  const { whole } = await few.read()
  expect(whole.beside).toEqual({ scope: 'kind and country', waits: 9, countsAs: 6 })
  expect([whole.own.ended, whole.median?.day]).toEqual([1, 5])
})

test('whoever does not keep sources does not read it', async () => {
  const one = await askedOf('Al', answeredAfter(3))
  const assessor = await house.staff('assessor')
  expect((await assessor.call('readTurnaround', { params: { id: one.id } })).status).toBe(403)
})
