import { writeDays, writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import type { layOutLife } from './lifeChartLayout'

/** What makes a drawn thing a button, where it leads anywhere. */
const actsOf = (onChoose: (() => void) | undefined) =>
  onChoose
    ? {
        role: 'button',
        tabIndex: 0,
        onClick: onChoose,
        onKeyDown: (event: React.KeyboardEvent) => (event.key === 'Enter' || event.key === ' ') && onChoose(),
        className: 'cursor-pointer',
      }
    : { role: 'img' }

type Box = {
  x: number
  y: number
  width: number
  height: number
  fill: string
  dark: boolean
  label: string
  title: string
  onChoose?: () => void
}

/** An entry or a paper; its label is cut to the room it has. */
export function Bar({ x, y, width, height, fill, dark, label, title, onChoose }: Box) {
  const room = Math.floor((width - 10) / 6.1)
  const shown = label.length <= room ? label : room > 4 ? `${label.slice(0, room - 1)}…` : ''
  const acts = actsOf(onChoose)
  return (
    <g aria-label={title} {...acts}>
      <title>{title}</title>
      <rect x={x} y={y} width={width} height={height} rx={height > 8 ? 2.5 : 1.5} fill={fill} />
      {shown && (
        <text
          x={x + 5}
          y={y + 12.5}
          fill={dark ? 'var(--ink)' : 'var(--on-bar)'}
          className="pointer-events-none text-[0.7667rem]"
        >
          {shown}
        </text>
      )}
    </g>
  )
}

type GapProps = {
  gap: ReturnType<typeof layOutLife>['gaps'][number]
  y: number
  fill: string
  plotWidth: number
  onChoose?: () => void
}

/** Days that nothing covers, with how many. */
export function Gap({ gap, y, fill, plotWidth, onChoose }: GapProps) {
  const title = say('ui.gapOf', {
    gap: say(gap.certain ? 'ui.gap2' : 'ui.possibleGap2'),
    days: writeDays(gap.days),
    from: writeWhen(gap.from),
    through: writeWhen(gap.through),
  })
  const acts = actsOf(onChoose)
  const middle = gap.x + gap.width / 2
  const edge = Math.min(plotWidth - 18, Math.max(18, middle))
  return (
    <g aria-label={title} {...acts}>
      <title>{title}</title>
      <rect
        x={gap.x}
        y={y}
        width={gap.width}
        height={17}
        fill={fill}
        stroke={gap.certain ? 'var(--contradicted)' : 'none'}
        strokeWidth="0.8"
      />
      {gap.certain && (
        <text
          x={edge}
          y={y + 28}
          textAnchor="middle"
          fill="var(--contradicted)"
          className="pointer-events-none font-semibold text-[0.7667rem]"
          style={{ paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 3 }}
        >
          {say('ui.daysShort', { days: gap.days })}
        </text>
      )}
    </g>
  )
}
