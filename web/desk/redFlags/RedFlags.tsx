import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { QueuedFlag } from '#contract/redFlags'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Pager } from '../../ui/Pager'
import { Waiting } from '../../ui/Waiting'
import { writeSlack } from '../../ui/write'
import { Overview } from '../overviews/Overview'
import { useKeys } from '../useKeys'
import { FlagKinds } from './FlagKinds'
import { FlagNote } from './FlagNote'
import { SettleFlag } from './SettleFlag'

/** What nobody has settled, person by person; below, how often each kind was right. */
export function RedFlags() {
  const navigate = useNavigate()
  const [after, setAfter] = useState<string[]>([])
  const [at, setAt] = useState(0)
  const [settling, setSettling] = useState<QueuedFlag>()
  const { data, error, refetch } = api.endpoints.listRedFlags.useQuery(
    { query: { after: after.at(-1) } },
    { refetchOnMountOrArgChange: true, refetchOnFocus: true },
  )
  const flags = data?.flags ?? []
  const current = flags[Math.min(at, flags.length - 1)]
  const step = (by: number) => {
    const next = Math.min(flags.length - 1, Math.max(0, at + by))
    setAt(next)
    document.querySelector(`[data-flag="${next}"]`)?.scrollIntoView({ block: 'nearest' })
  }
  useKeys({
    j: () => step(1),
    k: () => step(-1),
    ...(current ? { f: () => setSettling(current), enter: () => void navigate(placeOf(current)) } : {}),
  })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('flags.title')} about={say('flags.about')}>
      {flags.length === 0 && <p className="py-4 text-ink-2">{say('flags.none')}</p>}
      <ol className="max-w-[980px] border-line border-t">
        {flags.map((flag, nth) => (
          <li
            key={flag.id}
            data-flag={nth}
            className={`grid grid-cols-[4.4rem_13rem_minmax(0,1fr)_auto] items-start gap-x-4 border-line border-b px-2 py-2.5 max-md:grid-cols-1 max-md:gap-y-1 ${flag === current ? 'bg-confirmed-wash' : ''}`}
          >
            <span
              className={`whitespace-nowrap font-mono ${flag.slack !== null && flag.slack < 0 ? 'text-contradicted' : 'text-ink-2'}`}
            >
              {flag.slack === null ? '' : writeSlack(flag.slack)}
            </span>
            <span className="min-w-0">
              <Link to={placeOf(flag)} className="font-semibold text-confirmed">
                {flag.name}
              </Link>
              <span className="block font-mono text-[0.8667rem] text-ink-2">{flag.reference}</span>
            </span>
            <div className="grid gap-0.5">
              <FlagNote flag={flag} />
            </div>
            <Button letter={flag === current ? 'F' : undefined} onClick={() => setSettling(flag)}>
              {say('flags.settle')}
            </Button>
          </li>
        ))}
      </ol>
      <Pager
        words={{ before: say('enquiries.before'), more: say('enquiries.more') }}
        after={after}
        next={data.next}
        onTurn={(next) => {
          setAfter(next)
          setAt(0)
        }}
      />
      <FlagKinds />
      {settling && <SettleFlag flag={settling} onClose={() => setSettling(undefined)} />}
    </Overview>
  )
}

/** Where it is to be looked at: the claim it is about, or the file. */
const placeOf = ({ applicationId, claimId }: QueuedFlag) =>
  `/desk/verification/${applicationId}${claimId ? `/${claimId}` : ''}`
