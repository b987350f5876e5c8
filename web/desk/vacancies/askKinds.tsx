import type { ReactElement } from 'react'
import { catalogue, credentialKind, offered } from '#core/catalogue/catalogue'
import { type CefrLevel, cefrLevels } from '#core/catalogue/cefr'
import type { Form, Question } from '#core/form/form'
import type { RulesAsk } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { choicesOf } from '../../ui/choices'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { Tick } from '../../ui/Tick'
import { AgeAsk } from './AgeAsk'
import { Deciders } from './Deciders'

type AskOf<Kind extends RulesAsk['kind']> = Extract<RulesAsk, { kind: Kind }>

/** What an ask may refer to: the vacancy's questions and tasks, and the skills checks by their keys with their titles. */
export type Surroundings = { rules: Rules; checks: Readonly<Record<string, string>> }

type Detailing<Kind extends RulesAsk['kind']> = Surroundings & {
  ask: AskOf<Kind>
  onChange: (ask: AskOf<Kind>) => void
}

type AskKind<Kind extends RulesAsk['kind']> = {
  name: string
  /** One to begin with. */
  begin: (around: Surroundings) => AskOf<Kind>
  /** What there is to be said about it beyond its kind. */
  Details?: (props: Detailing<Kind>) => ReactElement
}

const questions = (form: Form, wanted: (question: Question) => boolean) =>
  form.flatMap((section) => section.questions.filter(wanted).map(({ key, label }) => ({ value: key, label })))
const isDocument = ({ kind, paper }: Question) => kind === 'document' || Boolean(paper)
const isDeclared = ({ kind }: Question) => kind === 'yes or no' || kind === 'declaration' || kind === 'one of'

/** What a question that is declared can be answered with; options are as somebody wrote them. */
function answersTo(form: Form, key: string): { value: string; label: string }[] {
  const question = form.flatMap((section) => section.questions).find((one) => one.key === key)
  if (question?.kind === 'one of') return (question.options ?? []).map((value) => ({ value, label: value }))
  const answers = question?.kind === 'declaration' ? (['agreed'] as const) : (['yes', 'no'] as const)
  return answers.map((value) => ({ value, label: say(`names.answer.${value}`) }))
}

