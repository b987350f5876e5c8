import { stringify } from 'csv-stringify/sync'
import type { Figure, FigureKey, StatisticsFilter, StatisticsSection } from '#contract/statistics'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { allVacancies } from '../records/vacancies/vacancies'
import { calibration } from './calibration'
import { type Period, periodOf } from './filter'
import { origins } from './origins'
import { promises } from './promises'
import { redFlags } from './redFlags'
import { stageTimes } from './stages'
import { team } from './team'
import { turnaround } from './turnaround'

const figuresOf: Record<StatisticsSection, (deps: Deps, period: Period) => Promise<Figure[]>> = {
  ...{ turnaround, calibration, 'red-flags': redFlags, origins, stages: stageTimes, team, promises },
}

/** The figures of a section, over a period and all vacancies or one. */
export async function readStatistics(deps: Deps, section: StatisticsSection, filter: StatisticsFilter) {
  const period = periodOf(deps, filter)
  const [figures, vacancies] = await Promise.all([figuresOf[section](deps, period), allVacancies()])
  return {
    ...{ from: period.from, to: period.to, figures },
    vacancies: vacancies.map(({ id, title }) => ({ id, title })),
  }
}

type Chosen = { section: StatisticsSection; figure: FigureKey }

/** One of them as CSV, with what it is filtered by in its name. */
export async function downloadStatistics(
  deps: Deps,
  { section, figure: key }: Chosen,
  filter: StatisticsFilter,
): Promise<FileToKeep> {
  const { figures, from, to } = await readStatistics(deps, section, filter)
  const figure = figures.find((one) => one.key === key)
  if (!figure) throw notFound()
  const header = figure.columns.map((column) => say(`statistics.column.${column.key}`))
  return {
    fileName: `${say(`statistics.figure.${key}`)} ${from} ${to}.csv`,
    mediaType: 'text/csv; charset=utf-8',
    // A cell that begins like a formula is not one (CWE-1236).
    body: Buffer.from(
      stringify([header, ...figure.rows], { bom: true, record_delimiter: 'windows', escape_formulas: true }),
    ),
  }
}
