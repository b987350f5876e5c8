import { useState } from 'react'
import { Link } from 'react-router'
import { writeWhen } from '#core/dates/write'
import { isDraft } from '#core/hiring/stages'
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
      <h1 className="mb-4 text-[2em]">{say('account.myApplications')}</h1>
      {data.length === 0 && (
        <p>
          {say('account.youHaveNotBegunOne')}{' '}
          <Link to="/" className="font-semibold text-confirmed">
            {say('account.seeTheOpenVacancies')}
          </Link>
        </p>
      )}
      <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet empty:hidden">
        {data.map(({ id, title, place, stage, reference, ball, left, closesAt, timeZone, completion }) => {
          const writing = isDraft({ stage })
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
                    ? say('account.notSentYetThingsAre', {
                        count: left,
                        when: writeMoment(closesAt, timeZone),
                      })
                    : ball}
                </p>
                {completion && (
                  <p className="font-semibold text-soon-ink">
                    {completion.setAside
                      ? say('completion.listedAside')
                      : say('completion.listed', { day: writeWhen(completion.endsOn) })}
                  </p>
                )}
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
        {say('account.deleteTheDraft')}
      </Button>
      <Dialog
        open={asking}
        onClose={() => setAsking(false)}
        title={say('account.deleteYourApplicationFor', { title })}
        description={say('account.itsAnswersAreDeletedAnd')}
      >
        <ProblemNote problem={problem} />
        <Button kind="grave" busy={busy} onClick={() => void act({ params: { id } })}>
          {say('account.deleteTheDraft')}
        </Button>
      </Dialog>
    </>
  )
}
