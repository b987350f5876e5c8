import { useState } from 'react'
import type { Draft } from '#contract/applications'
import type { Section } from '#core/form/form'
import { say } from '#core/words/say'
import { AnswerField } from '../../ui/answers/AnswerField'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { useAct } from '../../useAct'

/** Voluntary questions. What is chosen stays on this page until it is given, and leads to nobody afterwards. */
export function EqualitySection({ draft, section }: { draft: Draft; section: Section }) {
  const [answers, setAnswers] = useState<Record<string, string>>({})
  const { act, busy, problem } = useAct('giveEqualityAnswers')
  if (draft.equalityGiven)
    return (
      <Sheet className="max-w-[720px]">
        <p className="font-semibold">{say('Thank you. Your answers are counted.')}</p>
        <p className="text-ink-2">
          {say('They are kept without your name; nobody, and so not even you, can look them up or change them.')}
        </p>
      </Sheet>
    )
  const given = Object.fromEntries(Object.entries(answers).filter(([, answer]) => answer !== ''))
  return (
    <Sheet className="grid max-w-[720px] gap-5">
      <p className="text-ink-2">
        {say(
          'We count the answers to see whom we reach. They are kept in a place of their own, without your name and without the time, and groups of fewer than five people are never shown. You can leave out any of them, or all.',
        )}
      </p>
      {section.questions.map((question) => (
        <AnswerField
          key={question.key}
          question={question}
          value={answers[question.key] ?? ''}
          onChange={(value) => setAnswers((before) => ({ ...before, [question.key]: String(value) }))}
        />
      ))}
      <ProblemNote problem={problem} />
      <p>
        <Button
          busy={busy}
          disabled={Object.keys(given).length === 0}
          onClick={() => void act({ params: { id: draft.id }, body: { answers: given } })}
        >
          {say('Give these answers')}
        </Button>
      </p>
    </Sheet>
  )
}
