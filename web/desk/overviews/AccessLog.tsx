import { useState } from 'react'
import { useParams } from 'react-router'
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
      title={`Who saw what: ${data.name}`}
      about="Every day on which somebody opened the file, and everything hidden that was shown, newest first. The person can read the same."
    >
      <Table
        rows={data.entries}
        keyOf={({ id }) => id}
        empty="Nobody has opened this file yet."
        columns={[
          {
            name: 'When',
            whole: true,
            of: ({ at }) => (
              <span className="font-mono text-[0.8333rem]">{writeMoment(at).replace(/^\w+,? /, '')}</span>
            ),
          },
          { name: 'Who', of: ({ who }) => who },
          { name: 'Saw', of: ({ what, hidden }) => <span className={hidden ? 'font-semibold' : ''}>{what}</span> },
          {
            name: 'Why',
            of: ({ reason, hidden }) => reason ?? (hidden ? 'the work of the role needs it' : ''),
          },
        ]}
      />
      {data.next && (
        <button type="button" className="py-3 font-semibold text-confirmed" onClick={() => setBefore(data.next!)}>
          Older
        </button>
      )}
    </Overview>
  )
}
