import { useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import type { ReopenedPart } from '#contract/applications'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { isActive, isDraft } from '#core/hiring/stages'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { More } from './More'

const stateWords: Record<ReopenedPart['state'], string> = {
  open: say('file.notChangedYet'),
  changed: say('file.changed'),
  seen: say('file.changedNoted'),
  'called off': say('file.calledOff2'),
}

/** What differs from what was sent, and the way to ask for one more change. */
export function Reopened({ file }: { file: File }) {
  const [asking, setAsking] = useState(false)
  const { may } = useSession()
  const pressing = file.reopened.some(({ state }) => state === 'changed')
  if (isDraft(file)) return null
  return (
    <More
      title={say('file.changedSinceItWasSent', {
        value: file.changes.length === 0 ? say('file.nothing') : file.changes.length,
      })}
      open={pressing || undefined}
    >
      <div className="grid gap-2">
        {file.changes.length > 0 && <Differences rows={file.changes} />}
        {file.reopened.map((part) => (
          <Part key={part.id} file={file} part={part} />
        ))}
        {may('reopenPart') && isActive(file) && (
          <p>
            <Button onClick={() => setAsking(true)}>{say('file.askThemToChangeSomething')}</Button>
          </p>
        )}
      </div>
      {asking && <AskForChange file={file} onClose={() => setAsking(false)} />}
    </More>
  )
}

function Differences({ rows }: { rows: File['changes'] }) {
  return (
    <dl className="grid grid-cols-[210px_1fr] gap-x-4 gap-y-0.5">
      {rows.map(({ label, before, after }) => (
        <div key={label} className="contents">
          <dt className="text-ink-2">{label}</dt>
          <dd>
            <del className="text-ink-2">{before}</del> <span className="sr-only">{say('file.isNow')}</span>{' '}
            <ins className="font-semibold no-underline">{after}</ins>
          </dd>
        </div>
      ))}
    </dl>
  )
}

function Part({ file, part }: { file: File; part: ReopenedPart }) {
  const { act, busy, problem } = useAct('settleReopened')
  const toast = useToast()
  const { may } = useSession()
  const settle = async () => {
    if (await act({ params: { id: file.id, reopening: part.id } }))
      toast(
        part.state === 'open'
          ? say('file.calledOff', { title: part.title })
          : say('file.notedTitle', { title: part.title }),
      )
  }
  return (
    <div className="border-line border-t pt-1.5">
      <div className="flex items-baseline gap-3">
        <p className="flex-1">
          <span className="font-semibold">{part.title}</span>{' '}
          <span className={part.state === 'changed' ? 'text-soon-ink' : 'text-ink-2'}>
            {stateWords[part.state]}
            {part.doneAt && `, ${writeShortDay(part.doneAt)}`}
          </span>
        </p>
        {may('settleReopened') && part.state === 'changed' && (
          <Button kind="main" busy={busy} onClick={() => void settle()}>
            {say('file.noted')}
          </Button>
        )}
        {may('settleReopened') && part.state === 'open' && (
          <Button kind="quiet" busy={busy} onClick={() => void settle()}>
            {say('file.callItOff')}
          </Button>
        )}
      </div>
      <p className="text-ink-2">
        {say('file.askedByAskedAtReasonByDueOn', {
          askedBy: part.askedBy,
          askedAt: writeShortDay(part.askedAt),
          reason: part.reason,
          dueOn: writeWhen(part.dueOn),
        })}
      </p>
      {part.state !== 'open' && part.differences.length > 0 && <Differences rows={part.differences} />}
      {part.state === 'changed' && part.differences.length === 0 && <p>{say('file.theyLeftItAsIt')}</p>}
      <ProblemNote problem={problem} />
    </div>
  )
}

const daysToChange = 7

function AskForChange({ file, onClose }: { file: File; onClose: () => void }) {
  const { act, busy, problem } = useAct('reopenPart')
  const toast = useToast()
  const [section, setSection] = useState(file.parts[0]?.section ?? '')
  const [question, setQuestion] = useState('')
  const [reason, setReason] = useState('')
  const [dueOn, setDueOn] = useState(Temporal.PlainDate.from(file.today).add({ days: daysToChange }).toString())
  const questions = file.parts.find((part) => part.section === section)?.questions ?? []
  const ask = async () => {
    const done = await act({ params: { id: file.id }, body: { section, question: question || null, reason, dueOn } })
    if (!done) return
    toast(say('file.askedByMail', { name: file.candidate.name }))
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={say('file.askToChangeSomething', { name: file.candidate.name })}
      description={say('file.exactlyThisCanBeChanged')}
    >
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void ask()
        }}
      >
        <SelectField
          label={say('file.section')}
          value={section}
          options={file.parts.map((part) => ({ value: part.section, label: part.title }))}
          onChange={(event) => {
            setSection(event.target.value)
            setQuestion('')
          }}
          error={faultAt(problem, 'section')}
        />
        {questions.length > 0 && (
          <SelectField
            label={say('file.question')}
            value={question}
            options={[
              { value: '', label: say('file.theWholeSection') },
              ...questions.map(({ key, label }) => ({ value: key, label })),
            ]}
            onChange={(event) => setQuestion(event.target.value)}
            error={faultAt(problem, 'question')}
          />
        )}
        <LongField
          label={say('file.whyTheyReadThis')}
          value={reason}
          limit={500}
          onChange={(event) => setReason(event.target.value)}
          error={faultAt(problem, 'reason')}
        />
        <DateField label={say('file.byWhen')} value={dueOn} onChange={setDueOn} error={faultAt(problem, 'dueOn')} />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div className="flex gap-2">
          <Button kind="main" type="submit" busy={busy} disabled={!isReason(reason)}>
            {say('file.askThem')}
          </Button>
          <Button kind="quiet" onClick={onClose}>
            {say('file.cancel')}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
