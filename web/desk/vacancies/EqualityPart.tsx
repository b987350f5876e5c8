import { leastShown } from '#core/counts/suppress'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'

/** The voluntary questions as counts. Nobody is behind them, and small groups are left out. */
export function EqualityPart({ id }: { id: string }) {
  const { data, error, refetch } = api.endpoints.equalityCounts.useQuery(
    { params: { id } },
    { refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <div className="min-h-0 flex-1 overflow-auto px-5 py-4">
      <p className="mb-3 max-w-[70ch] text-ink-2">{say('composer.answersToTheVoluntaryQuestions', { leastShown })}</p>
      {data.questions.length === 0 && <p>{say('composer.thisFormAsksNoVoluntary')}</p>}
      <div className="grid max-w-[860px] grid-cols-2 gap-5">
        {data.questions.map(({ question, total, counts }) => (
          <table key={question} className="w-full self-start border border-line bg-sheet">
            <caption className="pb-1 text-left font-semibold">{question}</caption>
            <tbody>
              {counts.map(({ answer, count }) => (
                <tr key={answer} className="border-line border-b">
                  <th scope="row" className="px-3 py-1 text-left font-normal">
                    {answer}
                  </th>
                  <td className="px-3 py-1 text-right font-mono">{count ?? say('composer.notShown')}</td>
                </tr>
              ))}
              <tr>
                <th scope="row" className="px-3 py-1 text-left">
                  {say('composer.all')}
                </th>
                <td className="px-3 py-1 text-right font-mono">{total ?? say('composer.notShown')}</td>
              </tr>
            </tbody>
          </table>
        ))}
      </div>
    </div>
  )
}
