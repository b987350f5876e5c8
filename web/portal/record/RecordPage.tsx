import { useState } from 'react'
import { Navigate } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Waiting } from '../../ui/Waiting'
import { useSession } from '../../useSession'
import { OneRecipient } from './OneRecipient'
import { SendRecord } from './SendRecord'

/** Who else has received what has been proven of oneself, and how somebody more does. */
export function RecordPage() {
  const { ready, account } = useSession()
  const { data, error, refetch } = api.endpoints.listOwnRecipients.useQuery(
    {},
    { skip: !account, refetchOnMountOrArgChange: true, refetchOnFocus: true },
  )
  const [sending, setSending] = useState(false)
  if (ready && !account) return <Navigate to="/sign-in?next=/record" replace />
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <main className="mx-auto grid max-w-[860px] grid-cols-[minmax(0,1fr)] gap-4 px-4 py-7 sm:px-7">
      <div>
        <h1 className="text-[2em]">{say('recipients.title')}</h1>
        <p className="max-w-[68ch] text-ink-2">{say('recipients.means')}</p>
      </div>
      {data.claims.length === 0 && <p>{say('recipients.nothingYet')}</p>}
      {sending ? (
        <SendRecord recipients={data} onDone={() => setSending(false)} />
      ) : (
        data.claims.length > 0 && (
          <p>
            <Button kind="main" onClick={() => setSending(true)}>
              {say('recipients.begin')}
            </Button>
          </p>
        )
      )}
      <section aria-label={say('recipients.received')} className="grid gap-3">
        <h2 className="text-[1.4em]">{say('recipients.received')}</h2>
        {data.permissions.length === 0 && <p className="text-ink-2">{say('recipients.none')}</p>}
        {data.permissions.map((permission) => (
          <OneRecipient key={permission.id} permission={permission} today={data.today} />
        ))}
      </section>
    </main>
  )
}
