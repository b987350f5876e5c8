import type { Form } from '#core/form/form'
import { credentialKinds, studyFields, studyLevels } from '#core/requirements/catalogue'
import type { Ask } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { credentialName, studyFieldName, studyLevelName } from '#core/words/names'
import { say } from '#core/words/say'
import { CheckList, SelectField, TextField } from '../../ui/Field'

type Props = {
  ask: Ask
  rules: Rules
  checks: Readonly<Record<string, string>>
  onChange: (ask: Ask) => void
  label: string
}

const kinds: Record<Ask['kind'], string> = {
  study: say('composer.studyAtALevelOr'),
  credential: say('composer.aLicenceOrCertificate'),
  experience: say('composer.yearsOfRelevantWork'),
  history: say('composer.aHistoryWithoutGaps'),
  'every work entry': say('composer.everyJobConfirmed'),
  reference: say('composer.referencesFromEmployers'),
  'skills check': say('composer.aSkillsCheck'),
  declaration: say('composer.aQuestionAnsweredInA'),
  document: say('composer.aDocumentTheFormAsks'),
  answer: say('composer.anAnswer'),
  identity: say('composer.aPaperOfIdentity'),
  vouching: say('composer.peopleWhoVouch'),
  permission: say('composer.thePermissionToCheck'),
  fee: say('composer.aFee'),
  'offer accepted': say('composer.theOfferAccepted'),
  'onboarding task': say('composer.anOnboardingTask'),
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
    case 'every work entry':
    case 'permission':
    case 'identity':
    case 'offer accepted':
      return { kind }
  }
}

function Details({ ask, rules, checks, onChange }: Omit<Props, 'label'>) {
  switch (ask.kind) {
    case 'study':
      return (
        <>
          <SelectField
            label={say('composer.atLeastAtTheLevel')}
            value={String(ask.levelAtLeast)}
            options={studyLevels.map((level) => ({ value: String(level), label: studyLevelName(level) ?? '' }))}
            onChange={(event) => onChange({ ...ask, levelAtLeast: Number(event.target.value) })}
          />
          <CheckList
            label={say('composer.inOneOfTheseFields')}
            help={say('composer.noneChosenMeansAnyField')}
            options={studyFields.map((value) => ({ value, label: studyFieldName(value) }))}
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
          label={say('composer.ofThisKind')}
          value={ask.credential}
          options={credentialKinds.map(({ key }) => ({ value: key, label: credentialName(key) }))}
          onChange={(event) => onChange({ ...ask, credential: event.target.value })}
        />
      )
    case 'experience':
      return (
        <div className="grid grid-cols-2 gap-3">
          <Count
            label={say('composer.monthsInAll')}
            value={ask.months}
            onChange={(months) => onChange({ ...ask, months })}
          />
          <TextField
            label={say('composer.inWorkOfTheseKinds')}
            help={say('composer.separatedByCommasEmptyMeans')}
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
          <Count
            label={say('composer.yearsUpToTheDay')}
            value={ask.years}
            onChange={(years) => onChange({ ...ask, years })}
          />
          <Count
            label={say('composer.daysOfAGapThat')}
            least={0}
            value={ask.toleratedGapDays}
            onChange={(toleratedGapDays) => onChange({ ...ask, toleratedGapDays })}
          />
          <SelectField
            label={say('composer.ofWhat')}
            value={ask.of ?? ''}
            options={[
              { value: '', label: say('composer.whatTheyDid') },
              { value: 'home', label: say('composer.whereTheyLived') },
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
      return (
        <Count label={say('composer.howMany')} value={ask.count} onChange={(count) => onChange({ ...ask, count })} />
      )
    case 'skills check':
      return (
        <Named
          label={say('composer.which')}
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
            label={say('composer.whichQuestion')}
            value={ask.question}
            options={questions(rules.form, isDeclared)}
            onChange={(key) => onChange({ ...ask, question: key })}
          />
          <Named
            label={say('composer.answeredWith')}
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
          label={say('composer.which')}
          value={ask.question}
          options={questions(rules.form, isDocument)}
          onChange={(question) => onChange({ ...ask, question })}
        />
      )
    case 'answer':
      return (
        <Named
          label={say('composer.toWhichQuestion')}
          value={ask.question}
          options={questions(rules.form, () => true)}
          onChange={(question) => onChange({ ...ask, question })}
        />
      )
    case 'fee':
      return (
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label={say('composer.amount')}
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
            label={say('composer.currency')}
            value={ask.currency}
            maxLength={3}
            onChange={(event) => onChange({ ...ask, currency: event.target.value.toUpperCase() })}
          />
        </div>
      )
    case 'onboarding task':
      return (
        <Named
          label={say('composer.which')}
          value={ask.task}
          options={rules.onboarding.map(({ key, title }) => ({ value: key, label: title }))}
          onChange={(task) => onChange({ ...ask, task })}
        />
      )
    case 'every work entry':
    case 'permission':
    case 'identity':
    case 'offer accepted':
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
    empty={say('composer.choose')}
    options={options}
    onChange={(event) => onChange(event.target.value)}
  />
)
