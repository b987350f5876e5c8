import { type ReactNode, useState } from 'react'
import type { Draft } from '#contract/applications'
import { writeWhen } from '#core/dates/write'
import { becauseKey } from '#core/form/form'
import { say } from '#core/words/say'
import { Choice } from '../../ui/Field'
import type { Autosave } from './useAutosave'

type Props = { question: string; before: Draft['decided'][string]; autosave: Autosave; children: ReactNode }

/**
 * A question that was declared on before and made no difference: whoever has nothing new to say gives the same answer with one
 * press, and the decision holds; whoever has is asked as anybody is.
 */
export function DecidedBefore({ question, before: { on, answer, explanation }, autosave, children }: Props) {
  const because = becauseKey(question)
  const given = autosave.answer(question)
  const same = given === answer && autosave.text(because) === explanation
  const [other, setOther] = useState(false)
  const news = other || (given !== undefined && given !== '' && !same)
  const choose = (value: string) => {
    setOther(value === 'new')
    if (value === 'new') return
    autosave.change(question, answer)
    if (explanation) autosave.change(because, explanation)
  }
  return (
    <div className="grid gap-3">
      <Choice
        label={say('apply.decidedBefore', { day: writeWhen(on) })}
        name={`${question} since`}
        options={[
          { value: 'same', label: say('apply.nothingNew') },
          { value: 'new', label: say('apply.somethingNew') },
        ]}
        value={news ? 'new' : same ? 'same' : ''}
        onChange={choose}
      />
      {news && children}
    </div>
  )
}
