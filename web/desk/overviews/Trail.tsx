import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api } from '../../api'
import { TextField } from '../../ui/Field'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { Overview, Table } from './Overview'
import { VerifyTrail } from './VerifyTrail'

export function Trail() {
  const [params] = useSearchParams()
  const person = params.get('person') ?? undefined
  const [text, setText] = useState('')
  const [before, setBefore] = useState<string>()
  const { data, error, refetch } = api.endpoints.readTrail.useQuery(
    { query: { before, text: text || undefined } },
    { refetchOnMountOrArgChange: true },
  )
  return (
    <Overview
      title="Audit trail"
      about="Everything that was done, by whom and when, newest first, chained so that a later change is found. A fingerprint of it, kept away from here, finds even what was written anew."
      list="trail"
      filter={{ text: text || undefined }}
    >
      <VerifyTrail candidateId={person} />
      <div className="mb-3 max-w-[320px]">
        <TextField
          label="Narrow to"
          hidden
          type="search"
          placeholder="A person, a source, a word"
          value={text}
          onChange={(event) => {
            setBefore(undefined)
            setText(event.target.value)
          }}
        />
      </div>
      {!data ? (
        <Waiting error={error} onRetry={refetch} />
      ) : (
        <>
          <Table
            rows={data.events}
            keyOf={({ id }) => id}
            empty="Nothing fits."
            columns={[
              {
                name: 'When',
                of: ({ at }) => (
                  <span className="whitespace-nowrap font-mono text-[0.8333rem]">
                    {writeMoment(at).replace(/^\w+,? /, '')}
                  </span>
                ),
              },
              { name: 'Who', of: ({ who }) => who },
              {
                name: 'What',
                of: ({ what, applicationId }) =>
                  applicationId ? (
                    <Link to={`/desk/today/${applicationId}`} className="hover:underline">
                      {what}
                    </Link>
                  ) : (
                    what
                  ),
              },
              { name: 'About', of: ({ about }) => about ?? '' },
            ]}
          />
          <div className="flex gap-4 py-3 font-semibold text-confirmed">
            {before && (
              <button type="button" onClick={() => setBefore(undefined)}>
                Newest
              </button>
            )}
            {data.next && (
              <button type="button" onClick={() => setBefore(data.next ?? undefined)}>
                Older
              </button>
            )}
          </div>
        </>
      )}
    </Overview>
  )
}
