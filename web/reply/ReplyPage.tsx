import { useState } from 'react'
import { useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { EnquiryReply, FieldReply, readEnquiry } from '#contract/reply'
import { readTyped, writeWhen } from '#core/dates/write'
import { say, sourceLanguages } from '#core/words/say'
import { api } from '../api'
import { LanguageChoice } from '../portal/LanguageChoice'
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
      <Plain title={say('reply.thisLinkLeadsNowhere')}>
        <p>{say('reply.cutOff')}</p>
      </Plain>
    )
  }
  if (receipt) {
    return (
      <Plain title={say('reply.thankYou')}>
        <p>
          {say('reply.yourAnswerArrivedIfYou', { when: writeMoment(receipt.receivedAt) })}{' '}
          <span className="font-mono font-semibold">{receipt.receipt}</span>.
        </p>
        <p className="mt-2 text-ink-2">{say('reply.nothingMoreIsNeededYou')}</p>
      </Plain>
    )
  }
  if (!data) return <Waiting error={error} />
  if (data.state === 'answered') {
    return (
      <Plain title={say('reply.thisHasBeenAnsweredAlready')}>
        <p>
          {data.answeredAt
            ? say('reply.answeredOn', { source: data.source, day: writeDayOf(data.answeredAt) })
            : say('reply.answered', { source: data.source })}{' '}
          {say('reply.thankYouNothingMoreIs', { contact: data.contact })}
        </p>
      </Plain>
    )
  }
  if (data.state === 'withdrawn') {
    return (
      <Plain title={say('reply.noAnswerNeeded')}>
        <p>{say('reply.withdrawn', { operator: data.operator })}</p>
      </Plain>
    )
  }
  if (data.state !== 'open') {
    return (
      <Plain title={say('reply.expired')}>
        <p>{say('reply.expiredBecause', { contact: data.contact })}</p>
      </Plain>
    )
  }
  return <Asking token={token} question={data} onReceived={setReceipt} />
}

const kinds = ['study', 'work', 'licence', 'certificate'] as const
const headingOf = ({ kind, candidate }: Question) => {
  const known = kinds.find((each) => each === kind)
  return known ? say(`reply.heading.${known}`, { candidate }) : say('reply.heading', { candidate })
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
  const dateKeys = new Set<string>(question.fields.filter(({ kind }) => kind === 'date').map(({ key }) => key))
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
          {question.fields.map(({ key, kind }) => {
            const label = say(`field.${key}`)
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
                <div className="flex flex-wrap items-center gap-1.5">
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
                      {say(`reply.says.${says}`)}
                    </label>
                  ))}
                </div>
                {answer?.says === 'differs' && (
                  <div className="sm:col-span-2">
                    <TextField
                      label={say('reply.accordingToRecords', { label })}
                      value={answer.value}
                      onChange={(event) => set(key, { value: event.target.value })}
                      error={
                        dateKeys.has(key) && answer.value && !readTyped(answer.value)
                          ? say('reply.writeADate')
                          : undefined
                      }
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
        {say('reply.unknownToUs')}
      </label>
      <Sheet className="grid gap-4 sm:grid-cols-2">
        <TextField
          label={say('reply.yourName')}
          autoComplete="name"
          value={respondent}
          onChange={(event) => setRespondent(event.target.value)}
          error={tried && respondent.trim().length < 2 ? say('reply.nameNeeded') : faultAt(problem, 'respondent')}
        />
        <TextField
          label={say('reply.yourOffice')}
          optional
          value={capacity}
          onChange={(event) => setCapacity(event.target.value)}
        />
        <div className="sm:col-span-2">
          <LongField
            label={say('reply.anythingToAdd')}
            optional
            limit={4000}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
        </div>
        <div className="sm:col-span-2">
          <ProblemNote problem={problem} />
          <Button kind="main" busy={busy} onClick={() => void send()}>
            {say('reply.sendTheAnswer')}
          </Button>
          <p className="mt-2 text-[0.9em] text-ink-2">{say('reply.linkUsedUp', { operator: question.operator })}</p>
        </div>
      </Sheet>
      <footer className="mt-6 text-[0.93em]">
        <LanguageChoice among={sourceLanguages} />
      </footer>
    </main>
  )
}

type Standing = NonNullable<EnquiryReply['standing']>
type StandingAnswer = { state?: Standing['state']; from: string; through: string }

const standings = ['good', 'restricted', 'suspended', 'revoked'] as const satisfies readonly Standing['state'][]

const standingOf = (asked: boolean, { state, from, through }: StandingAnswer): { standing?: Standing } =>
  asked && state ? { standing: { state, ...(from ? { from } : {}), ...(through ? { through } : {}) } } : {}

type AskStandingProps = { value: StandingAnswer; onChange: (value: StandingAnswer) => void; tried: boolean }

/** What an issuer says of a licence beyond its dates. */
function AskStanding({ value, onChange, tried }: AskStandingProps) {
  return (
    <Sheet className="mt-3 grid gap-2">
      <fieldset>
        <legend className="float-left mb-1.5 w-full text-ink-2">{say('reply.inForceToday')}</legend>
        <div className="clear-both flex flex-wrap gap-1.5">
          {standings.map((state) => (
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
              {say(`reply.standing.${state}`)}
            </label>
          ))}
        </div>
      </fieldset>
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

const isComplete = (answer: Answers[string] | undefined) =>
  Boolean(answer?.says) && (answer?.says !== 'differs' || answer.value.trim() !== '')

/** Dates are sent in their ISO form where they can be read; anything else goes as it was written. */
function replyOf({ says, value }: Answers[string], isDate: boolean): FieldReply {
  if (says === 'differs') return { says, value: (isDate && readTyped(value)) || value.trim() }
  return { says: says ?? 'cannot say' }
}
