import type { Form } from '#core/form/form'
import { credentialKinds, studyFields, studyLevels } from '#core/requirements/catalogue'
import type { Ask } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { CheckList, SelectField, TextField } from '../../ui/Field'

type Props = {
  ask: Ask
  rules: Rules
  checks: Readonly<Record<string, string>>
  onChange: (ask: Ask) => void
  label: string
}

const kinds: Record<Ask['kind'], string> = {
  study: 'study at a level or in a field',
  credential: 'a licence or certificate',
  experience: 'years of relevant work',
  history: 'a history without gaps',
  'every work entry': 'every job confirmed',
  reference: 'references from employers',
  'skills check': 'a skills check',
  declaration: 'a question answered in a certain way',
  document: 'a document the form asks for',
  answer: 'an answer',
  identity: 'a paper of identity',
  vouching: 'people who vouch',
  permission: 'the permission to check',
  fee: 'a fee',
  'offer accepted': 'the offer accepted',
  'onboarding task': 'an onboarding task',
}

/** What is asked for, composed by choosing. */
export function AskEditor({ ask, rules, checks, onChange, label }: Props) {
  return (
    <div className="grid gap-2">
      <SelectField
        label={label}
        value={ask.kind}
        options={Object.entries(kinds).map(([value, name]) => ({ value, label: name }))}
        onChange={(event) => onChange(newAsk(event.target.value as Ask['kind'], rules, checks))}
      />
      <Details ask={ask} rules={rules} checks={checks} onChange={onChange} />
    </div>
  )
}

const questions = (form: Form, wanted: (kind: string) => boolean) =>
  form.flatMap((section) =>
    section.questions
      .filter(({ kind, paper }) => wanted(kind) || (wanted('document') && paper))
      .map(({ key, label }) => ({ value: key, label })),
  )
const isDocument = (kind: string) => kind === 'document'
const isDeclared = (kind: string) => kind === 'yes or no' || kind === 'declaration' || kind === 'one of'

/** An ask of a kind to begin with. */
export function newAsk(kind: Ask['kind'], { form, onboarding }: Rules, checks: Readonly<Record<string, string>>): Ask {
  switch (kind) {
    case 'study':
      return { kind, levelAtLeast: 6 }
    case 'credential':
      return { kind, credential: credentialKinds[0]!.key }
    case 'experience':
      return { kind, months: 24, tags: [] }
    case 'history':
      return { kind, years: 5, toleratedGapDays: 30 }
    case 'vouching':
      return { kind, count: 1 }
    case 'reference':
      return { kind, count: 2 }
    case 'skills check':
      return { kind, check: Object.keys(checks)[0] ?? '' }
    case 'declaration':
      return { kind, question: questions(form, isDeclared)[0]?.value ?? '', mustBe: 'yes' }
    case 'document':
      return { kind, question: questions(form, isDocument)[0]?.value ?? '' }
    case 'answer':
      return { kind, question: questions(form, () => true)[0]?.value ?? '' }
    case 'fee':
      return { kind, amount: 4500, currency: 'EUR' }
    case 'onboarding task':
      return { kind, task: onboarding[0]?.key ?? '' }
    default:
      return { kind }
  }
}

