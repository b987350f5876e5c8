import { Temporal } from 'temporal-polyfill'
import { answeredAfter, askAbout, askedBefore, checkedSource, claimedOf, runDailyIn } from '../../test/asking'
import { applied, type House, openHouse } from '../../test/house'
import { aContact } from '../../test/source'
import { Application } from '../records/applications/model'
import { Enquiry } from '../records/enquiries/model'
import { FirstForecast, KeptForecast } from '../records/hiring/forecasts'
import { forgetCurves } from './dayCurves'
import { forecastOf, forecastsAnew } from './forecast'
import { readinessOf } from './readiness'
import { refreshSummaries } from './summaries'

let house: House
/** One that takes three months in writing and two days by telephone, and one that answers in three. */
let slow: Awaited<ReturnType<typeof checkedSource>>
let quick: Awaited<ReturnType<typeof checkedSource>>
beforeAll(async () => {
  house = await openHouse('forecast')
  slow = await checkedSource(house, {
    ...{ kind: 'university', channels: ['link', 'telephone'] },
    contacts: [aContact({ mail: 'office@slow.example', phone: '+43 512 77001' })],
  })
  quick = await checkedSource(house, { kind: 'school' })
  await askedBefore(house, slow, 'Sal', [
    ...Array.from({ length: 20 }, (_, nth) => ({ ago: 300, answered: nth < 10 ? 90 : 110 })),
    ...Array.from({ length: 12 }, () => ({ ago: 60, answered: 2, channel: 'telephone' as const })),
  ])
  await askedBefore(house, quick, 'Quin', answeredAfter(...Array(14).fill(3)))
  forgetCurves(house.deps)
}, 120_000)
afterAll(() => house.close())

const judge = async (id: string) => {
  const application = await Application.findByPk(id, { rejectOnEmpty: true })
  return { application, readiness: await readinessOf(house.deps, application) }
}
const daysTo = (day: string) =>
  house.deps.clock.today().until(Temporal.PlainDate.from(day), { largestUnit: 'day' }).days
const read = (file: { desk: Awaited<ReturnType<House['staff']>>; applicationId: string }) =>
  file.desk.done('readFile', { params: { id: file.applicationId } })

test('the date comes from what the source has taken, moves when it answers, and is what the desk and the candidate read', async () => {
  const file = await claimedOf(house, ['Mova', 'Date'], { ...slow, kind: 'study' })
  await askAbout(file.desk, file.claimId, file.applicationId)
  const before = await read(file)
  expect(before.heldUpBy?.title).toContain(slow.name)
  expect(daysTo(before.likely.likely)).toBeGreaterThan(60)
  const status = await file.candidate.done('readStatus', { params: { id: file.applicationId } })
  expect(status.likely).toEqual({
    ...{ early: before.likely.early, likely: before.likely.likely, late: before.likely.late },
  })
  const enquiry = await Enquiry.findOne({ where: { claimId: file.claimId, state: 'open' }, rejectOnEmpty: true })
  await enquiry.update({ state: 'answered', answeredAt: house.deps.clock.now(), turn: 'desk' })
  await refreshSummaries(house.deps, [file.applicationId])
  const after = await read(file)
  expect(after.likely.likely < before.likely.likely).toBe(true)
  expect(after.slack).toBeGreaterThan(before.slack)
})

test('what would help most is to telephone, by as many days as the date then comes forward', async () => {
  const file = await claimedOf(house, ['Tela', 'Phone'], { ...slow, kind: 'study' })
  await askAbout(file.desk, file.claimId, file.applicationId)
  const { help, likely } = await read(file)
  expect(help).toMatchObject({ how: 'telephone', what: 'reply', source: slow.name, claim: file.claimId })
  expect(help!.days).toBeGreaterThan(3)
  expect(help!.chance).toBeGreaterThanOrEqual(likely.chance)
  // One that is telephoned already is not to be telephoned instead.
  await Enquiry.update({ channel: 'telephone' }, { where: { claimId: file.claimId } })
  const { help: other } = await read(file)
  expect([other?.how, other?.claim]).not.toEqual(['telephone', file.claimId])
})

test('the longer it has been waited for, the less is left, until nothing is known any more', async () => {
  const file = await claimedOf(house, ['Waita', 'While'], { ...slow, kind: 'study' })
  await askAbout(file.desk, file.claimId, file.applicationId)
  const leftAfter = async (days: number) => {
    await Enquiry.update({ askedAt: new Date(Date.now() - days * 86_400_000) }, { where: { claimId: file.claimId } })
    const { application, readiness } = await judge(file.applicationId)
    return daysTo((await forecastOf(house.deps, application, readiness)).likely)
  }
  const [fresh, later] = [await leftAfter(0), await leftAfter(40)]
  expect(later).toBeLessThan(fresh)
  expect(await leftAfter(200)).toBeGreaterThan(0)
})

