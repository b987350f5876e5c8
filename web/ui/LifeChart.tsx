import { useEffect, useId, useMemo, useRef, useState } from 'react'
import { writeDays, writeWhen } from '#core/dates/write'
import { say, spokenLanguage } from '#core/words/say'
import { Bar, Gap } from './LifeChartMarks'
import { LifeTable } from './LifeTable'
import { type LifeBar, type LifePaper, laneName, layOutLife } from './lifeChartLayout'
import { markWords } from './Mark'

const fills: Record<string, string> = {
  confirmed: 'var(--confirmed)',
  waived: 'var(--claimed)',
  asked: 'var(--asked)',
  evidenced: 'var(--evidenced)',
  contradicted: 'var(--contradicted)',
  claimed: 'var(--bar-claimed)',
  unconfirmable: 'var(--bar-claimed)',
  expiring: 'var(--soon)',
  lapsed: 'var(--contradicted)',
}
const darkText = new Set(['claimed', 'unconfirmable'])

type Props = {
  bars: readonly LifeBar[]
  papers?: readonly LifePaper[]
  today: string
  start?: string
  years: number
  toleratedGapDays: number
  /** What a bar or gap leads to, where it leads anywhere. */
  onChoose?: (id: string) => void
  onGap?: (from: string, through: string) => void
}

/** Room for the longest name of a lane. */
const labelWidths = { en: 44, de: 70 } as const
const laneHeight = 21
const top = 18

