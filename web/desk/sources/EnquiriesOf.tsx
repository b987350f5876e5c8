import { useState } from 'react'
import { Link } from 'react-router'
import { turns } from '#core/enquiries/enquiry'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { useSession } from '../../useSession'
import { AskMany } from '../enquiries/AskMany'
import { useKeys } from '../useKeys'

/** What a source is asked now, and all that waits to be asked of it in one act. */
export function EnquiriesOf({ sourceId, name }: { sourceId: string; name: string }) {
  const { may } = useSession()
  const [asking, setAsking] = useState(false)
  const { data } = api.endpoints.listEnquiries.useQuery(
    { query: { sourceId } },
    { skip: !may('listEnquiries'), refetchOnMountOrArgChange: true },
  )
  const mayAsk = may('raiseEnquiries')
  useKeys({ q: mayAsk && !asking ? () => setAsking(true) : undefined })
  if (!data) return null
  const some = turns.some((turn) => data.counts[turn] > 0)
  return (
    <section>
      <h2 className="mb-1 text-[1.1333rem]">{say('sources.askedNow')}</h2>
      <p className="mb-2">
        {some ? (
          <Link to={`/desk/verification/table?sourceId=${sourceId}`} className="font-semibold text-confirmed">
            {turns
              .filter((turn) => data.counts[turn] > 0)
              .map((turn) => say(`enquiries.withTurn.${turn}`, { count: data.counts[turn] }))
              .join(' · ')}
          </Link>
        ) : (
          <span className="text-ink-2">{say('sources.nothingAsked')}</span>
        )}
      </p>
      {mayAsk && (
        <Button letter="Q" onClick={() => setAsking(true)}>
          {say('enquiries.askAll')}
        </Button>
      )}
      {asking && (
        <AskMany of={{ sourceId }} title={say('enquiries.askAllOf', { name })} onClose={() => setAsking(false)} />
      )}
    </section>
  )
}