/** What there is to know of each kind of ask where it is composed. */
export const askKinds: { [Kind in RulesAsk['kind']]: AskKind<Kind> } = {
  study: {
    name: say('composer.studyAtALevelOr'),
    begin: () => ({ kind: 'study', levelAtLeast: 6 }),
    Details: ({ ask, onChange }) => (
      <>
        <SelectField
          label={say('composer.atLeastAtTheLevel')}
          value={String(ask.levelAtLeast)}
          options={choicesOf(catalogue().levels, String(ask.levelAtLeast))}
          onChange={(event) => onChange({ ...ask, levelAtLeast: Number(event.target.value) })}
        />
        <CheckList
          label={say('composer.inOneOfTheseFields')}
          help={say('composer.noneChosenMeansAnyField')}
          options={choicesOf(catalogue().fields, ...(ask.fields ?? []))}
          value={ask.fields ?? []}
          onChange={(fields) =>
            onChange(fields.length > 0 ? { ...ask, fields } : { kind: ask.kind, levelAtLeast: ask.levelAtLeast })
          }
        />
        {ask.fields && (
          <Tick
            label={say('composer.aMinorDoes')}
            checked={Boolean(ask.minor)}
            onChange={(minor) => {
              const { minor: _before, ...plain } = ask
              onChange(minor ? { ...plain, minor } : plain)
            }}
          />
        )}
      </>
    ),
  },
  credential: {
    name: say('composer.aLicenceOrCertificate'),
    begin: () => ({ kind: 'credential', credential: offered(catalogue().credentials)[0]?.key ?? '' }),
    Details: ({ ask, onChange }) => (
      <>
        <SelectField
          label={say('composer.ofThisKind')}
          value={ask.credential}
          options={choicesOf(catalogue().credentials, ask.credential)}
          onChange={(event) => onChange({ kind: ask.kind, credential: event.target.value })}
        />
        <AtLeast ask={ask} onChange={onChange} />
      </>
    ),
  },
  language: {
    name: say('composer.aLanguage'),
    begin: () => ({ kind: 'language', language: offered(catalogue().languages)[0]?.key ?? '', level: 'B1' }),
    Details: ({ ask, onChange }) => (
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={say('composer.whichLanguage')}
          value={ask.language}
          options={choicesOf(catalogue().languages, ask.language)}
          onChange={(event) => onChange({ ...ask, language: event.target.value })}
        />
        <SelectField
          label={say('composer.atLeastAtTheLevel')}
          value={ask.level}
          options={cefrLevels.map((value) => ({ value, label: value }))}
          onChange={(event) => onChange({ ...ask, level: event.target.value as CefrLevel })}
        />
      </div>
    ),
  },
  age: {
    name: say('composer.anAge'),
    begin: ({ rules: { form } }) => ({
      kind: 'age',
      question: questions(form, ({ kind }) => kind === 'date')[0]?.value ?? '',
      least: 18,
    }),
    Details: AgeAsk,
  },
  experience: {
    name: say('composer.yearsOfRelevantWork'),
    begin: () => ({ kind: 'experience', months: 24, tags: [] }),
    Details: ({ ask, onChange }) => (
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
    ),
  },
  history: {
    name: say('composer.aHistoryWithoutGaps'),
    begin: () => ({ kind: 'history', years: 5, toleratedGapDays: 30 }),
    Details: ({ ask, onChange }) => (
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
            const { of: _of, street: _street, ...rest } = ask
            onChange(event.target.value === 'home' ? { ...rest, of: 'home' } : rest)
          }}
        />
        {ask.of === 'home' && (
          <div className="self-end">
            <Tick
              label={say('composer.withTheStreet')}
              checked={Boolean(ask.street)}
              onChange={(street) => {
                const { street: _before, ...rest } = ask
                onChange(street ? { ...rest, street } : rest)
              }}
            />
          </div>
        )}
      </div>
    ),
  },
  'every work entry': {
    name: say('composer.everyJobConfirmed'),
    begin: () => ({ kind: 'every work entry' }),
    Details: ({ ask, onChange }) => (
      <Tick
        label={say('composer.wholeLetter')}
        checked={Boolean(ask.wholeLetter)}
        onChange={(whole) => onChange({ kind: 'every work entry', ...(whole ? { wholeLetter: true as const } : {}) })}
      />
    ),
  },
  reference: {
    name: say('composer.referencesFromEmployers'),
    begin: () => ({ kind: 'reference', count: 2 }),
    Details: ({ ask, onChange }) => <HowMany count={ask.count} onChange={(count) => onChange({ ...ask, count })} />,
  },
  'skills check': {
    name: say('composer.aSkillsCheck'),
    begin: ({ checks }) => ({ kind: 'skills check', check: Object.keys(checks)[0] ?? '' }),
    Details: ({ ask, checks, onChange }) => (
      <Named
        label={say('composer.which')}
        value={ask.check}
        options={Object.entries(checks).map(([value, label]) => ({ value, label }))}
        onChange={(check) => onChange({ ...ask, check })}
      />
    ),
  },
  declaration: {
    name: say('composer.aQuestionAnsweredInA'),
    begin: ({ rules: { form } }) => {
      const question = questions(form, isDeclared)[0]?.value ?? ''
      return { kind: 'declaration', question, mustBe: answersTo(form, question)[0]?.value ?? '' }
    },
    Details: ({ ask, rules: { form }, onChange }) => (
      <div className="grid grid-cols-[2fr_1fr] gap-3">
        <Named
          label={say('composer.whichQuestion')}
          value={ask.question}
          options={questions(form, isDeclared)}
          onChange={(question) => {
            const answers = answersTo(form, question).map(({ value }) => value)
            // An answer that the other question does not know could never be given.
            onChange({ ...ask, question, mustBe: answers.includes(ask.mustBe) ? ask.mustBe : (answers[0] ?? '') })
          }}
        />
        <Named
          label={say('composer.answeredWith')}
          value={ask.mustBe}
          options={answersTo(form, ask.question)}
          onChange={(mustBe) => onChange({ ...ask, mustBe })}
        />
        <div className="col-span-2">
          <Deciders ask={ask} onChange={onChange} />
        </div>
      </div>
    ),
  },
  document: {
    name: say('composer.aDocumentTheFormAsks'),
    begin: ({ rules: { form } }) => ({ kind: 'document', question: questions(form, isDocument)[0]?.value ?? '' }),
    Details: ({ ask, rules: { form }, onChange }) => (
      <Named
        label={say('composer.which')}
        value={ask.question}
        options={questions(form, isDocument)}
        onChange={(question) => onChange({ ...ask, question })}
      />
    ),
  },
  answer: {
    name: say('composer.anAnswer'),
    begin: ({ rules: { form } }) => ({ kind: 'answer', question: questions(form, () => true)[0]?.value ?? '' }),
    Details: ({ ask, rules: { form }, onChange }) => (
      <Named
        label={say('composer.toWhichQuestion')}
        value={ask.question}
        options={questions(form, () => true)}
        onChange={(question) => onChange({ ...ask, question })}
      />
    ),
  },
  identity: {
    name: say('composer.aPaperOfIdentity'),
    begin: () => ({ kind: 'identity' }),
    Details: ({ ask, onChange }) => (
      <Tick
        label={say('composer.withALivePortrait')}
        checked={Boolean(ask.portrait)}
        onChange={(portrait) => onChange(portrait ? { kind: 'identity', portrait } : { kind: 'identity' })}
      />
    ),
  },
  vouching: {
    name: say('composer.peopleWhoVouch'),
    begin: () => ({ kind: 'vouching', count: 1 }),
    Details: ({ ask, onChange }) => <HowMany count={ask.count} onChange={(count) => onChange({ ...ask, count })} />,
  },
  permission: { name: say('composer.thePermissionToCheck'), begin: () => ({ kind: 'permission' }) },
  fee: {
    name: say('composer.aFee'),
    begin: ({ rules: { fees = [] } }) => ({ kind: 'fee', schedule: fees[0]?.key ?? '' }),
    Details: ({ ask, rules: { fees = [] }, onChange }) => (
      <Named
        label={say('composer.which')}
        value={ask.schedule}
        options={fees.map(({ key, title }) => ({ value: key, label: title }))}
        onChange={(schedule) => onChange({ ...ask, schedule })}
      />
    ),
  },
  'offer accepted': { name: say('composer.theOfferAccepted'), begin: () => ({ kind: 'offer accepted' }) },
  'onboarding task': {
    name: say('composer.anOnboardingTask'),
    begin: ({ rules: { onboarding } }) => ({ kind: 'onboarding task', task: onboarding[0]?.key ?? '' }),
    Details: ({ ask, rules: { onboarding }, onChange }) => (
      <Named
        label={say('composer.which')}
        value={ask.task}
        options={onboarding.map(({ key, title }) => ({ value: key, label: title }))}
        onChange={(task) => onChange({ ...ask, task })}
      />
    ),
  },
}

