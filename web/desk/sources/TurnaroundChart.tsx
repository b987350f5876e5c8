import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import type { Turnaround } from '#contract/turnaround'
import { say } from '#core/words/say'

const ticks = [0, 25, 50, 75, 100]

/** The share that still waits, as steps with their band, and beneath the axis how many that rests on. */
export function TurnaroundChart({ steps }: Pick<Turnaround, 'steps'>) {
  const first = { day: 0, atRisk: steps[0]!.atRisk, waits: 100, band: [100, 100] }
  const points = steps.map(({ day, atRisk, waits, low, high }) => ({
    ...{ day, atRisk, waits: waits * 100, band: [low * 100, high * 100] },
  }))
  const last = steps.at(-1)!.day
  const days = [0, 0.25, 0.5, 0.75, 1].map((share) => Math.round(share * last))
  const atRisk = (day: number) => Math.round(steps.find((step) => step.day >= day)?.atRisk ?? 0)
  return (
    <figure className="m-0" aria-label={say('sources.turnaround.chart')}>
      <div className="h-[240px]" aria-hidden>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            accessibilityLayer={false}
            data={[first, ...points]}
            margin={{ top: 8, right: 16, bottom: 4, left: 0 }}
          >
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="day"
              type="number"
              domain={[0, last]}
              ticks={[...new Set(days)]}
              stroke="var(--ink-2)"
              fontSize={12}
            />
            <YAxis ticks={ticks} domain={[0, 100]} unit=" %" width={48} stroke="var(--ink-2)" fontSize={12} />
            <Area
              dataKey="band"
              type="stepAfter"
              stroke="none"
              fill="var(--asked)"
              fillOpacity={0.18}
              isAnimationActive={false}
            />
            <Line
              dataKey="waits"
              type="stepAfter"
              stroke="var(--asked)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-[0.87em] text-ink-2">
        {say('sources.turnaround.chart')}. {say('sources.turnaround.atRisk')}:{' '}
        {[...new Set(days)].map((day) => `${day}: ${atRisk(day)}`).join(' · ')}
      </figcaption>
    </figure>
  )
}
