import { lazy, Suspense } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { type Figure, type StatisticsFilter, type StatisticsSection, statisticsSections } from '#contract/statistics'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { SelectField } from '../../ui/Field'
import { Waiting } from '../../ui/Waiting'
import { FileLink } from '../FileLink'
import { Overview, Table } from '../overviews/Overview'
import { writeCell } from './points'

const FigureChart = lazy(() => import('./FigureChart').then((room) => ({ default: room.FigureChart })))

/** A longer table is opened by whoever wants it: its figure is drawn above it. */
const mostRowsShown = 24

const day = /^\d{4}-\d{2}-\d{2}$/

/** How the work goes, in numbers: a part at a time, by vacancy and days, each as a chart and a table. */
export function StatisticsPage() {
  const { section: named } = useParams()
  const section = statisticsSections.find((one) => one === named) ?? 'turnaround'
  const [search, setSearch] = useSearchParams()
  const filter: StatisticsFilter = Object.fromEntries(
    (['vacancy', 'from', 'to'] as const).flatMap((key) => (search.get(key) ? [[key, search.get(key)]] : [])),
  )
  const { data, error, refetch } = api.endpoints.readStatistics.useQuery({ params: { section }, query: filter })
  const set = (key: keyof StatisticsFilter, value: string) => {
    const next = new URLSearchParams(search)
    if (value) next.set(key, value)
    else next.delete(key)
    setSearch(next, { replace: true })
  }
  return (
    <Overview title={say('statistics.title')} about={say('statistics.about')}>
      <nav
        aria-label={say('statistics.title')}
        className="mb-3 flex flex-wrap gap-x-4 gap-y-1 border-line border-b print:hidden"
      >
        {statisticsSections.map((one) => (
          <Link
            key={one}
            to={{ pathname: `/desk/statistics/${one}`, search: search.toString() }}
            aria-current={one === section ? 'page' : undefined}
            className={`pb-1.5 font-semibold ${one === section ? 'border-confirmed border-b-2' : 'text-ink-2'}`}
          >
            {say(`statistics.section.${one}`)}
          </Link>
        ))}
      </nav>
      <div className="mb-4 flex flex-wrap items-end gap-3 print:hidden">
        <SelectField
          label={say('statistics.vacancy')}
          value={filter.vacancy ?? ''}
          onChange={({ target }) => set('vacancy', target.value)}
          options={[
            { value: '', label: say('statistics.all') },
            ...(data?.vacancies ?? []).map(({ id, title }) => ({ value: id, label: title })),
          ]}
        />
        <div className="w-40">
          <DateField
            label={say('statistics.from')}
            value={data?.from ?? filter.from ?? ''}
            onChange={(value) => (value === '' || day.test(value)) && set('from', value)}
          />
        </div>
        <div className="w-40">
          <DateField
            label={say('statistics.to')}
            value={data?.to ?? filter.to ?? ''}
            onChange={(value) => (value === '' || day.test(value)) && set('to', value)}
          />
        </div>
        <Button onClick={() => window.print()}>{say('statistics.print')}</Button>
      </div>
      {data ? (
        data.figures.map((figure) => (
          <FigureSection key={figure.key} figure={figure} section={section} filter={filter} />
        ))
      ) : (
        <Waiting error={error} onRetry={refetch} />
      )}
    </Overview>
  )
}

type Props = { figure: Figure; section: StatisticsSection; filter: StatisticsFilter }

function FigureSection({ figure, section, filter }: Props) {
  const { key, columns, rows, notes, chart } = figure
  const title = say(`statistics.figure.${key}`)
  const table = (
    <Table
      rows={rows.map((row) => ({ row }))}
      keyOf={({ row }) => row.join(' ')}
      empty={say('statistics.nothing')}
      columns={columns.map(({ key: column, as }, place) => ({
        name: say(`statistics.column.${column}`),
        of: ({ row }: { row: Figure['rows'][number] }) => writeCell(row[place] ?? null, as),
        right: as !== 'text' && as !== 'month',
      }))}
    />
  )
  return (
    <section aria-label={title} className="mb-7 max-w-[70rem] break-inside-avoid">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-[1.1333rem]">{title}</h2>
        {rows.length > 0 && (
          <span className="print:hidden">
            <FileLink address={addressOf('downloadStatistics', { params: { section, figure: key }, query: filter })}>
              {say('desk.asCsv')}
            </FileLink>
          </span>
        )}
      </div>
      {notes.map((note) => (
        <p key={note} className="text-ink-2">
          {note}
        </p>
      ))}
      {chart && rows.length > 0 && (
        <figure className="m-0 mt-2" aria-label={say('statistics.chartOf', { figure: title })}>
          <Suspense fallback={<div className="h-[240px]" />}>
            <FigureChart figure={figure} />
          </Suspense>
        </figure>
      )}
      {rows.length > mostRowsShown ? (
        <details className="mt-1">
          <summary className="cursor-pointer font-semibold text-confirmed">{say('statistics.asTable')}</summary>
          {table}
        </details>
      ) : (
        table
      )}
    </section>
  )
}
