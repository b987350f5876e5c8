import { parse } from 'csv-parse/sync'
import { answeredAfter, askedBefore, checkedSource } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse } from '../../test/house'
import { eraseFile } from '../privacy/erase'
import { Application } from '../records/applications/model'
import { Enquiry } from '../records/enquiries/model'
import { FirstForecast } from '../records/hiring/forecasts'
import { GatePassage } from '../records/hiring/model'
import { Source } from '../records/sources/model'
import { Vacancy } from '../records/vacancies/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('statistics')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const day = 86_400_000
const ago = (days: number) => new Date(Date.now() - days * day)
const dayAgo = (days: number) => house.deps.clock.today().subtract({ days }).toString()

type Section = 'turnaround' | 'calibration' | 'stages' | 'origins' | 'team' | 'promises' | 'red-flags'

async function figure(section: Section, key: string, query: Record<string, string> = {}) {
  const { figures } = await desk.done('readStatistics', { params: { section }, query })
  const found = figures.find((one) => one.key === key)!
  const rows = found.rows.map((row) => Object.fromEntries(found.columns.map((column, nth) => [column.key, row[nth]])))
  return { ...found, rows }
}

/** Somebody who has sent an application, moved to where they came to in the past. */
async function person(name: [string, string], more: Partial<Application['_attributes']> = {}) {
  const candidate = await house.candidate(name.join(' '))
  const { id } = await applied(house, candidate, name)
  await Application.update(more, { where: { id } })
  return { candidate, ...(await Application.findByPk(id, { rejectOnEmpty: true })).get({ plain: true }) }
}
const pass = (applicationId: string, gate: 'shortlist' | 'offer' | 'start', days: number) =>
  GatePassage.create({ applicationId, gate, passedBy: 'Ines', passedAt: ago(days), readiness: [] })

test('how long sources took is counted once, also for a file that is erased, and follows its source', async () => {
  const source = await checkedSource(house, { kind: 'school' })
  const file = await askedBefore(house, source, 'Wanda', [
    ...answeredAfter(4, 4, 8, 8),
    { ago: 30, silent: 20 },
    { ago: 9 },
  ])
  const before = await figure('turnaround', 'bySource')
  const line = { source: source.name, asked: 6, answered: 4, open: 1, median: 8, eighty: null }
  expect(before.rows).toContainEqual(line)
  const { candidateId } = await Application.findByPk(file.applicationId, { rejectOnEmpty: true })
  const page = () => desk.done('readTurnaround', { params: { id: source.id } })
  const curve = (await page()).whole
  await eraseFile(house.deps, { kind: 'system' }, candidateId, 'wish')
  // The one that was open ended, unanswered, with the file.
  expect((await figure('turnaround', 'bySource')).rows).toContainEqual({ ...line, open: 0 })
  expect((await page()).whole).toEqual(curve)
  const directory = await desk.done('sourceDirectory', { query: { text: source.name } })
  expect(directory.rows[0]).toMatchObject({ asked: 6, open: 0, medianDays: curve.median!.day })
  const other = await checkedSource(house, { kind: 'school' })
  const versions = new Map(
    (await Source.findAll({ where: { id: [source.id, other.id] } })).map((one) => [one.id, one.version]),
  )
  const { id: mergeId } = await desk.done('mergeSources', {
    params: { id: other.id },
    body: { goneId: source.id, version: versions.get(other.id)!, goneVersion: versions.get(source.id)!, take: [] },
  })
  const asked = async (name: string) =>
    (await figure('turnaround', 'bySource')).rows.find((row) => row.source === name)?.asked
  expect([await asked(other.name), await asked(source.name)]).toEqual([6, undefined])
  await desk.done('undoSourceMerge', { params: { id: mergeId } })
  expect([await asked(other.name), await asked(source.name)]).toEqual([undefined, 6])
})

test('of files the first day that was said is judged, by month, once it has come', async () => {
  const days = Array.from({ length: 19 }, (_, nth) => nth + 1)
  const told = async (name: string, made: number, ready: number | null, stage: 'sent' | 'withdrawn' = 'sent') => {
    const { id } = await person([name, 'Outlook'], { stage, sentAt: ago(made) })
    await FirstForecast.update(
      { madeOn: dayAgo(made), days, readyOn: ready === null ? null : dayAgo(made - ready) },
      { where: { applicationId: id } },
    )
  }
  // The 50 % day is the tenth, the 80 % day the sixteenth.
  await told('Held', 40, 9)
  await told('Later', 40, 12)
  await told('Never', 40, null)
  await told('Gone', 40, null, 'withdrawn')
  await told('Early', 5, 2)
  const { rows, notes } = await figure('calibration', 'filesHeld', { from: dayAgo(41), to: dayAgo(4) })
  const sum = (key: string) => rows.reduce((total, row) => total + Number(row[key] ?? 0), 0)
  expect([sum('due50'), sum('due80')]).toEqual([3, 3])
  expect(notes[0]).toBe('The 50 % day: 3 have come, too few to say (33.3 % held, 95 %: 6.1 to 79.2).')
  expect(notes[1]).toContain('66.7 % held')
})

