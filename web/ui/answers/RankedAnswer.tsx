import type { Question } from '#core/form/form'
import { optionWords } from '#core/words/options'
import { say } from '#core/words/say'
import { SortableList } from '../SortableList'
import type { AnswerProps } from './answerProps'

/** Choices in order of preference: chosen ones are moved, the others are taken up by name. */
export function RankedAnswer({
  question,
  value,
  onChange,
  error,
}: Omit<AnswerProps, 'value'> & { value: readonly string[] }) {
  const options = question.options ?? []
  const most = question.rankUpTo ?? options.length
  const left = options.filter((option) => !value.includes(option))
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold text-[0.93em]">{question.label}</legend>
      <p className="mb-2 text-[0.9em] text-ink-2">{question.help ?? say('form.upToTheOneYou', { most })}</p>
      <SortableList
        items={value}
        keyOf={(item) => item}
        nameOf={(item) => optionWords(question, item)}
        onOrder={onChange}
        className="grid gap-1"
      >
        {(item, grip, index) => (
          <div className="flex items-center gap-2 rounded-sheet border border-line-strong bg-sheet px-2 py-1.5">
            {grip}
            <span className="font-mono text-ink-3">{index + 1}.</span>
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{optionWords(question, item)}</span>
              <About question={question} option={item} />
            </span>
            <button
              type="button"
              className="text-[0.9em] text-ink-2 underline"
              onClick={() => onChange(value.filter((other) => other !== item))}
              aria-label={say('form.takeOut', { item: optionWords(question, item) })}
            >
              {say('form.takeOut2')}
            </button>
          </div>
        )}
      </SortableList>
      {left.length > 0 && value.length < most && (
        <ul className="mt-2 grid gap-1">
          {left.map((option) => (
            <li key={option}>
              <button
                type="button"
                className="w-full rounded-sheet border border-line-strong border-dashed px-3 py-1.5 text-left hover:border-ink-3"
                onClick={() => onChange([...value, option])}
              >
                {say('form.addAsNumber', { option: optionWords(question, option), count: value.length + 1 })}
                <About question={question} option={option} />
              </button>
            </li>
          ))}
        </ul>
      )}
      {error && (
        <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </fieldset>
  )
}

const About = ({ question, option }: { question: Question; option: string }) =>
  question.about?.[option] ? <span className="block text-[0.9em] text-ink-2">{question.about[option]}</span> : null
