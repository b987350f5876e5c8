import { lazy, Suspense, useState } from 'react'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { ProblemNote } from '../ui/ProblemNote'
import { Sheet } from '../ui/Sheet'
import { useAct } from '../useAct'
import { type Answer, allRight, answerOf, draftOf, isReady, replyOf } from './answers'
import { QuestionLines } from './QuestionLines'
import type { Done, Question } from './question'
import { SignedBy } from './SignedBy'
import { type Kept, useReplyDraft } from './useReplyDraft'

/** What few need comes once the question is there to be read. */
const Otherwise = lazy(() => import('./Otherwise').then((loaded) => ({ default: loaded.Otherwise })))
const PaperField = lazy(() => import('./PaperField').then((loaded) => ({ default: loaded.PaperField })))

type Props = { token: string; question: Question; onDone: (done: Done) => void }

/** One question: line by line right, not so, or cannot say. What is filled in is kept as it is. */
export function Asking({ token, question, onDone }: Props) {
  const { act, busy, problem } = useAct('replyToEnquiry')
  const [answer, setAnswer] = useState(() => answerOf(question))
  const [touched, setTouched] = useState(false)
  const [tried, setTried] = useState(false)
  const kept = useReplyDraft(token, question, draftOf(question, answer), touched)
  const set = (change: Partial<Answer>) => {
    setTouched(true)
    setAnswer((before) => ({ ...before, ...change }))
  }
  const send = async () => {
    setTried(true)
    if (!isReady(question, answer)) return
    const received = await act({
      params: { token },
      query: { part: question.id },
      body: replyOf(question, answer),
    })
    if (received) onDone(received)
  }
  return (
    <>
      <QuestionLines
        {...{ question, answer, tried }}
        onChange={set}
        onAllRight={() => set({ fields: allRight(question) })}
      />
      <Sheet className="grid gap-4 sm:grid-cols-2">
        <SignedBy {...{ answer, tried, problem }} onChange={set} />
        <Suspense>
          <PaperField token={token} question={question} />
        </Suspense>
        <div className="sm:col-span-2">
          <ProblemNote problem={problem} />
          <Button kind="main" busy={busy} onClick={() => void send()}>
            {say('reply.sendTheAnswer')}
          </Button>
          <p className="mt-2 text-[0.9em] text-ink-2">{say('reply.linkUsedUp', { operator: question.operator })}</p>
          <KeptNote kept={kept} />
        </div>
      </Sheet>
      <Suspense>
        <Otherwise token={token} question={question} onDone={onDone} />
      </Suspense>
    </>
  )
}

/** Whether what is on the page would be there again. */
function KeptNote({ kept }: { kept: Kept }) {
  if (kept === 'nothing yet' || kept === 'keeping') return null
  const words = { kept: 'reply.kept', 'not kept': 'reply.notKept', elsewhere: 'reply.elsewhere' } as const
  return (
    <p role="status" className={`mt-2 text-[0.9em] ${kept === 'kept' ? 'text-ink-2' : 'font-semibold text-soon-ink'}`}>
      {say(words[kept])}
    </p>
  )
}
