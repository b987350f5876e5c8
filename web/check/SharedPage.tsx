import { TriangleAlert } from 'lucide-react'
import { useParams } from 'react-router'
import { sharedForms } from '#contract/recipients'
import { say } from '#core/words/say'
import { addressOf, api } from '../api'
import { Sheet } from '../ui/Sheet'
import { Waiting } from '../ui/Waiting'
import { writeDayOf, writeLastDay } from '../ui/write'
import { ReportView } from './ReportView'

/** What a recipient reads by the link they were sent, and keeps from there; or why it is not open any more. */
export function SharedPage() {
  const { token = '' } = useParams()
  const { data, error, refetch } = api.endpoints.openSharedRecord.useQuery({ params: { token } })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { state, because, from, to, linkEndsAt, endsAt, report } = data
  return (
    <main className="mx-auto grid max-w-[860px] grid-cols-[minmax(0,1fr)] gap-4 px-4 py-7 sm:px-7">
      <h1 className="text-[2em]">{say('report.shared', { name: to })}</h1>
      {state !== 'open' && (
        <Sheet>
          <p role="alert" className="flex items-start gap-2 font-semibold text-[1.1em] text-contradicted">
            <TriangleAlert aria-hidden size={20} className="mt-1 shrink-0" />
            {say(`report.sharedState.${state}`, { because })}
          </p>
        </Sheet>
      )}
      {report && (
        <>
          <Sheet className="grid gap-2">
            <p className="max-w-[68ch]">
              {say('report.sharedMeans', {
                from,
                day: linkEndsAt ? writeLastDay(linkEndsAt) : '',
                ends: writeDayOf(endsAt),
              })}
            </p>
            <p className="flex flex-wrap gap-x-4 gap-y-1">
              <span className="font-semibold">{say('report.sharedKeep')}</span>
              {sharedForms.map((form) => (
                <a
                  key={form}
                  href={addressOf('readSharedRecord', { params: { token, form } })}
                  download
                  className="font-semibold text-confirmed underline"
                >
                  {say(`report.sharedForm.${form}`)}
                </a>
              ))}
            </p>
          </Sheet>
          <ReportView report={report} />
        </>
      )}
    </main>
  )
}