/** A person’s years on one axis: work, study, home and papers, gaps hatched, today and the start as lines. */
export function LifeChart({ bars, papers = [], today, start, years, toleratedGapDays, onChoose, onGap }: Props) {
  const holder = useRef<HTMLDivElement>(null)
  const pattern = useId()
  const [width, setWidth] = useState(300)
  const [asTable, setAsTable] = useState(false)
  useEffect(() => {
    const element = holder.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) => setWidth(Math.max(220, Math.floor(entry!.contentRect.width))))
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  const labelWidth = labelWidths[spokenLanguage() === 'de' ? 'de' : 'en']
  const plotWidth = width - labelWidth - 6
  const life = useMemo(
    () => layOutLife({ bars, papers, today, start, years, toleratedGapDays, width: plotWidth }),
    [bars, papers, today, start, years, toleratedGapDays, plotWidth],
  )
  const lanes = (['Work', 'Study', 'Home'] as const).filter(
    (lane) => lane === 'Work' || bars.some((bar) => bar.lane === lane),
  )
  const rowsOf = (lane: string) =>
    Math.max(1, ...life.bars.filter((bar) => bar.lane === lane).map(({ row }) => row + 1))
  const laneTop = new Map<string, number>()
  let y = top
  for (const lane of lanes) {
    laneTop.set(lane, y)
    y += rowsOf(lane) * laneHeight + 3
  }
  const papersTop = y
  const height = papersTop + (life.papers.length > 0 ? life.papers.length * 8 + 8 : 0) + 16

  return (
    <figure ref={holder} className="w-full min-w-0 overflow-hidden text-[0.8rem]">
      {/* biome-ignore lint/a11y/useSemanticElements: a drawing is no fieldset */}
      <svg
        width={width}
        height={height}
        aria-label={summaryOf(life)}
        role="group"
        className="block overflow-visible font-sans"
      >
        <defs>
          <pattern
            id={`${pattern}-gap`}
            width="5"
            height="5"
            patternTransform="rotate(45)"
            patternUnits="userSpaceOnUse"
          >
            <rect width="5" height="5" fill="var(--contradicted-wash)" />
            <rect width="1.8" height="5" fill="var(--contradicted)" />
          </pattern>
          <pattern
            id={`${pattern}-maybe`}
            width="6"
            height="6"
            patternTransform="rotate(45)"
            patternUnits="userSpaceOnUse"
          >
            <rect width="1.1" height="6" fill="var(--ink-3)" opacity="0.65" />
          </pattern>
        </defs>
        {lanes.map((lane) => (
          <text key={lane} x={0} y={laneTop.get(lane)! + 14} fill="var(--ink-2)">
            {laneName(lane)}
          </text>
        ))}
        {life.papers.length > 0 && (
          <text x={0} y={papersTop + 9} fill="var(--ink-2)">
            {say('ui.papers')}
          </text>
        )}
        <g transform={`translate(${labelWidth} 0)`}>
          {life.years.map(({ x, year }) => (
            <g key={year}>
              <line x1={x} x2={x} y1={top - 2} y2={height - 14} stroke="var(--line)" />
              <text x={x} y={11} textAnchor="middle" fill="var(--ink-3)" className="font-mono text-[0.7333rem]">
                {x > 12 && x < plotWidth - 12 ? year : ''}
              </text>
            </g>
          ))}
          {life.bars.map((bar) => (
            <Bar
              key={bar.id}
              x={bar.x}
              y={laneTop.get(bar.lane)! + bar.row * laneHeight}
              width={bar.width}
              height={17}
              fill={fills[bar.rung] ?? fills.claimed!}
              dark={darkText.has(bar.rung)}
              label={bar.label}
              title={say('ui.labelFromToToRung', {
                label: bar.label,
                from: writeWhen(bar.from),
                to: bar.to === 'present' ? say('ui.now') : writeWhen(bar.to),
                rung: markWords(bar.rung),
              })}
              onChoose={onChoose && (() => onChoose(bar.id))}
            />
          ))}
          {life.gaps.map((gap) => (
            <Gap
              key={gap.from}
              gap={gap}
              y={laneTop.get('Work')!}
              fill={`url(#${pattern}-${gap.certain ? 'gap' : 'maybe'})`}
              onChoose={onGap && gap.certain ? () => onGap(gap.from, gap.through) : undefined}
              plotWidth={plotWidth}
            />
          ))}
          {life.papers.map((paper) => (
            <g key={paper.id}>
              <Bar
                x={paper.x}
                y={papersTop + paper.row * 8 + 2}
                width={paper.width}
                height={5}
                fill={fills[paper.state] ?? fills.claimed!}
                dark
                label=""
                title={say('ui.labelFromToThrough', {
                  label: paper.label,
                  from: paper.from ? `${writeWhen(paper.from)} ` : '',
                  through: writeWhen(paper.through),
                })}
                onChoose={onChoose && (() => onChoose(paper.id))}
              />
            </g>
          ))}
          <line x1={life.today} x2={life.today} y1={top - 4} y2={height - 14} stroke="var(--ink)" strokeWidth="1.4" />
          <text
            x={life.today}
            y={height - 3}
            textAnchor={life.start !== undefined && life.start - life.today < 44 ? 'end' : 'middle'}
            fill="var(--ink)"
            className="font-semibold"
          >
            {say('ui.today')}
          </text>
          {life.start !== undefined && (
            <>
              <line
                x1={life.start}
                x2={life.start}
                y1={top - 4}
                y2={height - 14}
                stroke="var(--confirmed)"
                strokeWidth="1.6"
                strokeDasharray="3 2.5"
              />
              <text
                x={life.start + (life.start - life.today < 44 ? 2 : 0)}
                y={height - 3}
                textAnchor={life.start - life.today < 44 ? 'start' : 'middle'}
                fill="var(--confirmed)"
                className="font-semibold"
              >
                {say('ui.start')}
              </text>
            </>
          )}
        </g>
      </svg>
      <button
        type="button"
        onClick={() => setAsTable(!asTable)}
        aria-expanded={asTable}
        className={asTable ? 'text-confirmed underline' : 'sr-only focus:not-sr-only'}
      >
        {asTable ? say('ui.hideTheTable') : say('ui.showAsATable')}
      </button>
      <div className={asTable ? 'mt-1 overflow-x-auto' : 'sr-only'}>
        <LifeTable bars={bars} papers={papers} gaps={life.gaps} />
      </div>
    </figure>
  )
}

function summaryOf({ gaps, bars, papers }: ReturnType<typeof layOutLife>): string {
  const certain = gaps.filter((gap) => gap.certain)
  const gapWords =
    certain.length === 0
      ? say('ui.noGap')
      : certain.map(({ days }) => say('ui.aGapOf', { days: writeDays(days) })).join(', ')
  return say('ui.lifeChartEntriesPapers', { count: bars.length, count2: papers.length, gapWords })
}
