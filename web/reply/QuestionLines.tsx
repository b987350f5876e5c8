import { readTyped, writeWhen } from '#core/dates/write'
import { againSaid, hoursSaid } from '#core/enquiries/asks'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { DateField } from '../ui/DateField'
import { TextField } from '../ui/Field'
import { Sheet } from '../ui/Sheet'
import { type Answer, datesOf, fieldWords, isComplete, standings, terms } from './answers'
import type { Question } from './question'

const kinds = ['study', 'work', 'licence', 'certificate'] as const
const headingOf = ({ kind, candidate }: Question) => {
  const known = kinds.find((each) => each === kind)
  return known ? say(`reply.heading.${known}`, { candidate }) : say('reply.heading', { candidate })
}

type Props = {
  question: Question
  answer: Answer
  /** Whether it was to be sent, so that what is missing is told. */
  tried: boolean
  /** Without script: everything is there from the beginning, and whatever would be done at once is a button that sends the form. */
  plain?: boolean
  onChange?: (change: Partial<Answer>) => void
  onAllRight?: () => void
}

const nothing = () => undefined

/** What is asked, line by line right, not so, or cannot say; the same with script and without. */
export function QuestionLines({
  question,
  answer,
  tried,
  plain = false,
  onChange = nothing,
  onAllRight = nothing,
}: Props) {
  const { known } = answer
  // Without script nothing comes and goes: of somebody unknown the lines are there and are not read.
  const lines = known || plain
  const asks = lines ? question.asks : { standing: false, hours: false, again: false }
  const setField = (key: string, change: Partial<Answer['fields'][string]>) =>
    onChange({
      fields: { ...answer.fields, [key]: { ...(answer.fields[key] ?? { value: '' }), ...change } },
    })
  return (
    <>
      <p className="text-ink-2">{say('reply.asks', { operator: question.operator, source: question.source })}</p>
      <h1 className="mb-2 text-[1.9em]">{headingOf(question)}</h1>
      <p className="mb-4 text-ink-2">
        {say('reply.permission', { candidate: question.candidate, day: writeWhen(question.answerBy) })}
      </p>
      {lines && (
        <Sheet className="!p-0">
          <div className="flex flex-wrap items-center justify-between gap-2 border-line border-b bg-sheet-2 px-4 py-2">
            <p className="text-ink-2">{say('reply.claimedLineByLine')}</p>
            <Button {...(plain ? { type: 'submit', name: 'act', value: 'all right' } : { onClick: onAllRight })}>
              {say('reply.allRight')}
            </Button>
          </div>
          {question.fields.map((field) => (
            <FieldLine
              key={field.key}
              {...{ question, field, tried, plain }}
              answer={answer.fields[field.key]}
              onChange={(change) => setField(field.key, change)}
            />
          ))}
        </Sheet>
      )}
      {asks.standing && (
        <AskStanding
          value={answer.standing}
          onChange={(standing) => onChange({ standing })}
          tried={tried}
          plain={plain}
        />
      )}
      {asks.hours && (
        <Sheet className="mt-3">
          <Chips
            name="hours"
            legend={say('reply.hours')}
            options={hoursSaid.map((value) => ({ value, words: say(`reply.hours.${value}`) }))}
            value={answer.hours}
            plain={plain}
            onChange={(hours) => onChange({ hours })}
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
            plain={plain}
            onChange={(again) => onChange({ again })}
          />
        </Sheet>
      )}
      <label className="my-3 flex items-center gap-2">
        <input
          type="checkbox"
          name="unknown"
          className="accent-confirmed"
          checked={!known}
          onChange={(event) => onChange({ known: !event.target.checked })}
        />
        {say('reply.unknownToUs')}
      </label>
    </>
  )
}

type LineProps = {
  question: Question
  field: Question['fields'][number]
  answer: Answer['fields'][string] | undefined
  tried: boolean
  plain: boolean
  onChange: (change: Partial<Answer['fields'][string]>) => void
}

