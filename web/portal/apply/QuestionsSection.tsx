import type { ReactNode } from 'react'
import type { Draft } from '#contract/applications'
import { isAsked } from '#core/form/answer'
import { becauseKey, type Question, type Section } from '#core/form/form'
import { employerOf } from '#core/messages/employerMail'
import { answerWords } from '#core/words/form'
import { say } from '#core/words/say'
import { AnswerField } from '../../ui/answers/AnswerField'
import { Button } from '../../ui/Button'
import { LongField } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'
import { writeDayOf } from '../../ui/write'
import { AskedPaper } from './AskedPaper'
import { DecidedBefore } from './DecidedBefore'
import { RecipientsAnswer } from './RecipientsAnswer'
import type { Autosave } from './useAutosave'

type Props = { draft: Draft; section: Section; autosave: Autosave }

/** A section of questions; each answer is saved as it is given, and a question is there only while it is asked. */
export function QuestionsSection({ draft, section, autosave }: Props) {
  return (
    <Sheet className="grid max-w-[720px] gap-5">
      {section.questions
        .filter((question) => isAsked(question, autosave.facts))
        .map((question) => (
          <div key={question.key}>
            <MaybeDecided question={question} draft={draft} autosave={autosave}>
              {question.kind === 'document' ? (
                <AskedPaper question={question} draft={draft} titled />
              ) : question.kind === 'recipients' ? (
                <RecipientsAnswer {...{ question, draft, autosave }} />
              ) : (
                <AnswerField
                  question={question}
                  value={autosave.answer(question.key)}
                  onChange={(next) => autosave.change(question.key, next)}
                  error={autosave.fault(question.key)}
                />
              )}
              {question.kind === 'mail' && <EmployerMail draft={draft} mail={autosave.text(question.key)} />}
              {draft.takenOver[question.key] && (
                <p className="mt-1 text-[0.87em] text-soon-ink">
                  {say('apply.lastConfirmed', { day: writeDayOf(draft.takenOver[question.key]!) })}
                </p>
              )}
              {question.explain && autosave.answer(question.key) === question.explain && (
                <div className="mt-3 border-line border-l-2 pl-4">
                  <LongField
                    label={say('apply.whatHappened')}
                    help={say('apply.inYourOwnWordsA')}
                    limit={2000}
                    value={autosave.text(becauseKey(question.key))}
                    onChange={(event) => autosave.change(becauseKey(question.key), event.target.value)}
                    error={autosave.fault(becauseKey(question.key))}
                  />
                </div>
              )}
              {question.paper && autosave.answer(question.key) === question.paper && (
                <div className="mt-3 border-line border-l-2 pl-4">
                  <AskedPaper question={question} draft={draft} titled={false} />
                </div>
              )}
            </MaybeDecided>
            {question.key in autosave.clashes && <Clash question={question} autosave={autosave} />}
          </div>
        ))}
    </Sheet>
  )
}

/** An address at the employer somebody is leaving is lost with the job; what we write then reaches nobody. */
function EmployerMail({ draft, mail }: { draft: Draft; mail: string }) {
  const now = draft.claims.flatMap(({ details }) =>
    details.kind === 'work' && details.activity === 'employment' && details.to === 'present' ? details.sourceName : [],
  )
  const employer = employerOf(mail, now)
  if (!employer) return null
  return (
    <p role="status" className="mt-1 font-semibold text-[0.9em] text-soon-ink">
      {say('apply.employerMail', { employer })}
    </p>
  )
}

type Asked = { question: Question; draft: Draft; autosave: Autosave; children: ReactNode }

/** A question as it is, or what was decided about it before, first. */
function MaybeDecided({ question, draft, autosave, children }: Asked) {
  const before = draft.decided[question.key]
  if (!before) return <div>{children}</div>
  return (
    <DecidedBefore question={question.key} before={before} autosave={autosave}>
      <div>{children}</div>
    </DecidedBefore>
  )
}

/** Two values for one answer: the person chooses, and neither is lost before. */
function Clash({ question, autosave }: { question: Question; autosave: Autosave }) {
  const words = (value: Parameters<typeof answerWords>[1] | undefined) =>
    (value !== undefined && answerWords(question, value)) || say('apply.nothing')
  return (
    <div role="alert" className="mt-2 rounded-sheet bg-soon-wash p-3 text-soon-ink">
      <p className="font-semibold">{say('apply.thisWasChangedInAnother')}</p>
      <p>
        {say('apply.thereHere', {
          theirs: words(autosave.clashes[question.key]),
          mine: words(autosave.answer(question.key)),
        })}
      </p>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => autosave.settle(question.key, 'mine')}>{say('apply.keepWhatIsHere')}</Button>
        <Button onClick={() => autosave.settle(question.key, 'theirs')}>{say('apply.takeTheOther')}</Button>
      </div>
    </div>
  )
}
