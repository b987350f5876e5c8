import type { AnswerValue, HonestBlank } from '#core/form/answer'
import type { Question } from '#core/form/form'
import { blankWords } from '#core/words/form'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { LongField } from '../Field'

type Props = {
  question: Question
  blank: HonestBlank | undefined
  onChange: (value: AnswerValue) => void
  error?: string
}

/** The honest ways not to answer a question: nobody has to invent a value. */
export function BlankChoice({ question, blank, onChange, error }: Props) {
  return (
    <div>
      {blank && <p className="mb-1 font-semibold text-[0.93em]">{translated(question).label}</p>}
      {(question.blanks ?? []).map((choice) => (
        <label key={choice} className="mt-1 flex items-center gap-2 text-[0.93em]">
          <input
            type="checkbox"
            className="accent-confirmed"
            checked={blank?.blank === choice}
            onChange={(event) => onChange(event.target.checked ? { blank: choice } : '')}
          />
          {blankWords(choice)}
        </label>
      ))}
      {blank?.blank === 'unknown' && (
        <div className="mt-2">
          <LongField
            label={say('form.whyYouDoNotKnow')}
            limit={500}
            rows={2}
            value={blank.because ?? ''}
            onChange={(event) => onChange({ blank: 'unknown', because: event.target.value })}
            error={error}
          />
        </div>
      )}
    </div>
  )
}