test('only what has changed is computed again, and reading keeps nothing', async () => {
  const file = await claimedOf(house, ['Kep', 'Same'], { ...quick, kind: 'study' })
  const kept = () => KeptForecast.findByPk(file.applicationId, { rejectOnEmpty: true })
  const first = await kept()
  await new Promise((done) => setTimeout(done, 5))
  await refreshSummaries(house.deps, [file.applicationId])
  expect((await kept()).computedAt).toEqual(first.computedAt)
  await Application.update({ targetStart: '2031-01-06' }, { where: { id: file.applicationId } })
  const moved = await read(file)
  expect(moved.likely.chance).toBe(100)
  expect((await kept()).basis).toBe(first.basis)
  await refreshSummaries(house.deps, [file.applicationId])
  expect((await kept()).basis).not.toBe(first.basis)
})

test('what a source has taken is known the next day, and files that wait for it are computed anew by it', async () => {
  const source = await checkedSource(house, { kind: 'certifier' })
  const file = await claimedOf(house, ['Curva', 'Anew'], { ...source, kind: 'study' })
  await askAbout(file.desk, file.claimId, file.applicationId)
  const kept = async () => (await KeptForecast.findByPk(file.applicationId, { rejectOnEmpty: true })).basis
  const before = await kept()
  await askedBefore(
    house,
    source,
    'Tarda',
    Array.from({ length: 14 }, () => ({ ago: 300, answered: 150 })),
  )
  await refreshSummaries(house.deps, [file.applicationId])
  expect(await kept()).toBe(before)
  forgetCurves(house.deps)
  await refreshSummaries(house.deps, [file.applicationId])
  expect(await kept()).not.toBe(before)
  expect(daysTo((await read(file)).likely.likely)).toBeGreaterThan(140)
})

test('many are computed in a thread, and come out as one by one', async () => {
  const ids: string[] = []
  for (const name of ['Uno', 'Due', 'Tre', 'Quattro', 'Cinque'])
    ids.push((await applied(house, await house.candidate(`${name} Thread`), [name, 'Thread'])).id)
  const all = await Promise.all(ids.map(judge))
  await KeptForecast.destroy({ where: { applicationId: ids } })
  const together = await forecastsAnew(house.deps, all)
  await KeptForecast.destroy({ where: { applicationId: ids } })
  for (const one of all)
    expect(await forecastOf(house.deps, one.application, one.readiness)).toEqual(together.get(one.application.id))
})

test('what was first said stays, however the date moves, and the day on which nothing was open any more stands beside it', async () => {
  const file = await claimedOf(house, ['Firs', 'Said'], { ...slow, kind: 'study' })
  const first = await FirstForecast.findByPk(file.applicationId, { rejectOnEmpty: true })
  expect([first.madeOn, first.readyOn, first.days.length]).toEqual([house.deps.clock.today().toString(), null, 19])
  await askAbout(file.desk, file.claimId, file.applicationId)
  await runDailyIn(house, 1)
  expect((await FirstForecast.findByPk(file.applicationId))?.days).toEqual(first.days)
  const { application, readiness } = await judge(file.applicationId)
  const met = { ...readiness, outcomes: readiness.outcomes.map((outcome) => ({ ...outcome, steps: [] })) }
  await forecastsAnew(house.deps, [{ application, readiness: met }])
  const ready = await FirstForecast.findByPk(file.applicationId)
  expect(ready?.readyOn).toBe(house.deps.clock.today().toString())
  // It has come open again: it was not ready after all.
  await forecastsAnew(house.deps, [{ application, readiness }])
  expect((await FirstForecast.findByPk(file.applicationId))?.readyOn).toBeNull()
})

test('where the days that were said have not held, those that are said from now on are later, and the first said stays', async () => {
  const file = await claimedOf(house, ['Wida', 'Range'], { ...slow, kind: 'study' })
  const before = (await read(file)).likely
  const row = (await Application.findByPk(file.applicationId, { rejectOnEmpty: true })).get({ plain: true })
  const past = Array.from({ length: 40 }, (_, nth) => ({
    ...{ ...row, id: crypto.randomUUID(), duplicateOrdinal: nth + 10, number: null, reference: null },
    ...{ stage: 'cleared' as const, sentAt: new Date(Date.now() - 200 * 86_400_000) },
  }))
  await Application.bulkCreate(past)
  const made = house.deps.clock.today().subtract({ days: 200 })
  await FirstForecast.bulkCreate(
    past.map(({ id }) => ({
      ...{ applicationId: id, madeOn: made.toString(), days: Array.from({ length: 19 }, (_, nth) => nth + 1) },
      readyOn: made.add({ days: 100 }).toString(),
    })),
  )
  forgetCurves(house.deps)
  const after = (await read(file)).likely
  expect([after.likely > before.likely, after.late > before.late, after.early]).toEqual([true, true, before.early])
  await Application.destroy({ where: { id: past.map(({ id }) => id) } })
  forgetCurves(house.deps)
  expect((await read(file)).likely).toEqual(before)
})
