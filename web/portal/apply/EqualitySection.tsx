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
        <p className="font-semibold">{say('apply.thankYouYourAnswersAre')}</p>
        <p className="text-ink-2">{say('apply.theyAreKeptWithoutYour')}</p>
      </Sheet>
    )
  const given = Object.fromEntries(Object.entries(answers).filter(([, answer]) => answer !== ''))
  return (
    <Sheet className="grid max-w-[720px] gap-5">
      <p className="text-ink-2">{say('apply.weCountTheAnswersTo')}</p>
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
          {say('apply.giveTheseAnswers')}
        </Button>
      </p>
    </Sheet>
  )
}
