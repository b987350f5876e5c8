import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { Overview, Table } from '../overviews/Overview'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'

/** Letters that wait for the printer: printed in one batch, and then said to be on their way. */
export function Letters() {
  const { data, error, refetch } = api.endpoints.listLetters.useQuery({}, { refetchOnMountOrArgChange: true })
  const marking = useAct('markPrinted')
  const toast = useToast()
  const [left, setLeft] = useState<readonly string[]>([])
  const chosen = (data ?? []).map(({ batchId }) => batchId).filter((id) => !left.includes(id))
  const print = () => {
    window.open(addressOf('readLetters', { query: { batchIds: chosen.join(',') } }), '_blank', 'noreferrer')
  }
  const mark = async () => {
    const done = await marking.act({ body: { batchIds: chosen } })
    if (done) toast(say('enquiries.onTheirWay', { count: done.printed }))
  }
  useKeys({ p: chosen.length > 0 ? print : undefined, y: chosen.length > 0 ? () => void mark() : undefined })
  return (
    <Overview title={say('enquiries.lettersTitle')} about={say('enquiries.lettersAbout')}>
      {!data ? (
        <Waiting error={error} onRetry={refetch} />
      ) : (
        <>
          <Table
            rows={data}
            keyOf={({ batchId }) => batchId}
            empty={say('enquiries.noLetters')}
            columns={[
              {
                name: '',
                of: ({ batchId, source }) => (
                  <input
                    type="checkbox"
                    aria-label={say('table.tickName', { name: source })}
                    className="accent-confirmed"
                    checked={!left.includes(batchId)}
                    onChange={() =>
                      setLeft(left.includes(batchId) ? left.filter((one) => one !== batchId) : [...left, batchId])
                    }
                  />
                ),
              },
              {
                name: say('enquiries.source'),
                of: ({ source, address }) => (
                  <>
                    <span className="font-semibold">{source}</span>
                    <span className="block text-[0.8667rem] text-ink-2">{address.replaceAll('\n', ', ')}</span>
                  </>
                ),
              },
              {
                name: say('enquiries.about'),
                of: ({ people }) => (
                  <ul>
                    {people.map(({ id, candidate, claim }) => (
                      <li key={id}>
                        <Link to={`/desk/enquiries/${id}`} className="font-semibold text-confirmed">
                          {candidate}
                        </Link>{' '}
                        {claim}
                      </li>
                    ))}
                  </ul>
                ),
              },
              { name: say('enquiries.what'), of: ({ what }) => say(`enquiries.printed.${what}`), whole: true },
              { name: say('enquiries.since'), of: ({ since }) => writeShortDay(since), whole: true },
            ]}
          />
          {data.length > 0 && (
            <>
              <ProblemNote problem={marking.problem} />
              <div className="mt-3 flex flex-wrap items-center gap-3">
                <Button letter="P" disabled={chosen.length === 0} onClick={print}>
                  {say('enquiries.print', { count: chosen.length })}
                </Button>
                <Button
                  kind="main"
                  letter="Y"
                  busy={marking.busy}
                  disabled={chosen.length === 0}
                  onClick={() => void mark()}
                >
                  {say('enquiries.sayOnTheWay')}
                </Button>
                <span className="text-ink-2">{say('enquiries.timeBegins')}</span>
              </div>
            </>
          )}
        </>
      )}
    </Overview>
  )
}
