import { useState } from 'react'
import { useParams } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { Overview, Table } from './Overview'

/** Who saw what of a person: every file opened, and everything hidden that was shown, with its reason. */
export function AccessLog() {
  const { candidateId = '' } = useParams()
  const [before, setBefore] = useState<string>()
  const { data, error, refetch } = api.endpoints.readAccessLog.useQuery(
    { params: { candidateId }, query: { before } },
    { refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview
      list="access-log"
      filter={{ candidate: candidateId }}
      title={say('overviews.whoSawWhat', { name: data.name })}
      about={say('overviews.everyDayOnWhichSomebody')}
    >
      <Table
        rows={data.entries}
        keyOf={({ id }) => id}
        empty={say('overviews.nobodyHasOpenedThisFile')}
        columns={[
          {
            name: say('overviews.when'),
            whole: true,
            of: ({ at }) => (
              <span className="font-mono text-[0.8333rem]">{writeMoment(at).replace(/^\w+,? /, '')}</span>
            ),
          },
          { name: say('overviews.who'), of: ({ who }) => who },
          {
            name: say('overviews.saw'),
            of: ({ what, hidden }) => <span className={hidden ? 'font-semibold' : ''}>{what}</span>,
          },
          {
            name: say('overviews.why'),
            of: ({ reason, hidden }) => reason ?? (hidden ? say('overviews.theWorkOfTheRole') : ''),
          },
        ]}
      />
      {data.next && (
        <button type="button" className="py-3 font-semibold text-confirmed" onClick={() => setBefore(data.next!)}>
          {say('overviews.older')}
        </button>
      )}
    </Overview>
  )
}
