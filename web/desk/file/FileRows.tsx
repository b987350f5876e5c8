import { Flag } from 'lucide-react'
import { say } from '#core/words/say'
import { Mark } from '../../ui/Mark'
import type { Group, Row } from './rows'

/** The claims by group; the chosen one has its proof on the right. */
export function FileRows({
  groups,
  current,
  onChoose,
}: {
  groups: readonly Group[]
  current?: string
  onChoose: (key: string) => void
}) {
  return (
    <div>
      {groups.map(({ title, note, rows }) => (
        <section key={title} aria-label={title}>
          <div className="flex justify-between border-line border-b bg-sheet-2 px-4 py-[3px] text-[0.8333rem]">
            <h3 className="font-semibold">{title}</h3>
            <span className="text-ink-2">{note}</span>
          </div>
          {rows.map((row) => (
            <Line key={row.key} row={row} chosen={row.key === current} onChoose={() => onChoose(row.key)} />
          ))}
        </section>
      ))}
    </div>
  )
}

const tones = { plain: '', care: 'text-soon-ink font-semibold', grave: 'text-contradicted font-semibold' }

function Line({ row, chosen, onChoose }: { row: Row; chosen: boolean; onChoose: () => void }) {
  return (
    <div className={`border-line border-b ${chosen ? 'bg-confirmed-wash' : 'hover:bg-sheet-2'}`}>
      <button
        type="button"
        data-claim={row.key}
        onClick={onChoose}
        aria-current={chosen ? 'true' : undefined}
        className="grid w-full grid-cols-[20px_minmax(0,1fr)_124px_96px] items-baseline gap-x-1.5 px-4 py-[5px] text-left"
      >
        <span className="self-center">
          <Mark name={row.mark} />
        </span>
        <span className="min-w-0">
          <span className="line-clamp-2" title={`${row.title}, ${row.detail}`}>
            {row.of === 'claim' && row.claim.flags > 0 && (
              <Flag size={13} aria-label={say('flags.onClaim')} className="mr-1 inline text-contradicted" />
            )}
            {row.title} <span className="text-[0.8333rem] text-ink-2">{row.detail}</span>
          </span>
          {row.note && <span className="block font-semibold text-[0.8333rem] text-soon-ink">{row.note}</span>}
        </span>
        <span className="truncate text-[0.8333rem] text-ink-2" title={row.wants}>
          {row.wants}
        </span>
        <span className={`whitespace-nowrap text-right text-[0.8333rem] ${tones[row.tone]}`}>{row.when}</span>
      </button>
    </div>
  )
}
