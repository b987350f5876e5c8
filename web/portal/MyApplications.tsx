import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../api'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { ProblemNote } from '../ui/ProblemNote'
import { Waiting } from '../ui/Waiting'
import { writeMoment } from '../ui/write'
import { useAct } from '../useAct'

export function MyApplications() {
  const { data, error, refetch } = api.endpoints.myApplications.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <main className="mx-auto max-w-[820px] px-4 py-8">
      <h1 className="mb-4 text-[2em]">{say('My applications')}</h1>
      {data.length === 0 && (
        <p>
          {say('You have not begun one yet.')}{' '}
          <Link to="/" className="font-semibold text-confirmed">
            {say('See the open vacancies')}
          </Link>
        </p>
      )}
      <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet empty:hidden">
        {data.map(({ id, title, place, stage, reference, ball, left, closesAt, timeZone }) => {
          const writing = stage === 'being written'
          return (
            <li key={id} className="relative grid gap-1 p-4 hover:bg-sheet-2 sm:grid-cols-[1fr_auto]">
              <div>
                <h2 className="text-[1.25em]">
                  <Link to={writing ? `/apply/${id}` : `/applications/${id}`} className="after:absolute after:inset-0">
                    {title}, {place}
                  </Link>
                </h2>
                <p className="text-ink-2">
                  {writing
                    ? say('Not sent yet, {{count}} things are left. Closes {{when}}.', {
                        count: left,
                        when: writeMoment(closesAt, timeZone),
                      })
                    : ball}
                </p>
              </div>
              <div className="relative sm:text-right">
                {writing ? (
                  <DeleteDraft id={id} title={title} />
                ) : (
                  <p className="font-mono text-ink-2">{reference ?? ''}</p>
                )}
              </div>
            </li>
          )
        })}
      </ul>
    </main>
  )
}

/** A draft is kept until its candidate deletes it, also after the vacancy has closed. */
function DeleteDraft({ id, title }: { id: string; title: string }) {
  const [asking, setAsking] = useState(false)
  const { act, busy, problem } = useAct('deleteDraft')
  return (
    <>
      <Button kind="quiet" className="!px-0" onClick={() => setAsking(true)}>
        {say('Delete the draft')}
      </Button>
      <Dialog
        open={asking}
        onClose={() => setAsking(false)}
        title={say('Delete your application for {{title}}?', { title })}
        description={say(
          'Its answers are deleted and cannot be brought back. Your studies, jobs and papers stay in your file for other applications.',
        )}
      >
        <ProblemNote problem={problem} />
        <Button kind="grave" busy={busy} onClick={() => void act({ params: { id } })}>
          {say('Delete the draft')}
        </Button>
      </Dialog>
    </>
  )
}
