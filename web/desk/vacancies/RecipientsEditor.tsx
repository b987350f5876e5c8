import type { KnownFact } from '#core/conditions/vocabulary'
import type { Question } from '#core/form/form'
import type { Exclusion, Recipient } from '#core/recipients/choice'
import { gates } from '#core/requirements/requirement'
import { type Language, languages, say } from '#core/words/say'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { languageNames } from '../../ui/languageNames'
import { ConditionEditor, newComparison } from './ConditionEditor'
import { freshKey } from './freshKey'
import { gateWords } from './gateWords'

type Props = { question: Question; known: readonly KnownFact[]; onChange: (next: Question) => void }

/** The bodies of which some may be chosen: who they are, when each receives what is proven, and to whom it is not open. */
export function RecipientsEditor({ question, known, onChange }: Props) {
  const { recipients = [] } = question
  const put = (next: readonly Recipient[]) => onChange({ ...question, recipients: next })
  const change = (recipient: Recipient, over: Partial<Recipient>) =>
    put(recipients.map((other) => (other === recipient ? { ...recipient, ...over } : other)))
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-semibold text-[0.93em]">{say('composer.recipients')}</legend>
      {recipients.map((recipient, index) => (
        <section
          key={recipient.key}
          className="grid gap-2 rounded-sheet border border-line px-3 py-2"
          aria-label={say('composer.recipient', { index: index + 1 })}
        >
          <div className="grid grid-cols-2 gap-3">
            <TextField
              label={say('composer.recipientName')}
              value={recipient.name}
              onChange={(event) => change(recipient, { name: event.target.value })}
            />
            <TextField
              label={say('composer.recipientMail')}
              type="email"
              value={recipient.mail}
              onChange={(event) => change(recipient, { mail: event.target.value })}
            />
            <SelectField
              label={say('composer.recipientLanguage')}
              options={languages.map((value) => ({ value, label: languageNames[value] }))}
              value={recipient.language}
              onChange={(event) => change(recipient, { language: event.target.value as Language })}
            />
            <SelectField
              label={say('composer.recipientGate')}
              options={gates.map((value) => ({ value, label: gateWords[value] }))}
              value={recipient.gate}
              onChange={(event) => change(recipient, { gate: event.target.value as Recipient['gate'] })}
            />
          </div>
          <LongField
            label={say('composer.recipientAbout')}
            rows={2}
            value={recipient.about ?? ''}
            onChange={(event) => change(recipient, { about: event.target.value || undefined })}
          />
          <Exclusions
            exclusions={recipient.exclusions ?? []}
            known={known}
            onChange={(exclusions) => change(recipient, { exclusions: exclusions.length > 0 ? exclusions : undefined })}
          />
          <button
            type="button"
            className="justify-self-start text-[0.9em] text-ink-2 underline"
            onClick={() => put(recipients.filter((other) => other !== recipient))}
          >
            {say('composer.takeOut')}
          </button>
        </section>
      ))}
      <p className="text-[0.9em] text-ink-2">{say('composer.askOnlyOf')}</p>
      <button
        type="button"
        className="justify-self-start font-semibold text-confirmed"
        onClick={() => put([...recipients, freshRecipient(recipients)])}
      >
        {say('composer.addRecipient')}
      </button>
    </fieldset>
  )
}

/** A body to begin with. */
export const freshRecipient = (others: readonly Recipient[]): Recipient => ({
  key: freshKey('recipient', new Set(others.map(({ key }) => key))),
  name: say('composer.newRecipient'),
  mail: 'records@recipient.example',
  language: 'en',
  gate: 'shortlist',
})

type ExclusionsProps = {
  exclusions: readonly Exclusion[]
  known: readonly KnownFact[]
  onChange: (next: readonly Exclusion[]) => void
}

function Exclusions({ exclusions, known, onChange }: ExclusionsProps) {
  const replace = (nth: number, next: Exclusion | undefined) =>
    onChange(exclusions.flatMap((one, at) => (at === nth ? (next ?? []) : one)))
  return (
    <div className="grid gap-2">
      {exclusions.map((exclusion, nth) => (
        <div key={nth} className="grid gap-1.5 border-line-strong border-l-2 pl-2.5">
          <ConditionEditor
            label={say('composer.notOpenIf')}
            condition={exclusion.when}
            known={known}
            onChange={(when) => replace(nth, when && { ...exclusion, when })}
          />
          <TextField
            label={say('composer.becauseSaid')}
            value={exclusion.because}
            onChange={(event) => replace(nth, { ...exclusion, because: event.target.value })}
          />
        </div>
      ))}
      {known.length > 0 && (
        <button
          type="button"
          className="justify-self-start font-semibold text-confirmed"
          onClick={() => onChange([...exclusions, { when: { all: [newComparison(known)] }, because: '' }])}
        >
          {say('composer.addExclusion')}
        </button>
      )}
    </div>
  )
}
