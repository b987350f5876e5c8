import { becauseKey, type Question, type Section } from '#core/form/form'
import { Button } from '../../ui/Button'
import { Choice, LongField, SelectField, TextField } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'
import { countries } from './countries'
import type { Autosave } from './useAutosave'

/** A section of plain questions; each answer is saved as it is given. */
export function QuestionsSection({ section, autosave }: { section: Section; autosave: Autosave }) {
  return (
    <Sheet className="grid max-w-[720px] gap-5">
      {section.questions.map((question) => (
        <div key={question.key}>
          <Answer question={question} autosave={autosave} />
          {question.explain && autosave.answer(question.key) === question.explain && (
            <div className="mt-3 border-line border-l-2 pl-4">
              <LongField
                label="What happened?"
                help="In your own words. A person reads it; nothing follows by itself."
                limit={2000}
                value={autosave.answer(becauseKey(question.key))}
                onChange={(event) => autosave.change(becauseKey(question.key), event.target.value)}
                error={autosave.fault(becauseKey(question.key))}
              />
            </div>
          )}
          {question.key in autosave.clashes && <Clash question={question} autosave={autosave} />}
        </div>
      ))}
    </Sheet>
  )
}

function Answer({ question, autosave }: { question: Question; autosave: Autosave }) {
  const { key, label, kind, help, required, limit, fill } = question
  const value = autosave.answer(key)
  const error = autosave.fault(key)
  if (kind === 'yes or no') {
    return (
      <Choice
        label={label}
        name={key}
        value={value}
        onChange={(next) => autosave.change(key, next)}
        error={error}
        options={[
          { value: 'yes', label: 'Yes' },
          { value: 'no', label: 'No' },
        ]}
      />
    )
  }
  const common = {
    label,
    help,
    error,
    optional: !required,
    value,
    onChange: (event: { target: { value: string } }) => autosave.change(key, event.target.value),
  }
  if (kind === 'long text') return <LongField {...common} limit={limit} />
  if (kind === 'one of' || kind === 'country') {
    const options =
      kind === 'country' ? countries : (question.options ?? []).map((option) => ({ value: option, label: option }))
    return <SelectField {...common} options={options} empty="Choose" autoComplete={fill} />
  }
  const types = { text: 'text', date: 'date', mail: 'email', phone: 'tel' } as const
  return <TextField {...common} type={types[kind]} autoComplete={fill} limit={limit} />
}

/** Two values for one answer: the person chooses, and neither is lost before. */
function Clash({ question, autosave }: { question: Question; autosave: Autosave }) {
  const theirs = autosave.clashes[question.key] ?? ''
  return (
    <div role="alert" className="mt-2 rounded-sheet bg-soon-wash p-3 text-soon-ink">
      <p className="font-semibold">This was changed in another window meanwhile.</p>
      <p>
        There: <strong>{theirs || 'nothing'}</strong>. Here:{' '}
        <strong>{autosave.answer(question.key) || 'nothing'}</strong>.
      </p>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => autosave.settle(question.key, 'mine')}>Keep what is here</Button>
        <Button onClick={() => autosave.settle(question.key, 'theirs')}>Take the other</Button>
      </div>
    </div>
  )
}
