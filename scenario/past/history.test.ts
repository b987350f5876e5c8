import { Temporal } from 'temporal-polyfill'
import { dayNumber } from '#core/dates/dayNumber'
import { heldBy, verdictOn } from '#core/forecast/calibration'
import { sources as demoSources } from '../sources/sources'
import { chance } from './chance'
import { type PastFile, type PastSource, pastFiles } from './history'
import { familyNames, givenNames } from './names'
import { rounds } from './rounds'

const today = Temporal.PlainDate.from('2026-11-30')
/** Those of the demo that people are asked at. */
const sources: PastSource[] = demoSources
  .filter(({ kind }) => ['university', 'school', 'employer'].includes(kind))
  .map(({ key, name, kind, country, channels = ['link'] }) => ({ id: key, name, kind, country, channels }))
  .filter(({ channels }) => channels.some((one) => one === 'link' || one === 'letter' || one === 'telephone'))
  .sort((a, b) => a.name.localeCompare(b.name))

let files: PastFile[]
beforeAll(() => {
  files = pastFiles(today, rounds, sources)
}, 60_000)

test('it is eighteen months, with at least fifteen hundred questions, the same whenever it is made', () => {
  const questions = files.flatMap(({ enquiries }) => enquiries)
  expect(questions.length).toBeGreaterThanOrEqual(1500)
  expect(Math.min(...files.map(({ sentOn }) => sentOn))).toBeLessThan(-520)
  const again = pastFiles(today, rounds, sources)
  expect(again.map(({ sentOn, end, readyOn, days }) => [sentOn, end, readyOn, days])).toEqual(
    files.map(({ sentOn, end, readyOn, days }) => [sentOn, end, readyOn, days]),
  )
}, 60_000)

test('everything is over, and nothing comes before what it follows from', () => {
  for (const { sentOn, shortlistedOn, offeredOn, endedOn, end, enquiries, round } of files) {
    const order = [round.opened, sentOn, shortlistedOn ?? sentOn, offeredOn ?? shortlistedOn ?? sentOn, endedOn, -1]
    expect([...order].sort((a, b) => a - b)).toEqual(order)
    expect(end === 'cleared' || end === 'declined').toBe(offeredOn !== null)
    for (const one of enquiries) {
      expect(one.askedOn).toBeGreaterThanOrEqual(sentOn)
      expect(one.endedOn).toBeGreaterThanOrEqual(Math.min(one.askedOn, -15))
      expect(one.source.channels).toContain(one.channel)
    }
  }
})

test('only who was hired was ready, and every end and every way happens', () => {
  for (const { end, readyOn } of files) expect(readyOn !== null).toBe(end === 'cleared')
  expect(new Set(files.map(({ end }) => end))).toEqual(new Set(['cleared', 'declined', 'turned down', 'withdrawn']))
  const ways = files.flatMap(({ enquiries }) => enquiries.map(({ channel }) => channel))
  expect(new Set(ways)).toEqual(new Set(['link', 'letter', 'telephone']))
})

test('a telephone answers sooner than a letter, and what is not answered waits longest', () => {
  const questions = files.flatMap(({ enquiries }) => enquiries)
  const mean = (some: typeof questions) =>
    some.reduce((sum, { askedOn, endedOn }) => sum + endedOn - askedOn, 0) / some.length
  const by = (channel: string) => mean(questions.filter((one) => one.answered && one.channel === channel))
  expect(by('telephone')).toBeLessThan(by('letter'))
  expect(mean(questions.filter(({ answered }) => !answered))).toBeGreaterThan(by('letter'))
})

test('over several such pasts, what was forecast by what was known then has held as often as it said', () => {
  const said = [0, 6, 12, 18]
    .flatMap((turned) => pastFiles(today, rounds, [...sources.slice(turned), ...sources.slice(0, turned)]))
    .flatMap(({ sentOn, days, readyOn, end }) =>
      end === 'cleared' ? [{ madeOn: dayNumber(today) + sentOn, days, readyOn: dayNumber(today) + readyOn! }] : [],
    )
  expect(said.length).toBeGreaterThan(300)
  for (const share of [50, 80] as const) {
    const held = heldBy(said, share, dayNumber(today))
    expect([share, verdictOn(held, share)]).toEqual([share, 'holds'])
    expect(held.interval!.share).toBeLessThan(1)
  }
}, 120_000)

test('names are of people who never were: many of each, none twice', () => {
  for (const names of [givenNames, familyNames]) {
    expect(names.length).toBeGreaterThan(40)
    expect(new Set(names).size).toBe(names.length)
  }
})

test('days drawn around a median have half on each side of it, and are whole', () => {
  const { daysAround, between, among } = chance('a test')
  const days = Array.from({ length: 4000 }, () => daysAround(20))
  const above = days.filter((one) => one > 20).length
  expect(above).toBeGreaterThan(1800)
  expect(above).toBeLessThan(2150)
  expect(days.every((one) => Number.isInteger(one) && one >= 1)).toBe(true)
  const dice = Array.from({ length: 600 }, () => between(1, 6))
  expect(new Set(dice)).toEqual(new Set([1, 2, 3, 4, 5, 6]))
  expect(new Set(Array.from({ length: 50 }, () => among(['a', 'b'])))).toEqual(new Set(['a', 'b']))
})