function Details({ ask, rules, checks, onChange }: Omit<Props, 'label'>) {
  switch (ask.kind) {
    case 'study':
      return (
        <>
          <SelectField
            label="At least at the level of"
            value={String(ask.levelAtLeast)}
            options={Object.entries(studyLevels).map(([value, name]) => ({ value, label: name }))}
            onChange={(event) => onChange({ ...ask, levelAtLeast: Number(event.target.value) })}
          />
          <CheckList
            label="In one of these fields"
            help="None chosen means any field."
            options={Object.entries(studyFields).map(([value, name]) => ({ value, label: name }))}
            value={ask.fields ?? []}
            onChange={(fields) =>
              onChange(fields.length > 0 ? { ...ask, fields } : { kind: ask.kind, levelAtLeast: ask.levelAtLeast })
            }
          />
        </>
      )
    case 'credential':
      return (
        <SelectField
          label="Of this kind"
          value={ask.credential}
          options={credentialKinds.map(({ key, name }) => ({ value: key, label: name }))}
          onChange={(event) => onChange({ ...ask, credential: event.target.value })}
        />
      )
    case 'experience':
      return (
        <div className="grid grid-cols-2 gap-3">
          <Count label="Months in all" value={ask.months} onChange={(months) => onChange({ ...ask, months })} />
          <TextField
            label="In work of these kinds"
            help="Separated by commas; empty means any."
            defaultValue={ask.tags.join(', ')}
            onBlur={(event) =>
              onChange({
                ...ask,
                tags: event.target.value
                  .split(',')
                  .map((tag) => tag.trim())
                  .filter(Boolean),
              })
            }
          />
        </div>
      )
    case 'history':
      return (
        <div className="grid grid-cols-2 gap-3">
          <Count label="Years up to the day" value={ask.years} onChange={(years) => onChange({ ...ask, years })} />
          <Count
            label="Days of a gap that do not matter"
            least={0}
            value={ask.toleratedGapDays}
            onChange={(toleratedGapDays) => onChange({ ...ask, toleratedGapDays })}
          />
          <SelectField
            label="Of what"
            value={ask.of ?? ''}
            options={[
              { value: '', label: 'what they did' },
              { value: 'home', label: 'where they lived' },
            ]}
            onChange={(event) => {
              const { of: _of, ...rest } = ask
              onChange(event.target.value === 'home' ? { ...rest, of: 'home' } : rest)
            }}
          />
        </div>
      )
    case 'vouching':
    case 'reference':
      return <Count label="How many" value={ask.count} onChange={(count) => onChange({ ...ask, count })} />
    case 'skills check':
      return (
        <Named
          label="Which"
          value={ask.check}
          options={Object.entries(checks).map(([value, label]) => ({ value, label }))}
          onChange={(check) => onChange({ ...ask, check })}
        />
      )
    case 'declaration': {
      const question = rules.form.flatMap((section) => section.questions).find(({ key }) => key === ask.question)
      const answers =
        question?.kind === 'one of'
          ? (question.options ?? [])
          : question?.kind === 'declaration'
            ? ['agreed']
            : ['yes', 'no']
      return (
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <Named
            label="Which question"
            value={ask.question}
            options={questions(rules.form, isDeclared)}
            onChange={(key) => onChange({ ...ask, question: key })}
          />
          <Named
            label="Answered with"
            value={ask.mustBe}
            options={answers.map((value) => ({ value, label: value }))}
            onChange={(mustBe) => onChange({ ...ask, mustBe })}
          />
        </div>
      )
    }
    case 'document':
      return (
        <Named
          label="Which"
          value={ask.question}
          options={questions(rules.form, isDocument)}
          onChange={(question) => onChange({ ...ask, question })}
        />
      )
    case 'answer':
      return (
        <Named
          label="To which question"
          value={ask.question}
          options={questions(rules.form, () => true)}
          onChange={(question) => onChange({ ...ask, question })}
        />
      )
    case 'fee':
      return (
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Amount"
            inputMode="decimal"
            defaultValue={(ask.amount / 100).toFixed(2)}
            onBlur={(event) =>
              onChange({
                ...ask,
                amount: Math.max(1, Math.round(Number(event.target.value.replace(',', '.')) * 100) || 1),
              })
            }
          />
          <TextField
            label="Currency"
            value={ask.currency}
            maxLength={3}
            onChange={(event) => onChange({ ...ask, currency: event.target.value.toUpperCase() })}
          />
        </div>
      )
    case 'onboarding task':
      return (
        <Named
          label="Which"
          value={ask.task}
          options={rules.onboarding.map(({ key, title }) => ({ value: key, label: title }))}
          onChange={(task) => onChange({ ...ask, task })}
        />
      )
    default:
      return null
  }
}

const Count = ({
  label,
  value,
  least = 1,
  onChange,
}: {
  label: string
  value: number
  least?: number
  onChange: (value: number) => void
}) => (
  <TextField
    label={label}
    type="number"
    min={least}
    value={value}
    onChange={(event) => onChange(Math.max(least, Math.round(Number(event.target.value)) || least))}
  />
)

type NamedProps = {
  label: string
  value: string
  options: { value: string; label: string }[]
  onChange: (value: string) => void
}
const Named = ({ label, value, options, onChange }: NamedProps) => (
  <SelectField
    label={label}
    value={value}
    empty="Choose"
    options={options}
    onChange={(event) => onChange(event.target.value)}
  />
)
