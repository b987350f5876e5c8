import { useState } from 'react'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { isActive } from '#core/hiring/stages'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'

type Props = { file: File; check: File['checks'][number] }

/** Earlier results of a check, and leave to sit it again after it was not passed. */
export function Resit({ file, check }: Props) {
  const { may } = useSession()
  const [asking, setAsking] = useState(false)
  const failed = check.state === 'marked' && !check.passed
  const active = isActive(file)
  const mayAllow = failed && !check.resit && check.attempt < check.attempts && active && may('allowResit')
  useKeys({ r: mayAllow ? () => setAsking(true) : undefined })
  return (
    <>
      {check.earlier.length > 0 && (
        <p className="mt-1 text-ink-2">
          {say('proof.before')}{' '}
          {check.earlier
            .map(({ percent, finishedAt }) => say('proof.percentOn', { percent, day: writeDayOf(finishedAt) }))
            .join(', ')}
          .
        </p>
      )}
      {check.resit && (
        <p className="mt-1">
          {say('proof.mayBeSatAgainFrom', { notBefore: writeWhen(check.resit.notBefore), by: check.resit.by })}
        </p>
      )}
      {failed && !check.resit && check.attempt >= check.attempts && (
        <p className="mt-1 text-ink-2">{say('proof.satTimesAsOftenAs', { attempts: check.attempts })}</p>
      )}
      {mayAllow && (
        <p className="mt-2">
          <Button letter="R" onClick={() => setAsking(true)}>
            {say('proof.letThemSitItAgain')}
          </Button>
        </p>
      )}
      {asking && <Allow file={file} check={check} onClose={() => setAsking(false)} />}
    </>
  )
}

function Allow({ file, check, onClose }: Props & { onClose: () => void }) {
  const [reason, setReason] = useState('')
  const { act, busy, problem } = useAct('allowResit')
  const toast = useToast()
  const allow = async () => {
    const done = await act({ params: { id: file.id }, body: { check: check.check, reason } })
    if (!done) return
    toast(say('proof.maySitItAgainFrom', { name: file.candidate.name, notBefore: writeWhen(done.notBefore) }))
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={say('proof.letSitItAgain', { name: file.candidate.name })}
      description={say('proof.attemptOfWithOtherQuestions', {
        attempt: check.attempt + 1,
        attempts: check.attempts,
        waitDays: check.waitDays,
      })}
    >
      <LongField
        label={say('proof.whyThisStaysOnRecord')}
        limit={1000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={faultAt(problem, 'reason')}
        data-first
      />
      <div className="mt-3 grid gap-2">
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div>
          <Button kind="main" busy={busy} disabled={!isReason(reason)} onClick={() => void allow()}>
            {say('proof.giveLeave')}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
