import { rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { pino } from 'pino'
import { vallorne } from '#scenario/organisation'
import { makeApp } from '#server/app'
import { clockAhead } from '#server/platform/clock'
import { readConfig } from '#server/platform/config'
import { forecastsAnew } from '#server/readiness/forecast'
import { readinessOfAll } from '#server/readiness/readiness'
import { refreshForDay } from '#server/readiness/refreshForDay'
import { watchedApplications } from '#server/records/applications/find'
import { KeptForecast } from '#server/records/hiring/forecasts'
import { prepare } from '#server/start'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { visitor } from '../test/client'
import { applicationsEach, makeCrowd } from './crowd'
import { staffSession } from './desk'
import { percentile, type Result } from './result'

const port = 4540
const files = 5000

/** The likely dates of so many files: computed once, found unchanged, and as the night computes every standing while people work. */
export async function manyForecasts(): Promise<Result[]> {
  const folder = resolve('.check/bench-forecasts')
  rmSync(folder, { recursive: true, force: true })
  const database = await startOwnDatabase(folder, port + 6, { memory: '4G' })
  const settings = readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' })
  const fixed = await prepare(
    { ...settings, port, databaseUrl: database.url, logLevel: 'silent' },
    pino({ level: 'silent' }),
  )
  await makeCrowd(fixed, files / applicationsEach)
  const deps = { ...fixed, organisation: vallorne, clock: clockAhead(0, vallorne.timeZone) }
  const server = makeApp(fixed).listen(port, '127.0.0.1')
  const desk = visitor(`http://127.0.0.1:${port}`, { probatum: await staffSession() })

  const watched = await watchedApplications(undefined, files)
  const judged: Parameters<typeof forecastsAnew>[1][] = []
  for (let from = 0; from < watched.length; from += 100) {
    const some = watched.slice(from, from + 100)
    const found = await readinessOfAll(deps, some)
    judged.push(some.map((application) => ({ application, readiness: found.get(application.id)! })))
  }
  const all = () =>
    timed(async () => {
      for (const some of judged) await forecastsAnew(deps, some)
    })
  await KeptForecast.destroy({ truncate: true })
  const [fresh, unchanged] = [await all(), await all()]

  await KeptForecast.destroy({ truncate: true })
  const waits: number[] = []
  let working = true
  const people = (async () => {
    for (let nth = 0; working; nth += 1) {
      waits.push(
        await timed(() => desk.done('readQueue', { params: { queue: nth % 2 ? 'applications' : 'verification' } })),
      )
      await new Promise((done) => setTimeout(done, 20))
    }
  })()
  const night = await timed(() => refreshAll(deps))
  working = false
  await people
  server.close()
  server.closeAllConnections()
  await fixed.sequelize.close()
  await database.stop()
  rmSync(folder, { recursive: true, force: true })
  const each = (ms: number) => `${(ms / 1000).toFixed(1)} s, ${(ms / watched.length).toFixed(2)} ms a file`
  return [
    {
      what: `Likely dates of ${watched.length} files, all changed`,
      measured: each(fresh),
      wanted: 'under 40 s, under 5 ms',
    },
    { what: 'The same, nothing changed', measured: each(unchanged), wanted: '' },
    { what: 'Every standing anew with its likely date', measured: each(night), wanted: 'under 40 s' },
    {
      what: 'A queue page meanwhile',
      measured: `p95 ${percentile(waits, 0.95).toFixed(0)} ms of ${waits.length}`,
      wanted: 'under 100 ms',
    },
  ]
}

/** As the jobs of a night do it, one after the other. */
async function refreshAll(deps: Parameters<typeof refreshForDay>[0]) {
  const day = deps.clock.today().toString()
  for (let after: string | undefined; ; ) {
    await refreshForDay(deps, { day, after })
    const next = await watchedApplications(after, 1000)
    if (next.length < 1000) return
    after = next.at(-1)!.id
  }
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const from = performance.now()
  await work()
  return performance.now() - from
}
