import { QueryTypes, type Sequelize } from 'sequelize'
import type { Temporal } from 'temporal-polyfill'
import { workingDaysBetween, workingDayTable } from '#core/calendar/workingDayTable'
import { dayNumber } from '#core/dates/dayNumber'
import { beginOf, dayAt } from '#core/dates/zoned'
import { levelsFrom } from '#core/forecast/calibration'
import type { Levels } from '#core/forecast/forecast'
import type { Step } from '#core/requirements/requirement'
import { type Curve, kaplanMeier } from '#core/turnaround/kaplanMeier'
import type { Deps } from '../platform/deps'
import type { By } from '../records/enquiries/waits'
import { outlookOf, pastForecasts } from '../records/hiring/forecasts'
import { type Kept, turnaroundsOf } from './turnaround'
import { ownCalendar } from './workCalendar'

/**
 * How long steps take, by what was known when the day began: whoever computes it comes to the same all day long, and no file is
 * computed anew because another source has answered.
 */
type DayCurves = {
  day: string
  sources: Map<string, Promise<Curve | undefined>>
  ours?: Promise<Partial<Record<Step['what'], Curve>>>
  levels?: Promise<Levels>
}

const ofDay = new WeakMap<Sequelize, DayCurves>()

function curvesOfToday({ sequelize, clock }: Deps): DayCurves {
  const day = clock.today().toString()
  const known = ofDay.get(sequelize)
  if (known?.day === day) return known
  const begun: DayCurves = { day, sources: new Map() }
  ofDay.set(sequelize, begun)
  return begun
}

/** Has them read again by whoever has written down a past that was not there this morning. */
export const forgetCurves = ({ sequelize }: Pick<Deps, 'sequelize'>): boolean => ofDay.delete(sequelize)

const startOfDay = ({ clock, organisation }: Deps) => beginOf(clock.today(), organisation.timeZone)

/** The curve of each of some sources, by their ids. */
export async function sourceCurves(deps: Deps, sources: readonly Kept[], by: By): Promise<Map<string, Curve>> {
  const known = curvesOfToday(deps).sources
  const keyOf = ({ id }: Kept) => `${by} ${id}`
  const missing = sources.filter((source) => !known.has(keyOf(source)))
  if (missing.length > 0) {
    const reading = turnaroundsOf(deps, missing, { until: startOfDay(deps), by })
    for (const source of missing) {
      const one = reading.then((found) => found.get(source.id)!.pooled.curve)
      // What could not be read is read again by whoever asks next.
      one.catch(() => known.delete(keyOf(source)))
      known.set(keyOf(source), one)
    }
  }
  const found = await Promise.all(sources.map(async (source) => [source.id, await known.get(keyOf(source))!] as const))
  return new Map(found.flatMap(([id, curve]) => (curve ? [[id, curve]] : [])))
}

/** So many of the newest: what is older says less of how we work today. */
const most = 2000
/** Fewer that have ended say too little. */
const fewest = 12
const yearsBack = 2

type Row = { since: Date | string; ended: Date | string | null }

/** What we do ourselves, since when each was there to be done and when it was: papers looked at, answers compared. */
const doneByUs: Partial<Record<Step['what'], string>> = {
  look: `SELECT GREATEST(d.uploadedAt, a.sentAt) AS since, IF(d.seenAt <= :until, d.seenAt, NULL) AS ended
         FROM documents d
         JOIN (SELECT candidateId, MIN(sentAt) AS sentAt FROM applications WHERE sentAt IS NOT NULL GROUP BY candidateId) a
           ON a.candidateId = d.candidateId
         WHERE d.state IN ('to look at', 'seen') AND GREATEST(d.uploadedAt, a.sentAt) BETWEEN :from AND :until
         ORDER BY d.uploadedAt DESC LIMIT :most`,
  compare: `SELECT e.answeredAt AS since,
              (SELECT MIN(f.decidedAt) FROM findings f WHERE f.enquiryId = e.id AND f.decidedAt <= :until) AS ended
            FROM enquiries e WHERE e.answeredAt BETWEEN :from AND :until AND e.state = 'answered'
            ORDER BY e.answeredAt DESC LIMIT :most`,
}

/** What we take ourselves for a step, in our working days, where enough of it has been done. */
export function ourCurves(deps: Deps): Promise<Partial<Record<Step['what'], Curve>>> {
  const today = curvesOfToday(deps)
  today.ours ??= readOurs(deps).catch((error) => {
    today.ours = undefined
    throw error
  })
  return today.ours
}

/** For which share of futures a day stands by what became of those that were said in the last year. */
export function levelsOfToday(deps: Deps): Promise<Levels> {
  const today = curvesOfToday(deps)
  today.levels ??= readLevels(deps).catch((error) => {
    today.levels = undefined
    throw error
  })
  return today.levels
}

async function readLevels({ clock }: Deps): Promise<Levels> {
  const since = clock.today().subtract({ years: 1 }).toString()
  // What has become ready today is known tomorrow, like everything else here.
  return levelsFrom((await pastForecasts(since)).map(outlookOf), dayNumber(clock.today()) - 1)
}

async function readOurs(deps: Deps): Promise<Partial<Record<Step['what'], Curve>>> {
  const until = startOfDay(deps)
  const first = deps.clock.today().subtract({ years: yearsBack })
  const { timeZone } = deps.organisation
  const from = beginOf(first, timeZone)
  const table = workingDayTable(first, ownCalendar(deps))
  const curves: Partial<Record<Step['what'], Curve>> = {}
  for (const [what, sql] of Object.entries(doneByUs)) {
    const rows = await deps.sequelize.query<Row>(sql, {
      replacements: { until, from, most },
      type: QueryTypes.SELECT,
    })
    const waits = rows.map(({ since, ended }) => ({
      days: workingDaysBetween(table, daysFrom(first, since, timeZone), daysFrom(first, ended ?? until, timeZone)),
      ended: ended !== null,
    }))
    if (waits.filter(({ ended }) => ended).length >= fewest) curves[what as Step['what']] = kaplanMeier(waits)
  }
  return curves
}

const daysFrom = (first: Temporal.PlainDate, moment: Date | string, timeZone: string): number =>
  first.until(dayAt(new Date(moment), timeZone), { largestUnit: 'day' }).days
