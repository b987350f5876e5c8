import { useNavigate, useParams } from 'react-router'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'

/** What a skills check is like, before its clock starts. */
export function BeginCheck() {
  const { id = '', check = '' } = useParams()
  const navigate = useNavigate()
  const { data, error, refetch } = api.endpoints.describeCheck.useQuery(
    { params: { id, check } },
    { refetchOnMountOrArgChange: true },
  )
  const today = data?.today ?? ''
  const { act, busy, problem } = useAct('beginSitting')
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const begin = async () => {
    const begun = await act({ params: { id, check } })
    if (begun) navigate(`/sittings/${begun.id}`)
  }
  return (
    <main className="mx-auto max-w-[640px] px-4 py-8">
      <h1 className="mb-3 text-[2em]">{data.title}</h1>
      <Sheet>
        <ul className="list-disc space-y-1 pl-5">
          <li>{say('check.questionsOneRightAnswerEach', { questions: data.questions })}</li>
          <li>
            {say('check.minutesFromTheMomentYou', {
              minutes: data.minutes,
            })}
          </li>
          <li>{say('check.everyAnswerIsSavedAs')}</li>
          <li>{say('check.areNeededToPassYou', { passPercent: data.passPercent })}</li>
          <li>{say('check.itCovers', { topics: data.topics.join(', ').toLowerCase() })}</li>
        </ul>
        <div className="mt-4">
          <ProblemNote problem={problem} />
          {data.notBefore && data.notBefore > today ? (
            <p className="text-ink-2">{say('check.youCanSitItAgain', { day: writeWhen(data.notBefore) })}</p>
          ) : (
            <Button kind="main" busy={busy} onClick={() => void begin()}>
              {data.sitting ? say('check.goOnWhereYouWere') : say('check.beginNow')}
            </Button>
          )}
        </div>
      </Sheet>
    </main>
  )
}
