import { catalogue } from '#core/catalogue/catalogue'
import type { KnownFact } from '#core/conditions/vocabulary'
import { videoLimits } from '#core/documents/limits'
import { type Blank, blanks, type Question, questionKinds } from '#core/form/form'
import { mayBeNameless } from '#core/privacy/hidden'
import { staffRoles } from '#core/rights/rights'
import { blankWords, kindWords, questionSentence } from '#core/words/form'
import { roleWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { choicesOf } from '../../ui/choices'
import { CheckList, LongField, SelectField, TextField } from '../../ui/Field'
import { Tick } from '../../ui/Tick'
import { ConditionEditor } from './ConditionEditor'
import { freshKey } from './freshKey'
import { freshRecipient, RecipientsEditor } from './RecipientsEditor'

type Props = {
  question: Question
  /** What its condition may look at: what is asked before it, and the file. */
  known: readonly KnownFact[]
  onChange: (next: Question) => void
}

const withOptions = new Set<Question['kind']>(['one of', 'several of', 'ranked choice'])
const withLimit = new Set<Question['kind']>(['text', 'long text'])
const withRange = new Set<Question['kind']>(['number', 'money'])
const unset = (text: string) => (text.trim() === '' ? undefined : text)
const numeral = (text: string) => (text.trim() === '' ? undefined : Number(text))

/** One question: what it asks, how it is answered, what an answer leads to, and who may read it. */
export function QuestionEditor({ question, known, onChange }: Props) {
  const set = (change: Partial<Question>) => onChange({ ...question, ...change })
  return (
    <div className="grid gap-3">
      <p className="rounded-sheet bg-sheet-2 px-3 py-2 text-ink-2">{questionSentence(question)}</p>
      <LongField
        label={say('composer.theQuestion')}
        rows={2}
        value={question.label}
        onChange={(event) => set({ label: event.target.value })}
      />
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={say('composer.answeredWith')}
          value={question.kind}
          options={questionKinds.map((kind) => ({ value: kind, label: kindWords(kind) }))}
          onChange={(event) => onChange(ofKind(question, event.target.value as Question['kind']))}
        />
        <Tick
          label={say('composer.hasToBeAnswered')}
          checked={question.required}
          onChange={(required) => set({ required })}
        />
      </div>
      {withOptions.has(question.kind) && (
        <LongField
          label={say('composer.whatCanBeChosenOne')}
          rows={4}
          defaultValue={(question.options ?? []).join('\n')}
          onBlur={(event) => set({ options: lines(event.target.value) })}
        />
      )}
      {question.kind === 'ranked choice' && (
        <TextField
          label={say('composer.howManyMayBeRanked')}
          type="number"
          min={1}
          value={question.rankUpTo ?? ''}
          onChange={(event) => set({ rankUpTo: numeral(event.target.value) })}
        />
      )}
      {withLimit.has(question.kind) && (
        <TextField
          label={say('composer.longestAnswerInCharacters')}
          type="number"
          min={1}
          max={4000}
          value={question.limit ?? ''}
          onChange={(event) => set({ limit: numeral(event.target.value) })}
        />
      )}
      {withRange.has(question.kind) && (
        <div className="grid grid-cols-3 gap-3">
          <TextField
            label={say('composer.atLeast')}
            type="number"
            value={question.least ?? ''}
            onChange={(event) => set({ least: numeral(event.target.value) })}
          />
          <TextField
            label={say('composer.atMost')}
            type="number"
            value={question.most ?? ''}
            onChange={(event) => set({ most: numeral(event.target.value) })}
          />
          <TextField
            label={question.kind === 'money' ? say('composer.currency') : say('composer.unit')}
            value={question.unit ?? ''}
            onChange={(event) => set({ unit: unset(event.target.value) })}
          />
        </div>
      )}
      {question.kind === 'yes or no' && (
        <div className="grid grid-cols-2 gap-3">
          <Leads
            label={say('composer.asksWhatHappened')}
            value={question.explain}
            onChange={(explain) => set({ explain })}
          />
          <Leads label={say('composer.asksForADocument')} value={question.paper} onChange={(paper) => set({ paper })} />
        </div>
      )}
      {(question.kind === 'document' || question.paper) && (
        <SelectField
          label={say('composer.kindOfDocument')}
          help={say('composer.kindOfDocumentHelp')}
          empty={say('composer.anyDocument')}
          options={choicesOf(catalogue().documents, question.documentKind ?? '')}
          value={question.documentKind ?? ''}
          onChange={(event) => set({ documentKind: unset(event.target.value) })}
        />
      )}
      {(question.kind === 'document' || question.paper) && (
        <TextField
          label={say('composer.aVideoOfAtMost')}
          help={say('composer.emptyMeansADocument')}
          type="number"
          min={5}
          max={videoLimits.seconds}
          value={question.videoSeconds ?? ''}
          onChange={(event) => set({ videoSeconds: numeral(event.target.value) })}
        />
      )}
      {question.kind === 'address' && (
        <Tick
          label={say('composer.withTheStreet')}
          checked={Boolean(question.street)}
          onChange={(street) => set({ street: street || undefined })}
        />
      )}
      {question.kind !== 'document' && question.kind !== 'identity number' && (
        <Tick
          label={say('composer.willBePublic')}
          help={say('composer.willBePublicMeans')}
          checked={Boolean(question.public)}
          onChange={(everybody) => set({ public: everybody || undefined })}
        />
      )}
      {question.kind === 'recipients' && <RecipientsEditor {...{ question, known, onChange }} />}
      {question.kind === 'records' && <Parts question={question} onChange={onChange} />}
      <TextField
        label={say('composer.helpBeneathIt')}
        value={question.help ?? ''}
        onChange={(event) => set({ help: unset(event.target.value) })}
      />
      {question.kind !== 'document' && question.kind !== 'declaration' && question.kind !== 'recipients' && (
        <CheckList
          label={say('composer.honestBlanksThatWillDo')}
          options={blanks.map((value) => ({ value, label: blankWords(value) }))}
          value={question.blanks ?? []}
          onChange={(next) => set({ blanks: next.length > 0 ? (next as Blank[]) : undefined })}
        />
      )}
      <CheckList
        label={say('composer.whoMayReadTheAnswer')}
        help={say('composer.nobodyChosenMeansEverybodyAt')}
        options={staffRoles.map((value) => ({ value, label: roleWords(value) }))}
        value={question.seenBy ?? []}
        onChange={(next) => set({ seenBy: next.length > 0 ? next : undefined })}
      />
      {mayBeNameless(question.kind) && (
        <Tick
          label={say('composer.readNameless')}
          checked={question.nameless === true}
          onChange={(nameless) => set({ nameless: nameless || undefined })}
        />
      )}
      <ConditionEditor
        label={say('composer.whenItIsAsked')}
        condition={question.when}
        known={known}
        onChange={(when) => set({ when })}
      />
    </div>
  )
}

const lines = (text: string) => [
  ...new Set(
    text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean),
  ),
]

