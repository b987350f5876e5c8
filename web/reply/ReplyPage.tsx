import { useState } from 'react'
import { useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { EnquiryReply, FieldReply, readEnquiry } from '#contract/verification'
import { readTyped, writeWhen } from '#core/dates/write'
import { api } from '../api'
import { Button } from '../ui/Button'
import { DateField } from '../ui/DateField'
import { LongField, TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { Sheet } from '../ui/Sheet'
import { Waiting } from '../ui/Waiting'
import { writeDayOf, writeMoment } from '../ui/write'
import { useAct } from '../useAct'
import { Plain } from './Plain'

type Question = Reply<typeof readEnquiry>

/** Where the link in a mail to a source leads: one question, one page, two minutes, no account. */
export function ReplyPage() {
  const { token = '' } = useParams()
  const session = api.endpoints.readSession.useQuery({})
  const { data, error } = api.endpoints.readEnquiry.useQuery({ params: { token } }, { skip: !session.data })
  const [receipt, setReceipt] = useState<{ receivedAt: string; receipt: string }>()
  if (error && (error as { status?: number }).status === 404) {
    return (
      <Plain title="This link leads nowhere">
        <p>It may have been cut off when it was copied. Open it again from the mail, or write to whoever sent it.</p>
      </Plain>
    )
  }
  if (receipt) {
    return (
      <Plain title="Thank you">
        <p>
          Your answer arrived {writeMoment(receipt.receivedAt)}. If you ever need to refer to it:{' '}
          <span className="font-mono font-semibold">{receipt.receipt}</span>.
        </p>
        <p className="mt-2 text-ink-2">Nothing more is needed. You can close this page.</p>
      </Plain>
    )
  }
  if (!data) return <Waiting error={error} />
  if (data.state === 'answered') {
    return (
      <Plain title="This has been answered already">
        <p>
          {data.source} answered this question{data.answeredAt ? ` on ${writeDayOf(data.answeredAt)}` : ''}. Thank you;
          nothing more is needed. To correct the answer, write to <strong>{data.contact}</strong>.
        </p>
      </Plain>
    )
  }
  if (data.state === 'withdrawn') {
    return (
      <Plain title="No answer is needed any more">
        <p>
          {data.operator} no longer asks this. Thank you for opening it; there is nothing to do, and you can close this
          page.
        </p>
      </Plain>
    )
  }
  if (data.state !== 'open') {
    return (
      <Plain title="This link has expired">
        <p>
          Links work for thirty days, so that old ones cannot be misused. Write to <strong>{data.contact}</strong> and
          we will send a new one, or ask in another way.
        </p>
      </Plain>
    )
  }
  return <Asking token={token} question={data} onReceived={setReceipt} />
}

const kindWords: Record<string, string> = {
  study: 'studied with you',
  work: 'worked for you',
  licence: 'holds a licence you issued',
  certificate: 'holds a certificate you issued',
}

type Answers = Record<string, { says?: FieldReply['says']; value: string }>

function Asking({
  token,
  question,
  onReceived,
}: {
  token: string
  question: Question
  onReceived: (receipt: { receivedAt: string; receipt: string }) => void
}) {
  const { act, busy, problem } = useAct('replyToEnquiry')
  const [answers, setAnswers] = useState<Answers>({})
  const [known, setKnown] = useState(true)
  const [standing, setStanding] = useState<StandingAnswer>({ from: '', through: '' })
  const [note, setNote] = useState('')
  const [respondent, setRespondent] = useState('')
  const [capacity, setCapacity] = useState('')
  const [tried, setTried] = useState(false)
  const open = known ? question.fields.filter(({ key }) => !isComplete(answers[key])) : []
  const asksStanding = known && (question.kind === 'licence' || question.kind === 'certificate')
  const dateKeys = new Set(question.fields.filter(({ kind }) => kind === 'date').map(({ key }) => key))
  const send = async () => {
    setTried(true)
    if (open.length > 0 || (asksStanding && !standing.state) || respondent.trim().length < 2) return
    const fields = Object.fromEntries(
      Object.entries(answers).map(([key, answer]) => [key, replyOf(answer, dateKeys.has(key))]),
    )
    const received = await act({
      params: { token },
      body: { known, fields: known ? fields : {}, ...standingOf(asksStanding, standing), note, respondent, capacity },
    })
    if (received) onReceived(received)
  }
  const set = (key: string, change: Partial<Answers[string]>) =>
    setAnswers((before) => ({ ...before, [key]: { ...(before[key] ?? { value: '' }), ...change } }))
  const agreeAll = () =>
    setAnswers(Object.fromEntries(question.fields.map(({ key }) => [key, { says: 'agrees' as const, value: '' }])))
  return (
    <main className="mx-auto max-w-[820px] px-4 py-7 text-[1.0333rem]">
      <p className="text-ink-2">
        {question.operator} asks {question.source}
      </p>
      <h1 className="mb-2 text-[1.9em]">
        {question.candidate} {kindWords[question.kind] ?? 'names you as a source'}. Is this right?
      </h1>
      <p className="mb-4 text-ink-2">
        {question.candidate} has signed a permission for this question; it was attached to the mail. Please answer by{' '}
        <strong className="text-ink">{writeWhen(question.answerBy)}</strong>.
      </p>
      {known && (
        <Sheet className="!p-0">
          <div className="flex flex-wrap items-center justify-between gap-2 border-line border-b bg-sheet-2 px-4 py-2">
            <p className="text-ink-2">What was claimed, line by line</p>
            <Button onClick={agreeAll}>All of it is right</Button>
          </div>
          {question.fields.map(({ key, label, kind }) => {
            const answer = answers[key]
            const claimed = kind === 'date' ? writeWhen(question.claimed[key] ?? '') : (question.claimed[key] ?? '')
            return (
              <fieldset
                key={key}
                className="grid gap-x-4 gap-y-2 border-line border-b px-4 py-3 last:border-b-0 sm:grid-cols-[minmax(0,1fr)_auto]"
              >
                <legend className="sr-only">
                  {label}: {claimed}
                </legend>
                <p className="min-w-0">
                  <span className="block text-[0.87em] text-ink-2">{label}</span>
                  <span className={`font-semibold ${kind === 'number' ? 'font-mono' : ''}`}>{claimed}</span>
                </p>
                <div className="flex flex-wrap gap-1.5">
                  {(['agrees', 'differs', 'cannot say'] as const).map((says) => (
                    <label
                      key={says}
                      className={`cursor-pointer rounded-sheet border px-2.5 py-1.5 focus-within:outline-2 focus-within:outline-asked ${answer?.says === says ? 'border-confirmed bg-confirmed-wash font-semibold' : 'border-line-strong'}`}
                    >
                      <input
                        type="radio"
                        name={key}
                        className="sr-only"
                        checked={answer?.says === says}
                        onChange={() => set(key, { says })}
                      />
                      {{ agrees: 'Right', differs: 'Not so', 'cannot say': 'Cannot say' }[says]}
                    </label>
                  ))}
                </div>
                {answer?.says === 'differs' && (
                  <div className="sm:col-span-2">
                    <TextField
                      label={`${label} according to your records`}
                      value={answer.value}
                      onChange={(event) => set(key, { value: event.target.value })}
                      error={
                        dateKeys.has(key) && answer.value && !readTyped(answer.value)
                          ? 'Write a date such as 9 Jul 2021, Jul 2021 or 2021.'
                          : undefined
                      }
                    />
                  </div>
                )}
                {tried && !isComplete(answer) && (
                  <p role="alert" className="font-semibold text-[0.9em] text-contradicted sm:col-span-2">
                    {answer?.says === 'differs'
                      ? 'Give the right value, or choose “Cannot say”.'
                      : 'Still open: right, not so, or cannot say?'}
                  </p>
                )}
              </fieldset>
            )
          })}
        </Sheet>
      )}
      {asksStanding && <AskStanding value={standing} onChange={setStanding} tried={tried} />}
      <label className="my-3 flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-confirmed"
          checked={!known}
          onChange={(event) => setKnown(!event.target.checked)}
        />
        We know nothing of this person or this paper.
      </label>
      <Sheet className="grid gap-4 sm:grid-cols-2">
        <TextField
          label="Your name"
          autoComplete="name"
          value={respondent}
          onChange={(event) => setRespondent(event.target.value)}
          error={
            tried && respondent.trim().length < 2
              ? 'Give your name, so that the answer has an author.'
              : faultAt(problem, 'respondent')
          }
        />
        <TextField
          label="Your office"
          optional
          value={capacity}
          onChange={(event) => setCapacity(event.target.value)}
        />
        <div className="sm:col-span-2">
          <LongField
            label="Anything to add"
            optional
            limit={4000}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
        </div>
        <div className="sm:col-span-2">
          <ProblemNote problem={problem} />
          <Button kind="main" busy={busy} onClick={() => void send()}>
            Send the answer
          </Button>
          <p className="mt-2 text-[0.9em] text-ink-2">
            The link is used up with that. Only {question.operator} sees your answer; the candidate sees that you have
            answered.
          </p>
        </div>
      </Sheet>
    </main>
  )
}

type Standing = NonNullable<EnquiryReply['standing']>
type StandingAnswer = { state?: Standing['state']; from: string; through: string }

const standingWords: Record<Standing['state'], string> = {
  good: 'In force',
  restricted: 'Restricted',
  suspended: 'Suspended',
  revoked: 'Revoked',
}

const standingOf = (asked: boolean, { state, from, through }: StandingAnswer): { standing?: Standing } =>
  asked && state ? { standing: { state, ...(from ? { from } : {}), ...(through ? { through } : {}) } } : {}

type AskStandingProps = { value: StandingAnswer; onChange: (value: StandingAnswer) => void; tried: boolean }

/** What an issuer says of a licence beyond its dates. */
function AskStanding({ value, onChange, tried }: AskStandingProps) {
  return (
    <Sheet className="mt-3 grid gap-2">
      <fieldset>
        <legend className="float-left mb-1.5 w-full text-ink-2">Is it in force today?</legend>
        <div className="clear-both flex flex-wrap gap-1.5">
          {(Object.keys(standingWords) as Standing['state'][]).map((state) => (
            <label
              key={state}
              className={`cursor-pointer rounded-sheet border px-2.5 py-1.5 focus-within:outline-2 focus-within:outline-asked ${value.state === state ? 'border-confirmed bg-confirmed-wash font-semibold' : 'border-line-strong'}`}
            >
              <input
                type="radio"
                name="standing"
                className="sr-only"
                checked={value.state === state}
                onChange={() => onChange({ ...value, state })}
              />
              {standingWords[state]}
            </label>
          ))}
        </div>
      </fieldset>
      {value.state && value.state !== 'good' && (
        <div className="grid gap-3 sm:grid-cols-2">
          <DateField label="Since" optional value={value.from} onChange={(from) => onChange({ ...value, from })} />
          <DateField
            label="Through"
            optional
            value={value.through}
            onChange={(through) => onChange({ ...value, through })}
          />
        </div>
      )}
      {tried && !value.state && (
        <p role="alert" className="font-semibold text-[0.9em] text-contradicted">
          Still open: in force, restricted, suspended or revoked?
        </p>
      )}
    </Sheet>
  )
}

const isComplete = (answer: Answers[string] | undefined) =>
  Boolean(answer?.says) && (answer?.says !== 'differs' || answer.value.trim() !== '')

/** Dates are sent in their ISO form where they can be read; anything else goes as it was written. */
function replyOf({ says, value }: Answers[string], isDate: boolean): FieldReply {
  if (says === 'differs') return { says, value: (isDate && readTyped(value)) || value.trim() }
  return { says: says ?? 'cannot say' }
}
