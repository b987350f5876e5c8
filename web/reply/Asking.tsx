import { lazy, Suspense, useState } from 'react'
import { readTyped, writeWhen } from '#core/dates/write'
import { againSaid, hoursSaid } from '#core/enquiries/asks'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { DateField } from '../ui/DateField'
import { LongField, TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { Sheet } from '../ui/Sheet'
import { useAct } from '../useAct'
import { type Answer, answerOf, datesOf, draftOf, isComplete, replyOf, type Standing } from './answers'
import type { Done, Question } from './question'
import { type Kept, useReplyDraft } from './useReplyDraft'

/** What few need comes once the question is there to be read. */
const Otherwise = lazy(() => import('./Otherwise').then((loaded) => ({ default: loaded.Otherwise })))
const PaperField = lazy(() => import('./PaperField').then((loaded) => ({ default: loaded.PaperField })))

const kinds = ['study', 'work', 'licence', 'certificate'] as const
const headingOf = ({ kind, candidate }: Question) => {
  const known = kinds.find((each) => each === kind)
  return known ? say(`reply.heading.${known}`, { candidate }) : say('reply.heading', { candidate })
}

type Props = { token: string; question: Question; onDone: (done: Done) => void }

/** One question: line by line right, not so, or cannot say. What is filled in is kept as it is. */
export function Asking({ token, question, onDone }: Props) {
  const { act, busy, problem } = useAct('replyToEnquiry')
  const [answer, setAnswer] = useState(() => answerOf(question))
  const [touched, setTouched] = useState(false)
  const [tried, setTried] = useState(false)
  const kept = useReplyDraft(token, question, draftOf(question, answer), touched)
  const set = (change: Partial<Answer>) => {
    setTouched(true)
    setAnswer((before) => ({ ...before, ...change }))
  }
  const setField = (key: string, change: Partial<Answer['fields'][string]>) => {
    setTouched(true)
    setAnswer((before) => ({
      ...before,
      fields: { ...before.fields, [key]: { ...(before.fields[key] ?? { value: '' }), ...change } },
    }))
  }
  const agreeAll = () =>
    set({ fields: Object.fromEntries(question.fields.map(({ key }) => [key, { says: 'agrees' as const, value: '' }])) })
  const { known, respondent } = answer
  const asks = known ? question.asks : { standing: false, hours: false, again: false }
  const open = known ? question.fields.filter(({ key }) => !isComplete(answer.fields[key])) : []
  const send = async () => {
    setTried(true)
    if (open.length > 0 || (asks.standing && !answer.standing.state) || respondent.trim().length < 2) return
    const received = await act({
      params: { token },
      query: { part: question.id },
      body: replyOf(question, answer),
    })
    if (received) onDone(received)
  }
  return (
    <>
      <p className="text-ink-2">{say('reply.asks', { operator: question.operator, source: question.source })}</p>
      <h1 className="mb-2 text-[1.9em]">{headingOf(question)}</h1>
      <p className="mb-4 text-ink-2">
        {say('reply.permission', { candidate: question.candidate, day: writeWhen(question.answerBy) })}
      </p>
      {known && (
        <Sheet className="!p-0">
          <div className="flex flex-wrap items-center justify-between gap-2 border-line border-b bg-sheet-2 px-4 py-2">
            <p className="text-ink-2">{say('reply.claimedLineByLine')}</p>
            <Button onClick={agreeAll}>{say('reply.allRight')}</Button>
          </div>
          {question.fields.map((field) => (
            <FieldLine
              key={field.key}
              question={question}
              field={field}
              answer={answer.fields[field.key]}
              tried={tried}
              onChange={(change) => setField(field.key, change)}
            />
          ))}
        </Sheet>
      )}
      {asks.standing && (
        <AskStanding value={answer.standing} onChange={(standing) => set({ standing })} tried={tried} />
      )}
      {asks.hours && (
        <Sheet className="mt-3">
          <Chips
            name="hours"
            legend={say('reply.hours')}
            options={hoursSaid.map((value) => ({ value, words: say(`reply.hours.${value}`) }))}
            value={answer.hours}
            onChange={(hours) => set({ hours })}
          />
        </Sheet>
      )}
      {asks.again && (
        <Sheet className="mt-3">
          <Chips
            name="again"
            legend={say('reply.again')}
            options={againSaid.map((value) => ({ value, words: say(`reply.again.${value}`) }))}
            value={answer.again}
            onChange={(again) => set({ again })}
          />
        </Sheet>
      )}
      <label className="my-3 flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-confirmed"
          checked={!known}
          onChange={(event) => set({ known: !event.target.checked })}
        />
        {say('reply.unknownToUs')}
      </label>
      <Sheet className="grid gap-4 sm:grid-cols-2">
        <TextField
          label={say('reply.yourName')}
          autoComplete="name"
          value={respondent}
          onChange={(event) => set({ respondent: event.target.value })}
          error={tried && respondent.trim().length < 2 ? say('reply.nameNeeded') : faultAt(problem, 'respondent')}
        />
        <TextField
          label={say('reply.yourOffice')}
          optional
          value={answer.capacity}
          onChange={(event) => set({ capacity: event.target.value })}
        />
        <div className="sm:col-span-2">
          <LongField
            label={say('reply.anythingToAdd')}
            optional
            limit={4000}
            value={answer.note}
            onChange={(event) => set({ note: event.target.value })}
          />
        </div>
        <Suspense>
          <PaperField token={token} question={question} />
        </Suspense>
        <div className="sm:col-span-2">
          <ProblemNote problem={problem} />
          <Button kind="main" busy={busy} onClick={() => void send()}>
            {say('reply.sendTheAnswer')}
          </Button>
          <p className="mt-2 text-[0.9em] text-ink-2">{say('reply.linkUsedUp', { operator: question.operator })}</p>
          <KeptNote kept={kept} />
        </div>
      </Sheet>
      <Suspense>
        <Otherwise token={token} question={question} onDone={onDone} />
      </Suspense>
    </>
  )
}

/** Whether what is on the page would be there again. */
function KeptNote({ kept }: { kept: Kept }) {
  if (kept === 'nothing yet' || kept === 'keeping') return null
  const words = { kept: 'reply.kept', 'not kept': 'reply.notKept', elsewhere: 'reply.elsewhere' } as const
  return (
    <p role="status" className={`mt-2 text-[0.9em] ${kept === 'kept' ? 'text-ink-2' : 'font-semibold text-soon-ink'}`}>
      {say(words[kept])}
    </p>
  )
}

type LineProps = {
  question: Question
  field: Question['fields'][number]
  answer: Answer['fields'][string] | undefined
  tried: boolean
  onChange: (change: Partial<Answer['fields'][string]>) => void
}

function FieldLine({ question, field: { key, kind }, answer, tried, onChange }: LineProps) {
  const label = say(`field.${key}`)
  const claimed = kind === 'date' ? writeWhen(question.claimed[key] ?? '') : (question.claimed[key] ?? '')
  const isDate = datesOf(question).has(key)
  return (
    <fieldset className="grid gap-x-4 gap-y-2 border-line border-b px-4 py-3 last:border-b-0 sm:grid-cols-[minmax(0,1fr)_auto]">
      <legend className="sr-only">
        {label}: {claimed}
      </legend>
      <p className="min-w-0">
        <span className="block text-[0.87em] text-ink-2">{label}</span>
        <span className={`font-semibold ${kind === 'number' ? 'font-mono' : ''}`}>{claimed}</span>
      </p>
      <div className="flex flex-wrap items-center gap-1.5">
        {(['agrees', 'differs', 'cannot say'] as const).map((says) => (
          <Chip
            key={says}
            name={key}
            words={say(`reply.says.${says}`)}
            chosen={answer?.says === says}
            onChoose={() => onChange({ says })}
          />
        ))}
      </div>
      {answer?.says === 'differs' && (
        <div className="sm:col-span-2">
          <TextField
            label={say('reply.accordingToRecords', { label })}
            value={answer.value}
            onChange={(event) => onChange({ value: event.target.value })}
            error={isDate && answer.value && !readTyped(answer.value) ? say('reply.writeADate') : undefined}
          />
        </div>
      )}
      {tried && !isComplete(answer) && (
        <p role="alert" className="font-semibold text-[0.9em] text-contradicted sm:col-span-2">
          {answer?.says === 'differs' ? say('reply.giveTheValue') : say('reply.stillOpen')}
        </p>
      )}
    </fieldset>
  )
}

type ChipProps = { name: string; words: string; chosen: boolean; onChoose: () => void }

function Chip({ name, words, chosen, onChoose }: ChipProps) {
  return (
    <label
      className={`cursor-pointer rounded-sheet border px-2.5 py-1.5 focus-within:outline-2 focus-within:outline-asked ${chosen ? 'border-confirmed bg-confirmed-wash font-semibold' : 'border-line-strong'}`}
    >
      <input type="radio" name={name} className="sr-only" checked={chosen} onChange={onChoose} />
      {words}
    </label>
  )
}

type ChipsProps<V extends string> = {
  name: string
  legend: string
  options: readonly { value: V; words: string }[]
  value: V | undefined
  onChange: (value: V) => void
}

function Chips<V extends string>({ name, legend, options, value, onChange }: ChipsProps<V>) {
  return (
    <fieldset>
      <legend className="float-left mb-1.5 w-full text-ink-2">{legend}</legend>
      <div className="clear-both flex flex-wrap gap-1.5">
        {options.map((one) => (
          <Chip
            key={one.value}
            name={name}
            words={one.words}
            chosen={value === one.value}
            onChoose={() => onChange(one.value)}
          />
        ))}
      </div>
    </fieldset>
  )
}

const standings = ['good', 'restricted', 'suspended', 'revoked'] as const satisfies readonly Standing['state'][]

type AskStandingProps = {
  value: Answer['standing']
  onChange: (value: Answer['standing']) => void
  tried: boolean
}

/** What an issuer says of a licence beyond its dates. */
function AskStanding({ value, onChange, tried }: AskStandingProps) {
  return (
    <Sheet className="mt-3 grid gap-2">
      <Chips
        name="standing"
        legend={say('reply.inForceToday')}
        options={standings.map((state) => ({ value: state, words: say(`reply.standing.${state}`) }))}
        value={value.state}
        onChange={(state) => onChange({ ...value, state })}
      />
      {value.state && value.state !== 'good' && (
        <div className="grid gap-3 sm:grid-cols-2">
          <DateField
            label={say('reply.since')}
            optional
            value={value.from}
            onChange={(from) => onChange({ ...value, from })}
          />
          <DateField
            label={say('reply.through')}
            optional
            value={value.through}
            onChange={(through) => onChange({ ...value, through })}
          />
        </div>
      )}
      {tried && !value.state && (
        <p role="alert" className="font-semibold text-[0.9em] text-contradicted">
          {say('reply.standingOpen')}
        </p>
      )}
    </Sheet>
  )
}
