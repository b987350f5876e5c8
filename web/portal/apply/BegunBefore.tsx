import { useEffect, useRef, useState } from 'react'
import type { Draft } from '#contract/applications'
import { type Answers, faultOf, isEmpty } from '#core/form/answer'
import { becauseKey, questionKeyOf, questionsOf } from '#core/form/form'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { useSession } from '../../useSession'
import { forgetBefore, readBefore } from '../beforeAccount'
import type { Autosave } from './useAutosave'

/**
 * What was filled in on this browser before there was an account. Whoever made their account for it finds it in their
 * application; of anybody else it is asked whether it is theirs, since a browser may be shared. Nothing given since is replaced.
 */
export function BegunBefore({ draft, autosave }: { draft: Draft; autosave: Autosave }) {
  const { account } = useSession()
  const [found, setFound] = useState<Answers>()
  const [joined, setJoined] = useState<number>()
  const { slug } = draft.vacancy
  const latest = useRef({ draft, autosave })
  latest.current = { draft, autosave }
  const join = useRef((_: Answers) => {})
  join.current = (answers: Answers) => {
    const fresh = fittingIn(latest.current.draft, answers)
    for (const [key, value] of Object.entries(fresh)) latest.current.autosave.change(key, value)
    setFound(undefined)
    setJoined(Object.keys(fresh).length)
    void forgetBefore(slug)
  }
  const mail = account?.mail.toLowerCase()
  useEffect(() => {
    if (!mail) return
    void readBefore(slug).then((kept) => {
      if (!kept) return
      if (kept.mail === mail) join.current(kept.answers)
      else setFound(kept.answers)
    })
  }, [slug, mail])
  if (joined !== undefined)
    return (
      <p role="status" className="mb-4 rounded-sheet bg-confirmed-wash px-4 py-3 text-confirmed">
        {say('apply.putIn', { count: joined })}
      </p>
    )
  if (!found) return null
  return (
    <div className="mb-4 rounded-sheet bg-soon-wash px-4 py-3 text-soon-ink">
      <p>{say('apply.begunHereBefore', { count: Object.keys(found).length })}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => join.current(found)}>{say('apply.putThemIn')}</Button>
        <Button
          kind="quiet"
          onClick={() => {
            setFound(undefined)
            void forgetBefore(slug)
          }}
        >
          {say('apply.notMine')}
        </Button>
      </div>
    </div>
  )
}

/** What the form asks, can take, and has no answer to yet. */
function fittingIn(draft: Draft, answers: Answers): Answers {
  const questions = new Map(questionsOf(draft.form).map((question) => [question.key, question]))
  return Object.fromEntries(
    Object.entries(answers).filter(([key, answer]) => {
      const question = questions.get(questionKeyOf(key))
      if (!question || !isEmpty(draft.answers[key])) return false
      return key === becauseKey(question.key) || !faultOf(question, answer)
    }),
  )
}