/** Another kind keeps what it has a use for. */
function ofKind(question: Question, kind: Question['kind']): Question {
  const {
    key,
    label,
    required,
    help,
    when,
    blanks: allowed,
    seenBy,
    options,
    limit,
    least,
    most,
    unit,
    parts,
    rankUpTo,
    explain,
    paper,
    documentKind,
    videoSeconds,
    recipients,
  } = question
  return {
    key,
    label,
    kind,
    required,
    help,
    when,
    seenBy,
    ...(kind === 'document' || kind === 'declaration' ? {} : { blanks: allowed }),
    ...(withOptions.has(kind) ? { options: options ?? [] } : {}),
    ...(kind === 'ranked choice' ? { rankUpTo: rankUpTo ?? 3 } : {}),
    ...(withLimit.has(kind) ? { limit } : {}),
    ...(mayBeNameless(kind) ? { nameless: question.nameless } : {}),
    ...(withRange.has(kind) ? { least, most, unit: kind === 'money' ? 'EUR' : unit } : {}),
    ...(kind === 'yes or no' ? { explain, paper, documentKind, videoSeconds } : {}),
    ...(kind === 'document' ? { documentKind, videoSeconds } : {}),
    ...(kind === 'recipients' ? { recipients: recipients ?? [freshRecipient([])] } : {}),
    ...(kind === 'records'
      ? { parts: parts ?? [{ key: 'name', label: say('composer.name'), kind: 'text', required: true }] }
      : {}),
  }
}

function Leads({
  label,
  value,
  onChange,
}: {
  label: string
  value: 'yes' | 'no' | undefined
  onChange: (value: 'yes' | 'no' | undefined) => void
}) {
  return (
    <SelectField
      label={label}
      value={value ?? ''}
      empty={say('composer.never')}
      options={[
        { value: 'yes', label: say('composer.afterAYes') },
        { value: 'no', label: say('composer.afterANo') },
      ]}
      onChange={(event) => onChange((event.target.value || undefined) as 'yes' | 'no' | undefined)}
    />
  )
}

const partKinds = ['text', 'date', 'partial date', 'number', 'country', 'phone', 'mail', 'link', 'yes or no'] as const

function Parts({ question, onChange }: { question: Question; onChange: (next: Question) => void }) {
  const parts = question.parts ?? []
  const put = (next: Question[]) => onChange({ ...question, parts: next })
  return (
    <fieldset>
      <legend className="mb-1 font-semibold text-[0.93em]">{say('composer.whatEachRecordSays')}</legend>
      <div className="grid gap-1.5">
        {parts.map((part, index) => (
          <div key={part.key} className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)_auto_auto] items-center gap-2">
            <TextField
              label={say('composer.partIndex', { index: index + 1 })}
              hidden
              value={part.label}
              onChange={(event) =>
                put(parts.map((other) => (other === part ? { ...part, label: event.target.value } : other)))
              }
            />
            <SelectField
              label={say('composer.kindOfPart', { index: index + 1 })}
              hidden
              value={part.kind}
              options={partKinds.map((kind) => ({ value: kind, label: kindWords(kind) }))}
              onChange={(event) =>
                put(
                  parts.map((other) =>
                    other === part ? { ...part, kind: event.target.value as Question['kind'] } : other,
                  ),
                )
              }
            />
            <label className="flex items-center gap-1 text-[0.9em]">
              <input
                type="checkbox"
                className="accent-confirmed"
                checked={part.required}
                onChange={(event) =>
                  put(parts.map((other) => (other === part ? { ...part, required: event.target.checked } : other)))
                }
              />
              {say('composer.needed')}
            </label>
            <button
              type="button"
              className="text-[0.9em] text-ink-2 underline"
              onClick={() => put(parts.filter((other) => other !== part))}
            >
              {say('composer.takeOut')}
            </button>
          </div>
        ))}
        <button
          type="button"
          className="justify-self-start font-semibold text-confirmed"
          onClick={() =>
            put([
              ...parts,
              {
                key: freshKey('part', new Set(parts.map(({ key }) => key))),
                label: say('composer.part'),
                kind: 'text',
                required: false,
              },
            ])
          }
        >
          {say('composer.addAPart')}
        </button>
      </div>
    </fieldset>
  )
}
