import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { say } from '#core/words/say'
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
      title={say('overviews.auditTrail')}
      about={say('overviews.everythingThatWasDoneBy')}
      list="trail"
      filter={{ text: text || undefined }}
    >
      <VerifyTrail candidateId={person} />
      <div className="mb-3 max-w-[320px]">
        <TextField
          label={say('overviews.narrowTo')}
          hidden
          type="search"
          placeholder={say('overviews.aPersonASourceA')}
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
            empty={say('overviews.nothingFits')}
            columns={[
              {
                name: say('overviews.when'),
                of: ({ at }) => (
                  <span className="whitespace-nowrap font-mono text-[0.8333rem]">
                    {writeMoment(at).replace(/^\w+,? /, '')}
                  </span>
                ),
              },
              { name: say('overviews.who'), of: ({ who }) => who },
              {
                name: say('overviews.what'),
                of: ({ what, applicationId }) =>
                  applicationId ? (
                    <Link to={`/desk/today/${applicationId}`} className="hover:underline">
                      {what}
                    </Link>
                  ) : (
                    what
                  ),
              },
              { name: say('overviews.about'), of: ({ about }) => about ?? '' },
            ]}
          />
          <div className="flex gap-4 py-3 font-semibold text-confirmed">
            {before && (
              <button type="button" onClick={() => setBefore(undefined)}>
                {say('overviews.newest')}
              </button>
            )}
            {data.next && (
              <button type="button" onClick={() => setBefore(data.next ?? undefined)}>
                {say('overviews.older')}
              </button>
            )}
          </div>
        </>
      )}
    </Overview>
  )
}
