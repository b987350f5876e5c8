import { lazy, Suspense, useState } from 'react'
import { useParams } from 'react-router'
import { say, sourceLanguages, spokenLanguage } from '#core/words/say'
import { addressOf, api } from '../api'
import { LanguageChoice } from '../portal/LanguageChoice'
import { Button } from '../ui/Button'
import { Waiting } from '../ui/Waiting'
import { LeadsNowhere, Over, Thanks } from './endings'
import type { Done, Question } from './question'

/** Whoever comes by a link that is used up needs none of it. */
const Asking = lazy(() => import('./Asking').then((loaded) => ({ default: loaded.Asking })))

/** Where the link in a mail to a source leads: a question, or several one after the other, without an account. */
export function ReplyPage() {
  const { token = '' } = useParams()
  const session = api.endpoints.readSession.useQuery({})
  const [part, setPart] = useState<string>()
  const [done, setDone] = useState<Done>()
  const { data, error, currentData } = api.endpoints.readEnquiry.useQuery(
    { params: { token }, query: part ? { part } : {} },
    { skip: !session.data, refetchOnMountOrArgChange: true },
  )
  if (error && (error as { status?: number }).status === 404) return <LeadsNowhere />
  const next = data?.parts.find(({ state, id }) => state === 'open' && id !== (part ?? data.id))
  const goOn = (id: string) => {
    setDone(undefined)
    setPart(id)
  }
  if (done)
    return (
      <Thanks done={done} receiptAddress={(receipt) => addressOf('readReceipt', { params: { token, receipt } })}>
        {next && (
          <Button kind="main" onClick={() => goOn(next.id)}>
            {say('reply.next')}
          </Button>
        )}
      </Thanks>
    )
  const shown = currentData ?? (part ? undefined : data)
  if (!shown) return <Waiting error={error} />
  if (shown.state !== 'open' && !next) return <Over question={shown} />
  return (
    <main className="mx-auto max-w-[820px] px-4 py-7 text-[1.0333rem]">
      {shown.parts.length > 1 && <Parts question={shown} onChoose={goOn} />}
      {shown.state === 'open' ? (
        <Suspense fallback={<Waiting />}>
          <Asking key={shown.id} token={token} question={shown} onDone={setDone} />
        </Suspense>
      ) : (
        next && <Button onClick={() => goOn(next.id)}>{say('reply.next')}</Button>
      )}
      <footer className="mt-6 text-[0.93em]">
        <LanguageChoice among={sourceLanguages} />
        <p className="mt-2 text-center">
          <a href={`/reply/${token}/plain?lang=${spokenLanguage()}`} className="text-ink-2 underline">
            {say('reply.withoutScript')}
          </a>
        </p>
      </footer>
    </main>
  )
}

/** The people of one letter, of whom each is answered by itself. */
function Parts({ question, onChoose }: { question: Question; onChoose: (id: string) => void }) {
  return (
    <nav aria-label={say('reply.people')} className="mb-4 flex flex-wrap gap-2">
      {question.parts.map(({ id, state, candidate }, nth) => (
        <button
          key={id}
          type="button"
          disabled={state !== 'open'}
          aria-current={id === question.id ? 'step' : undefined}
          onClick={() => onChoose(id)}
          className={`rounded-sheet border px-2.5 py-1 ${id === question.id ? 'border-confirmed bg-confirmed-wash font-semibold' : 'border-line-strong disabled:opacity-60'}`}
        >
          {state === 'open'
            ? candidate
            : `${say('reply.nthOf', { nth: nth + 1, of: question.parts.length })}, ${say('reply.partDone')}`}
        </button>
      ))}
    </nav>
  )
}