/** An amount that it has to be for, where its kind asks for one. */
function AtLeast({ ask, onChange }: Pick<Detailing<'credential'>, 'ask' | 'onChange'>) {
  const { atLeast, ...plain } = ask
  const fields = (credentialKind(ask.credential)?.fields ?? []).filter(
    ({ kind }) => kind === 'money' || kind === 'number',
  )
  if (fields.length === 0) return null
  const field = fields.find(({ key }) => key === atLeast?.field)
  const factor = field?.kind === 'money' ? 100 : 1
  return (
    <div className="grid grid-cols-2 gap-3">
      <SelectField
        label={say('composer.forAtLeast')}
        value={atLeast?.field ?? ''}
        empty={say('composer.anyAmount')}
        options={fields.map((one) => ({ value: one.key, label: translated(one).label }))}
        onChange={({ target: { value } }) =>
          onChange(value ? { ...plain, atLeast: { field: value, amount: 100 } } : plain)
        }
      />
      {atLeast && field && (
        <TextField
          key={atLeast.field}
          label={translated(field).unit || say('composer.amount')}
          inputMode="decimal"
          defaultValue={atLeast.amount / factor}
          onBlur={(event) => {
            const amount = Math.round(Number(event.target.value.replace(',', '.')) * factor) || 1
            onChange({ ...plain, atLeast: { field: atLeast.field, amount: Math.max(1, amount) } })
          }}
        />
      )}
    </div>
  )
}

const HowMany = ({ count, onChange }: { count: number; onChange: (count: number) => void }) => (
  <Count label={say('composer.howMany')} value={count} onChange={onChange} />
)

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
