import {
  Area,
  Bar,
  BarChart,
  CartesianGrid,
  ComposedChart,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts'
import type { ColumnKey, Figure } from '#contract/statistics'
import { say } from '#core/words/say'
import { type Point, pointsOf } from './points'

/** In the order of series, with what each means where they do: settled, care, wrong, and what only is. */
const colours = ['var(--asked)', 'var(--confirmed)', 'var(--soon)', 'var(--evidenced)']
const meaning: Partial<Record<ColumnKey, string>> = {
  ...{
    kept: 'var(--confirmed)',
    inTime: 'var(--confirmed)',
    movedOn: 'var(--confirmed)',
    upheld: 'var(--contradicted)',
  },
  ...{
    late: 'var(--contradicted)',
    lost: 'var(--contradicted)',
    dismissed: 'var(--claimed)',
    openFlags: 'var(--soon)',
  },
  ...{ waiting: 'var(--claimed)', still: 'var(--claimed)', held80: 'var(--confirmed)' },
}
const colourOf = (key: ColumnKey, nth: number) => meaning[key] ?? colours[nth % colours.length]!

const nameOf = (key: ColumnKey) =>
  key === 'held50' ? '50 %' : key === 'held80' ? '80 %' : say(`statistics.column.${key}`)
const axis = { stroke: 'var(--ink-2)', fontSize: 12 } as const
const margin = { top: 8, right: 16, bottom: 4, left: 0 }

/** A figure drawn; its numbers stand in the table beside it, which is what is read out. */
export function FigureChart({ figure }: { figure: Figure }) {
  const { chart } = figure
  if (!chart) return null
  const points = pointsOf(figure)
  const percent = figure.columns.some(({ key, as }) => chart.series.includes(key) && as === 'percent')
  const values = percent ? { domain: [0, 100], unit: ' %' } : { allowDecimals: false }
  const legend = chart.series.length > 1 && (
    <Legend itemSorter={null} verticalAlign="top" align="left" wrapperStyle={{ fontSize: 12, paddingBottom: 10 }} />
  )
  const grid = <CartesianGrid stroke="var(--line)" vertical={false} />
  switch (chart.kind) {
    case 'steps':
      return (
        <Drawn>
          <ComposedChart accessibilityLayer={false} data={points} margin={{ ...margin, bottom: 18 }}>
            {grid}
            <XAxis
              label={{ value: say('statistics.column.day'), position: 'bottom', offset: 0, fontSize: 12 }}
              dataKey="at"
              type="number"
              domain={[0, 'dataMax']}
              {...axis}
            />
            <YAxis width={48} {...values} {...axis} />
            {chart.band && (
              <Area
                dataKey={bandOf(chart.band)}
                type="stepAfter"
                stroke="none"
                fill={colours[0]}
                fillOpacity={0.18}
                isAnimationActive={false}
              />
            )}
            {chart.series.map((key, nth) => (
              <Line
                key={key}
                dataKey={key}
                name={nameOf(key)}
                type="stepAfter"
                stroke={colourOf(key, nth)}
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
            ))}
          </ComposedChart>
        </Drawn>
      )
    case 'lines':
      return (
        <Drawn>
          <LineChart accessibilityLayer={false} data={points} margin={margin}>
            {grid}
            <XAxis dataKey="at" {...axis} />
            <YAxis width={48} {...values} {...axis} />
            {chart.series.includes('held50') && (
              <ReferenceLine y={50} stroke={colourOf('held50', 0)} strokeDasharray="4 4" />
            )}
            {chart.series.includes('held80') && (
              <ReferenceLine y={80} stroke={colourOf('held80', 1)} strokeDasharray="4 4" />
            )}
            {chart.series.map((key, nth) => (
              <Line
                key={key}
                dataKey={key}
                name={nameOf(key)}
                stroke={colourOf(key, nth)}
                strokeWidth={2}
                connectNulls
                isAnimationActive={false}
              />
            ))}
            {legend}
          </LineChart>
        </Drawn>
      )
    case 'bars':
    case 'stacked': {
      // Months go from left to right; what is called something is written out beside its bar.
      const named = figure.columns[0]!.as === 'text'
      const stackId = chart.kind === 'stacked' ? 'all' : undefined
      const each = stackId ? 30 : 12 + 12 * chart.series.length
      return (
        <Drawn height={named ? 64 + each * points.length : 240}>
          <BarChart accessibilityLayer={false} data={points} margin={margin} layout={named ? 'vertical' : 'horizontal'}>
            <CartesianGrid stroke="var(--line)" vertical={named} horizontal={!named} />
            {named ? (
              <>
                <XAxis type="number" {...values} {...axis} />
                <YAxis type="category" dataKey="at" width={200} interval={0} {...axis} />
              </>
            ) : (
              <>
                <XAxis dataKey="at" {...axis} />
                <YAxis width={48} {...values} {...axis} />
              </>
            )}
            {chart.series.map((key, nth) => (
              <Bar
                key={key}
                dataKey={key}
                name={nameOf(key)}
                fill={colourOf(key, nth)}
                stackId={stackId}
                maxBarSize={36}
                isAnimationActive={false}
              />
            ))}
            {legend}
          </BarChart>
        </Drawn>
      )
    }
  }
}

const bandOf =
  ([low, high]: readonly ColumnKey[]) =>
  (point: Point) => [point[low!], point[high!]]

function Drawn({ children, height = 240 }: { children: React.ReactElement; height?: number }) {
  return (
    <div className="max-w-[60rem]" style={{ height }} aria-hidden>
      <ResponsiveContainer width="100%" height="100%">
        {children}
      </ResponsiveContainer>
    </div>
  )
}