function FieldLine({ question, field: { key, kind }, answer, tried, plain, onChange }: LineProps) {
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
        {fieldWords.map((says) => (
          <Chip
            key={says}
            name={`says ${key}`}
            value={says}
            words={say(`reply.says.${says}`)}
            chosen={answer?.says === says}
            plain={plain}
            onChoose={() => onChange({ says })}
          />
        ))}
      </div>
      {(answer?.says === 'differs' || plain) && (
        <div className="sm:col-span-2">
          <TextField
            label={say('reply.accordingToRecords', { label })}
            help={plain ? say('reply.onlyIfNotSo') : undefined}
            name={`value ${key}`}
            maxLength={300}
            value={answer?.value ?? ''}
            onChange={(event) => onChange({ value: event.target.value })}
            error={isDate && answer?.value && !readTyped(answer.value) ? say('reply.writeADate') : undefined}
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

type ChipProps = {
  name: string
  value: string
  words: string
  chosen: boolean
  plain: boolean
  onChoose: () => void
}

/** What is chosen is seen by the chip; without script, where nothing is drawn anew, by the browser's own button in it. */
function Chip({ name, value, words, chosen, plain, onChoose }: ChipProps) {
  const look = chosen && !plain ? 'border-confirmed bg-confirmed-wash font-semibold' : 'border-line-strong'
  return (
    <label
      className={`cursor-pointer rounded-sheet border px-2.5 py-1.5 focus-within:outline-2 focus-within:outline-asked ${look}`}
    >
      <input
        type="radio"
        name={name}
        value={value}
        className={plain ? 'mr-1.5 accent-confirmed' : 'sr-only'}
        checked={chosen}
        onChange={onChoose}
      />
      {words}
    </label>
  )
}

type ChipsProps<V extends string> = {
  name: string
  legend: string
  options: readonly { value: V; words: string }[]
  value: V | undefined
  plain: boolean
  onChange: (value: V) => void
}

function Chips<V extends string>({ name, legend, options, value, plain, onChange }: ChipsProps<V>) {
  return (
    <fieldset>
      <legend className="float-left mb-1.5 w-full text-ink-2">{legend}</legend>
      <div className="clear-both flex flex-wrap gap-1.5">
        {options.map((one) => (
          <Chip
            key={one.value}
            name={name}
            value={one.value}
            words={one.words}
            chosen={value === one.value}
            plain={plain}
            onChoose={() => onChange(one.value)}
          />
        ))}
      </div>
    </fieldset>
  )
}

type AskStandingProps = {
  value: Answer['standing']
  onChange: (value: Answer['standing']) => void
  tried: boolean
  plain: boolean
}

/** What an issuer says of a licence beyond its dates. */
function AskStanding({ value, onChange, tried, plain }: AskStandingProps) {
  const date = (end: 'from' | 'through', label: string) => {
    const shared = { label, optional: true, value: value[end] }
    return plain ? (
      <TextField {...shared} name={`standing ${end}`} onChange={nothing} />
    ) : (
      <DateField {...shared} onChange={(day) => onChange({ ...value, [end]: day })} />
    )
  }
  return (
    <Sheet className="mt-3 grid gap-2">
      <Chips
        name="standing"
        legend={say('reply.inForceToday')}
        options={standings.map((state) => ({ value: state, words: say(`reply.standing.${state}`) }))}
        value={value.state}
        plain={plain}
        onChange={(state) => onChange({ ...value, state })}
      />
      {(plain || (value.state && value.state !== 'good')) && (
        <div className="grid gap-3 sm:grid-cols-2">
          {date('from', say('reply.since'))}
          {date('through', say('reply.through'))}
        </div>
      )}
      {(plain || value.state === 'restricted') && (
        <>
          <fieldset className="grid gap-1">
            <legend className="mb-1 font-semibold">{say('reply.terms')}</legend>
            {terms.map((term) => (
              <label key={term} className="flex items-center gap-2">
                <input
                  type="checkbox"
                  name={`term ${term}`}
                  {...(plain
                    ? { defaultChecked: value.terms.includes(term) }
                    : {
                        checked: value.terms.includes(term),
                        onChange: (event) =>
                          onChange({
                            ...value,
                            terms: terms.filter((one) =>
                              one === term ? event.target.checked : value.terms.includes(one),
                            ),
                          }),
                      })}
                />
                {say(`reply.term.${term}`)}
              </label>
            ))}
          </fieldset>
          <TextField
            label={say('reply.otherTerms')}
            optional
            name="terms said"
            maxLength={300}
            value={value.termsSaid}
            onChange={plain ? nothing : (event) => onChange({ ...value, termsSaid: event.target.value })}
          />
        </>
      )}
      {tried && !value.state && (
        <p role="alert" className="font-semibold text-[0.9em] text-contradicted">
          {say('reply.standingOpen')}
        </p>
      )}
    </Sheet>
  )
}
