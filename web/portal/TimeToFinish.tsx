import { useState } from 'react'
import type { CompletionLeft } from '#contract/applications'
import { writeWhen } from '#core/dates/write'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { LongField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'

type Props = { id: string; completion: NonNullable<CompletionLeft> }

/** By when it has to be finished, and one more stretch of days; or that it was set aside, and taking it up again. */
export function TimeToFinish({ id, completion }: Props) {
  const { endsOn, setAside, paysFirst, extraDays } = completion
  const extend = useAct('extendTime')
  const restore = useAct('restoreApplication')
  const [reason, setReason] = useState<string>()
  if (setAside)
    return (
      <div className="my-3 grid justify-items-start gap-2 rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink">
        <p>{say('completion.setAside', { day: writeWhen(endsOn) })}</p>
        {paysFirst ? (
          <p className="font-semibold">{say('completion.oncePaid')}</p>
        ) : (
          <Button kind="main" busy={restore.busy} onClick={() => void restore.act({ params: { id } })}>
            {say('completion.takeUpAgain')}
          </Button>
        )}
        <ProblemNote problem={restore.problem} />
      </div>
    )
  const send = async () => {
    if (await extend.act({ params: { id }, body: { reason: reason ?? '' } })) setReason(undefined)
  }
  return (
    <div className="my-2 text-[0.93em] text-soon-ink">
      <p>
        {say('completion.endsOn', { day: writeWhen(endsOn) })}{' '}
        {extraDays > 0 && reason === undefined && (
          <button type="button" className="font-semibold text-confirmed" onClick={() => setReason('')}>
            {say('completion.moreTime', { count: extraDays })}
          </button>
        )}
      </p>
      {reason !== undefined && (
        <div className="mt-2 grid max-w-[460px] justify-items-start gap-2 text-ink">
          <LongField
            label={say('completion.why', { count: extraDays })}
            limit={1000}
            value={reason}
            onChange={({ target }) => setReason(target.value)}
            error={faultAt(extend.problem, 'reason')}
          />
          <ProblemNote problem={extend.problem?.faults ? undefined : extend.problem} />
          <div className="flex gap-2">
            <Button kind="main" busy={extend.busy} disabled={!isReason(reason)} onClick={() => void send()}>
              {say('completion.extend')}
            </Button>
            <Button kind="quiet" onClick={() => setReason(undefined)}>
              {say('apply.cancel')}
            </Button>
          </div>
        </div>
      )}
    </div>
  )
}