test('of answers the day is judged that was likely when they were asked for', async () => {
  const source = await checkedSource(house, { kind: 'university' })
  const asked = Array.from({ length: 40 }, (_, nth) => ({ ago: 400 - nth * 5, answered: (nth % 4) + 2 }))
  await askedBefore(house, source, 'Calla', asked)
  const { rows } = await figure('calibration', 'answersHeld', { from: dayAgo(320), to: dayAgo(200) })
  const due = rows.reduce((total, row) => total + Number(row.due80), 0)
  expect(due).toBeGreaterThan(18)
  const held = rows.reduce((total, row) => total + (Number(row.held80) / 100) * Number(row.due80), 0)
  expect(held / due).toBeGreaterThan(0.6)
})

describe('by one vacancy', () => {
  let vacancy: string
  beforeAll(async () => {
    const other = await Vacancy.findOne({ where: { slug: 'track-engineer' }, rejectOnEmpty: true })
    await other.update({ decidesOn: dayAgo(10) })
    vacancy = other.id
    const of = { vacancyId: vacancy, sentAt: ago(60) }
    const [hired, lost, waiting] = [
      await person(['Hira', 'Stage'], { ...of, stage: 'cleared', endedAt: ago(20) }),
      await person(['Lotte', 'Stage'], { ...of, stage: 'turned down', endedAt: ago(5) }),
      await person(['Wim', 'Stage'], { ...of, stage: 'shortlisted' }),
    ]
    await person(['Withe', 'Stage'], { ...of, stage: 'withdrawn', endedAt: ago(55) })
    for (const { id: file } of [hired, lost, waiting]) await pass(file, 'shortlist', 50)
    await pass(hired.id, 'offer', 30)
    await pass(hired.id, 'start', 20)
    await hired.candidate.done('saveHeard', { params: { id: hired.id }, body: { source: 'fair', recommendedBy: '' } })
    await desk
      .done('setOwner', { params: { id: waiting.id }, body: { to: (await desk.done('readSession', {})).account!.id } })
      .catch(() => undefined)
  }, 60_000)

  test('stages: who is still there counts for as long as they have been, and where people were lost', async () => {
    const { rows } = await figure('stages', 'stays', { vacancy })
    // Sent: three moved on after 10 days, one withdrew after 5. Shortlisted: one on after 20, one lost after 45, one there for 50.
    expect(rows[0]).toMatchObject({ stage: 'sent', entered: 4, movedOn: 75, lost: 25, still: 0, median: 10 })
    expect(rows[1]).toMatchObject({ entered: 3, movedOn: 33.3, lost: 33.3, still: 33.3, median: 45, eighty: null })
    expect(rows[2]).toMatchObject({ entered: 1, movedOn: 100, median: 10 })
    expect((await figure('stages', 'lost', { vacancy })).rows).toEqual([
      { stage: 'sent', lostBy: 'withdrawn', lost: 1, median: 5 },
      { stage: 'shortlisted', lostBy: 'turned down', lost: 1, median: 45 },
    ])
  })

  test('promises: kept by whoever heard in time, late for who heard later and for who still waits', async () => {
    const { rows } = await figure('promises', 'decisions', { vacancy })
    expect(rows).toEqual([{ month: dayAgo(10).slice(0, 7), kept: 1, late: 2, waiting: 0 }])
  })

  test('where they come from, by how far they came', async () => {
    expect((await figure('origins', 'origins', { vacancy })).rows).toEqual([
      { origin: 'a fair', sent: 1, shortlist: 1, offer: 1, start: 1 },
      { origin: 'not said', sent: 3, shortlist: 2, offer: 0, start: 0 },
    ])
  })

  test('the team: what is open now, also what is nobody’s', async () => {
    const { rows } = await figure('team', 'team', { vacancy })
    expect(rows.reduce((total, row) => total + Number(row.open), 0)).toBe(1)
  })

  test('a period that leaves everything out has nothing, and one that ends before it begins is refused', async () => {
    expect((await figure('stages', 'stays', { vacancy, to: dayAgo(100) })).rows.map(({ entered }) => entered)).toEqual([
      0, 0, 0,
    ])
    const wrong = await desk.call('readStatistics', {
      params: { section: 'team' },
      query: { from: dayAgo(1), to: dayAgo(2) },
    })
    expect(wrong.status).toBe(422)
  })

  test('the same numbers come as a file, headed in words', async () => {
    const { rows } = await figure('stages', 'lost', { vacancy })
    const file = await desk.request(`/api/desk/statistics/stages/figures/lost?vacancy=${vacancy}`)
    const cells = parse(Buffer.from(await file.arrayBuffer()), { bom: true }) as string[][]
    expect(cells[0]).toEqual(['Stage', 'How', 'Lost', 'Half within'])
    expect(cells.slice(1)).toEqual(rows.map((row) => Object.values(row).map(String)))
    const none = await desk.call('downloadStatistics', { params: { section: 'team', figure: 'lost' }, query: {} })
    expect(none.status).toBe(404)
  })
})

