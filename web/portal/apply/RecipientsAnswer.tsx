import { Ban } from 'lucide-react'
import type { Draft } from '#contract/applications'
import { type Question, questionsOf } from '#core/form/form'
import { isSent } from '#core/hiring/stages'
import { opennessOf, type Recipient } from '#core/recipients/choice'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { SignForRecipients } from '../SignForRecipients'
import { ownPlace, useApplyPlace } from './place'
import type { Autosave } from './useAutosave'

type Props = { question: Question; draft: Draft; autosave: Autosave }

/** Bodies to choose from: whom each is open to is said before, and those that are chosen are allowed to be told with one signature. */
export function RecipientsAnswer({ question, draft, autosave }: Props) {
  const place = useApplyPlace()
  const { recipients = [] } = question
  const answer = autosave.answer(question.key)
  const chosen = Array.isArray(answer) ? answer.map(String) : []
  const sent = isSent(draft)
  const toSign = recipients.filter(
    (recipient) =>
      chosen.includes(recipient.key) &&
      !draft.authorised.includes(recipient.key) &&
      opennessOf(recipient, autosave.facts).state !== 'closed',
  )
  const toggle = (key: string, on: boolean) =>
    autosave.change(
      question.key,
      recipients.map((one) => one.key).filter((one) => (one === key ? on : chosen.includes(one))),
    )
  return (
    <div className="grid gap-3">
      <fieldset>
        <legend className="mb-1.5 font-semibold text-[0.93em]">{translated(question).label}</legend>
        <div className="grid gap-2">
          {recipients.map((recipient) => (
            <OneRecipient
              key={recipient.key}
              {...{ recipient, draft, autosave, sent }}
              chosen={chosen.includes(recipient.key)}
              onToggle={(on) => toggle(recipient.key, on)}
            />
          ))}
        </div>
        {autosave.fault(question.key) && (
          <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
            {autosave.fault(question.key)}
          </p>
        )}
      </fieldset>
      {toSign.length > 0 &&
        (place === ownPlace ? (
          <SignForRecipients
            id={draft.id}
            choose={toSign.map(({ key, ...rest }) => ({ key, name: translated(rest).name }))}
            // What is ticked is saved first.
            disabled={autosave.version === undefined}
          />
        ) : (
          <p className="text-ink-2">{say('apply.recipientsSignThemselves')}</p>
        ))}
    </div>
  )
}

type OneProps = {
  recipient: Recipient
  draft: Draft
  autosave: Autosave
  sent: boolean
  chosen: boolean
  onToggle: (on: boolean) => void
}

function OneRecipient({ recipient, draft, autosave, sent, chosen, onToggle }: OneProps) {
  const openness = opennessOf(recipient, autosave.facts)
  const { key, name, about } = translated(recipient)
  const closed = openness.state === 'closed'
  const labels = new Map(questionsOf(draft.form).map((one) => [one.key, translated(one).label]))
  return (
    <label
      className={`flex items-start gap-2.5 rounded-sheet border px-3 py-2 ${chosen ? 'border-confirmed bg-confirmed-wash' : 'border-line'}`}
    >
      <input
        type="checkbox"
        className="mt-1 accent-confirmed"
        checked={chosen}
        // One that closed since can still be taken off.
        disabled={sent || (closed && !chosen)}
        onChange={(event) => onToggle(event.target.checked)}
      />
      <span className="min-w-0">
        <span className="font-semibold">{name}</span>
        {about && <span className="block text-ink-2">{about}</span>}
        {closed && (
          <span className="flex items-start gap-1.5 font-semibold text-contradicted">
            <Ban aria-hidden size={16} className="mt-1 shrink-0" />
            {say('recipients.notOpen', { because: openness.because })}
          </span>
        )}
        {openness.state === 'undecided' && (
          <span className="block text-ink-2">
            {say('recipients.dependsOn', {
              questions: openness.deciding.map((fact) => labels.get(fact) ?? say('recipients.yourFile')).join(', '),
            })}
          </span>
        )}
        {chosen && draft.authorised.includes(key) && (
          <span className="block text-confirmed">{say('recipients.isAllowed')}</span>
        )}
      </span>
    </label>
  )
}
