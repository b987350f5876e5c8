import { lazy, Suspense } from 'react'
import type { Turnaround as Curve } from '#contract/turnaround'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'

const TurnaroundChart = lazy(() => import('./TurnaroundChart').then((room) => ({ default: room.TurnaroundChart })))

/** How long a source takes to answer: in a sentence, as a curve with its band, and as tables. */
export function Turnaround({ sourceId }: { sourceId: string }) {
  const { data } = api.endpoints.readTurnaround.useQuery({ params: { id: sourceId } })
  if (!data || (data.whole.own.ended === 0 && data.whole.own.open === 0 && data.whole.steps.length === 0)) return null
  const { whole, recent, before, since } = data
  const periods = [
    [say('sources.turnaround.recent', { day: writeWhen(since) }), recent],
    [say('sources.turnaround.before'), before],
    [say('sources.turnaround.whole'), whole],
  ] as const
  return (
    <section className="mt-5" aria-label={say('sources.turnaround.title')}>
      <h2 className="mb-1 text-[1.1333rem]">{say('sources.turnaround.title')}</h2>
      <p className="font-semibold">{sentenceOf(whole)}</p>
      <p className="mb-2 text-ink-2">
        {say('sources.turnaround.rests', whole.own)}{' '}
        {whole.beside && say(`sources.turnaround.beside.${whole.beside.scope}`, whole.beside)}
      </p>
      {whole.steps.length > 0 && (
        <Suspense fallback={<div className="h-[240px]" />}>
          <TurnaroundChart steps={whole.steps} />
        </Suspense>
      )}
      <table className="mt-2 w-full text-left text-[0.93em]">
        <thead>
          <tr className="border-line border-b text-ink-2">
            {(['period', 'median', 'eighty', 'answered', 'unanswered'] as const).map((column) => (
              <th key={column} scope="col" className="py-1 pr-3 font-semibold">
                {say(`sources.turnaround.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {periods.map(([name, { median, eighty, own }]) => (
            <tr key={name} className="border-line border-b last:border-0">
              <th scope="row" className="py-1 pr-3 font-semibold">
                {name}
              </th>
              <td className="pr-3">{daysOf(median?.day)}</td>
              <td className="pr-3">{daysOf(eighty)}</td>
              <td className="pr-3">{own.ended}</td>
              <td>{own.open}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {whole.steps.length > 0 && <Steps steps={whole.steps} />}
    </section>
  )
}

const daysOf = (days: number | null | undefined) =>
  days === null || days === undefined ? '—' : say('sources.turnaround.days', { count: days })

function sentenceOf({ median, eighty }: Curve): string {
  if (!median) return say('sources.turnaround.unknown')
  const { day: count, from, to } = median
  const half =
    from !== null && to !== null && from !== to
      ? say('sources.turnaround.halfBetween', { count, from, to })
      : say('sources.turnaround.half', { count })
  return eighty === null ? half : `${half} ${say('sources.turnaround.most', { count: eighty })}`
}

const percent = (share: number) => Math.round(share * 100)

const Steps = ({ steps }: Pick<Curve, 'steps'>) => (
  <details className="mt-2">
    <summary className="cursor-pointer font-semibold text-ink-2">{say('sources.turnaround.asTable')}</summary>
    <table className="mt-1 text-left text-[0.93em]">
      <thead>
        <tr className="text-ink-2">
          {(['day', 'atRisk', 'share', 'interval'] as const).map((column) => (
            <th key={column} scope="col" className="py-0.5 pr-6 font-semibold">
              {say(`sources.turnaround.${column}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {steps.map(({ day, atRisk, waits, low, high }) => (
          <tr key={day} className="font-mono">
            <th scope="row" className="pr-6 font-normal">
              {day}
            </th>
            <td className="pr-6">{Math.round(atRisk * 10) / 10}</td>
            <td className="pr-6">{percent(waits)} %</td>
            <td>{say('sources.turnaround.percent', { low: percent(low), high: percent(high) })}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </details>
)
