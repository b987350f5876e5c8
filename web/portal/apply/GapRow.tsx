import { writeDays, writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'

type Props = { gap: { from: string; through: string; days: number }; question: string; onFill: () => void }

/** A stretch nothing is said about, and the way to say it. */
export function GapRow({ gap, question, onFill }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-3 rounded-sheet border border-contradicted/50 bg-contradicted-wash px-4 py-2.5">
      <p className="flex-1">
        <strong className="text-contradicted">
          {say('apply.toMissing', {
            from: writeWhen(gap.from),
            through: writeWhen(gap.through),
            days: writeDays(gap.days),
          })}
        </strong>{' '}
        {question}
      </p>
      <Button onClick={onFill}>{say('apply.fillThisGap')}</Button>
    </div>
  )
}
