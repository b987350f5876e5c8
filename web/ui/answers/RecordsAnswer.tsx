import type { ReactNode } from 'react'
import type { Parts } from '#core/form/answer'
import { say } from '#core/words/say'
import { Button } from '../Button'
import type { AnswerProps } from './answerProps'

/** A list of similar records, each answered by the same few questions. */
export function RecordsAnswer({
  question,
  value,
  onChange,
  error,
  partOf,
}: Omit<AnswerProps, 'value'> & { value: readonly Parts[]; partOf: (part: AnswerProps) => ReactNode }) {
  const put = (index: number, record: Parts) => onChange(value.map((other, at) => (at === index ? record : other)))
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold text-[0.93em]">{question.label}</legend>
      {question.help && <p className="mb-2 text-[0.87em] text-ink-2">{question.help}</p>}
      <ol className="grid gap-3">
        {value.map((record, index) => (
          <li key={index} className="rounded-sheet border border-line p-3">
            <div className="grid gap-3 sm:grid-cols-2">
              {(question.parts ?? []).map((part) => (
                <div key={part.key}>
                  {partOf({
                    question: { ...part, blanks: [] },
                    value: record[part.key] ?? '',
                    onChange: (next) => typeof next === 'string' && put(index, { ...record, [part.key]: next }),
                  })}
                </div>
              ))}
            </div>
            <Button
              kind="quiet"
              className="mt-2 !px-0"
              onClick={() => onChange(value.filter((_other, at) => at !== index))}
            >
              {say('form.takeOutNumber', { index: index + 1 })}
            </Button>
          </li>
        ))}
      </ol>
      <Button className="mt-2" onClick={() => onChange([...value, {}])}>
        {value.length === 0 ? say('form.addOne') : say('form.addAnother')}
      </Button>
      {error && (
        <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </fieldset>
  )
}
