import { type AnswerValue, isBlank, type Parts } from '#core/form/answer'
import { choicesOf, type Question } from '#core/form/form'
import { languageParts } from '#core/form/languages'
import { masked } from '#core/words/form'
import { optionWords } from '#core/words/options'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { DateField } from '../DateField'
import { CheckList, Choice, LongField, SelectField, TextField } from '../Field'
import { AddressAnswer, CountryAndRegion } from './AddressAnswer'
import type { AnswerProps } from './answerProps'
import { BlankChoice } from './BlankChoice'
import { countries } from './countries'
import { RankedAnswer } from './RankedAnswer'
import { RecordsAnswer } from './RecordsAnswer'

/** The place to answer one question, by its kind; with the honest blanks it allows beneath. */
export function AnswerField(props: AnswerProps) {
  const { value, onChange } = props
  const question = translated(props.question)
  const blank = isBlank(value) ? value : undefined
  return (
    <div>
      {!blank && <ByKind {...props} question={question} />}
      {question.blanks && question.blanks.length > 0 && (
        <BlankChoice question={question} blank={blank} onChange={onChange} error={blank && props.error} />
      )}
    </div>
  )
}

const types = { text: 'text', mail: 'email', phone: 'tel', link: 'url' } as const

function ByKind(props: AnswerProps) {
  const { question, value, onChange, error } = props
  const { key, label, kind, required, limit, fill, unit } = question
  const help =
    [
      question.help,
      question.nameless && say('form.leaveYourNameOut'),
      question.public && say('form.everybodyReadsThis'),
    ]
      .filter(Boolean)
      .join(' ') || undefined
  const text = typeof value === 'string' ? value : ''
  const list = Array.isArray(value) ? (value as readonly string[]) : []
  const around = { label, help, error, optional: !required }
  const common = {
    ...around,
    value: text,
    onChange: (event: { target: { value: string } }) => onChange(event.target.value),
  }
  switch (kind) {
    case 'yes or no':
      return (
        <Choice
          label={label}
          name={key}
          value={text}
          onChange={onChange}
          error={error}
          options={[
            { value: 'yes', label: say('form.yes') },
            { value: 'no', label: say('form.no') },
          ]}
        />
      )
    case 'long text':
      return <LongField {...common} limit={limit} />
    case 'one of':
    case 'country':
      return (
        <SelectField
          {...common}
          options={kind === 'country' ? countries : named(question)}
          empty={say('form.choose')}
          autoComplete={fill}
        />
      )
    case 'several of':
    case 'recipients':
      return (
        <CheckList label={label} help={help} error={error} options={named(question)} value={list} onChange={onChange} />
      )
    case 'ranked choice':
      return <RankedAnswer {...props} value={list} />
    case 'date':
    case 'partial date':
      return <DateField {...around} autoComplete={fill} value={text} onChange={onChange} />
    case 'number':
      return <TextField {...common} inputMode="decimal" help={[unit, help].filter(Boolean).join('. ')} />
    case 'money':
      return <MoneyField {...around} unit={unit ?? 'EUR'} value={text} onChange={onChange} />
    case 'address':
      return <AddressAnswer {...props} question={{ ...question, help }} value={partsOf(value)} />
    case 'country and region':
      return <CountryAndRegion {...props} value={partsOf(value)} />
    case 'records':
      return (
        <RecordsAnswer
          {...props}
          value={Array.isArray(value) ? (value as readonly Parts[]) : []}
          partOf={(part) => <AnswerField {...part} />}
        />
      )
    case 'languages':
      return (
        <RecordsAnswer
          {...props}
          question={{
            ...question,
            parts: languageParts({ language: say('form.language'), level: say('form.howWell') }),
          }}
          value={Array.isArray(value) ? (value as readonly Parts[]) : []}
          partOf={(part) => <AnswerField {...part} />}
        />
      )
    case 'declaration':
      return (
        <label className="flex items-start gap-2">
          <input
            type="checkbox"
            className="mt-1 accent-confirmed"
            checked={text === 'agreed'}
            onChange={(event) => onChange(event.target.checked ? 'agreed' : '')}
          />
          <span>
            <span className="font-semibold">{label}</span>
            {help && <span className="block text-[0.87em] text-ink-2">{help}</span>}
          </span>
        </label>
      )
    case 'identity number':
      return (
        <TextField
          {...common}
          autoComplete="off"
          help={text ? say('form.shownToOthersAs', { text: masked(text) }) : help}
        />
      )
    case 'document':
      return null
    case 'text':
    case 'mail':
    case 'phone':
    case 'link':
      return <TextField {...common} type={types[kind]} autoComplete={fill} limit={limit} />
  }
}

const named = (question: Question) =>
  choicesOf(question).map((option) => ({ value: option, label: optionWords(question, option) }))
const partsOf = (value: AnswerValue): Parts =>
  typeof value === 'string' || Array.isArray(value) ? {} : (value as Parts)

type MoneyProps = {
  label: string
  help?: string
  error?: string
  optional: boolean
  unit: string
  value: string
  onChange: (cents: string) => void
}

/** Typed in whole units with decimals, kept in cents. */
function MoneyField({ unit, value, onChange, help, ...around }: MoneyProps) {
  const shown = value === '' ? '' : String(Number(value) / 100)
  return (
    <TextField
      {...around}
      key={shown === '' ? 'empty' : 'given'}
      defaultValue={shown}
      inputMode="decimal"
      help={[unit, help].filter(Boolean).join('. ')}
      onBlur={(event) => {
        const amount = event.target.value.replace(/[\s']/g, '').replace(',', '.')
        onChange(amount === '' ? '' : Number.isNaN(Number(amount)) ? amount : String(Math.round(Number(amount) * 100)))
      }}
    />
  )
}
