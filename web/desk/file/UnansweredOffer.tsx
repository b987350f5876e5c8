import { useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeMoney } from '../../ui/write'
import { useAct } from '../../useAct'
import { useCurrency } from '../../useCurrency'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'

const daysMore = 7

/** An offer that nobody has answered yet, in time or not: more time can be given, or it is taken back. */
export function UnansweredOffer({ file, onDone }: { file: File; onDone: () => void }) {
  const currency = useCurrency()
  const { may } = useSession()
  const [doing, setDoing] = useState<'extend' | 'withdraw'>()
  const { offer } = file
  if (!offer || offer.answer !== null) return null
  const expired = offer.answerBy < file.today
  return (
    <section className="mb-4 rounded-sheet border border-line bg-sheet-2 p-3" aria-label={say('file.theOffer')}>
      <p className={expired ? 'text-contradicted' : ''}>
        {say('file.aYearFrom', { salary: writeMoney(offer.salary, currency), startsOn: writeWhen(offer.startsOn) })}{' '}
        <strong>
          {expired
            ? say('file.itWasToBeAnswered', { answerBy: writeWhen(offer.answerBy) })
            : say('file.itAwaitsAnAnswerUntil', { answerBy: writeWhen(offer.answerBy) })}
        </strong>
      </p>
      {!doing && may('extendOffer') && (
        <p className="mt-2 flex gap-2">
          <Button kind={expired ? 'main' : 'plain'} onClick={() => setDoing('extend')}>
            {say('file.giveMoreTime')}
          </Button>
          <Button kind="grave" onClick={() => setDoing('withdraw')}>
            {say('file.withdrawTheOffer')}
          </Button>
        </p>
      )}
      {!may('extendOffer') && expired && <p className="mt-1 text-ink-2">{say('file.aHiringManagerCanGive')}</p>}
      {doing === 'extend' && <Extend file={file} onClose={() => setDoing(undefined)} />}
      {doing === 'withdraw' && <Withdraw file={file} onClose={() => setDoing(undefined)} onDone={onDone} />}
    </section>
  )
}

function Extend({ file, onClose }: { file: File; onClose: () => void }) {
  const { act, busy, problem } = useAct('extendOffer')
  const toast = useToast()
  const [answerBy, setAnswerBy] = useState(Temporal.PlainDate.from(file.today).add({ days: daysMore }).toString())
  const extend = async () => {
    if (!(await act({ params: { id: file.id }, body: { answerBy } }))) return
    toast(say('file.hasUntil', { name: file.candidate.name, answerBy: writeWhen(answerBy) }))
    onClose()
  }
  return (
    <div className="mt-2 grid gap-2">
      <DateField
        label={say('file.toBeAnsweredBy')}
        value={answerBy}
        onChange={setAnswerBy}
        error={faultAt(problem, 'answerBy')}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex gap-2">
        <Button kind="main" busy={busy} disabled={answerBy === ''} onClick={() => void extend()}>
          {say('file.giveMoreTime')}
        </Button>
        <Button kind="quiet" onClick={onClose}>
          {say('file.cancel')}
        </Button>
      </div>
    </div>
  )
}

function Withdraw({ file, onClose, onDone }: { file: File; onClose: () => void; onDone: () => void }) {
  const { act, busy, problem } = useAct('withdrawOffer')
  const toast = useToast()
  const [reason, setReason] = useState('')
  const withdraw = async () => {
    if (!(await act({ params: { id: file.id }, body: { reason } }))) return
    toast(say('file.theOfferIsWithdrawnAnother'))
    onDone()
  }
  return (
    <div className="mt-2 grid gap-2">
      <LongField
        label={say('file.whyThisStaysOnRecordThe')}
        value={reason}
        limit={1000}
        onChange={(event) => setReason(event.target.value)}
        error={faultAt(problem, 'reason')}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex gap-2">
        <Button kind="grave" busy={busy} disabled={!isReason(reason)} onClick={() => void withdraw()}>
          {say('file.withdrawTheOffer')}
        </Button>
        <Button kind="quiet" onClick={onClose}>
          {say('file.cancel')}
        </Button>
      </div>
    </div>
  )
}