test('sources: in time, late, and what was called off by its day was not owed any more', async () => {
  const source = await checkedSource(house, { kind: 'certifier' })
  const file = await askedBefore(house, source, 'Promisa', [
    { ago: 40, answered: 5 },
    { ago: 40, answered: 30 },
    { ago: 40, silent: 25 },
    { ago: 40, silent: 3 },
    { ago: 1 },
  ])
  const { id: vacancyId } = await Vacancy.findOne({ where: { slug: 'control-room-dispatcher' }, rejectOnEmpty: true })
  await Application.update({ vacancyId }, { where: { id: file.applicationId } })
  const asked = await Enquiry.findAll({ where: { sourceId: source.id }, order: ['askedAt'] })
  for (const one of asked.slice(0, 4)) await one.update({ answerBy: dayAgo(30) })
  await asked[4]!.update({ answerBy: house.deps.clock.today().add({ days: 13 }).toString() })
  const query = { vacancy: vacancyId, from: dayAgo(31), to: house.deps.clock.today().add({ days: 14 }).toString() }
  const { rows } = await figure('promises', 'answersInTime', query)
  const sum = (key: string) => rows.reduce((total, row) => total + Number(row[key]), 0)
  expect([sum('inTime'), sum('late'), sum('waiting')]).toEqual([1, 2, 1])
})

test('whoever hears late in the evening of the promised day has heard in time, wherever the clock of the server is', async () => {
  const vacancy = await Vacancy.findOne({ where: { slug: 'rope-access-inspector' }, rejectOnEmpty: true })
  await vacancy.update({ decidesOn: dayAgo(20) })
  const { timeZone } = house.deps.organisation
  const on = (days: number, time: string) => {
    const there = house.deps.clock.today().subtract({ days }).toZonedDateTime({ timeZone, plainTime: time })
    return new Date(there.epochMilliseconds)
  }
  const told = (name: string, endedAt: Date) =>
    person([name, 'Evening'], { vacancyId: vacancy.id, sentAt: ago(60), stage: 'turned down', endedAt })
  await told('Abel', on(20, '23:50'))
  await told('Mira', on(19, '00:10'))
  const { rows } = await figure('promises', 'decisions', { vacancy: vacancy.id })
  expect(rows).toEqual([{ month: dayAgo(20).slice(0, 7), kept: 1, late: 1, waiting: 0 }])
})

test('what was said before an application was withdrawn and sent again is not judged by the second time', async () => {
  const { id } = await person(['Agna', 'Again'], { sentAt: ago(10) })
  const days = Array.from({ length: 19 }, (_, nth) => nth + 1)
  const judged = async () => {
    const { rows } = await figure('calibration', 'filesHeld', { from: dayAgo(92), to: dayAgo(88) })
    return rows.reduce((total, row) => total + Number(row.due50), 0)
  }
  await FirstForecast.update({ madeOn: dayAgo(90), days }, { where: { applicationId: id } })
  expect(await judged()).toBe(0)
  await Application.update({ sentAt: ago(90) }, { where: { id } })
  expect(await judged()).toBe(1)
})

test('red flags by kind and what came of them', async () => {
  const { rows } = await figure('red-flags', 'flags')
  for (const row of rows) expect(Object.keys(row)).toEqual(['flag', 'openFlags', 'upheld', 'dismissed'])
})

test('who has no right to it sees none, and an auditor does', async () => {
  const ask = async (role: 'assessor' | 'hiring manager' | 'auditor') =>
    (await (await house.staff(role)).call('readStatistics', { params: { section: 'team' }, query: {} })).status
  expect([await ask('assessor'), await ask('hiring manager'), await ask('auditor')]).toEqual([403, 403, 200])
})
