import { useState } from 'react'
import type { Claim } from '#contract/claims'
import type { bringCredential } from '#contract/credentials'
import type { Reply } from '#contract/endpoint'
import { say } from '#core/words/say'
import { api } from '../../api'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'

type Props = { applicationId: string; claimId: string; label?: string }

/** Of what was sent already: what may still be brought, thing by thing. */
export const BringCredentials = ({ applicationId, claims }: { applicationId: string; claims: readonly Claim[] }) =>
  claims.map(({ id, label }) => <BringCredential key={id} applicationId={applicationId} claimId={id} label={label} />)

/** Where the source of a claim issues digital credentials: bring one, and it is confirmed at once, or it is said why not. */
export function BringCredential({ applicationId, claimId, label }: Props) {
  const { may } = useSession()
  const { data } = api.endpoints.listCredentials.useQuery(
    { params: { id: applicationId } },
    { skip: !may('listCredentials') },
  )
  const { act, busy, problem } = useAct('bringCredential')
  const [told, setTold] = useState<Reply<typeof bringCredential>>()
  const own = data?.find(({ claim }) => claim === claimId)
  if (!own || !may('bringCredential'))
    return told && !told.fault ? (
      <p>{say(told.confirmed ? 'apply.credential.confirmed' : 'apply.credential.kept')}</p>
    ) : null
  const bring = async (file: File) => {
    const done = await act({ params: { id: applicationId, claim: claimId }, body: file })
    if (done) setTold(done)
  }
  return (
    <section className="mt-3 border-line border-t pt-2.5" aria-label={say('apply.credential.title')}>
      <h3 className="font-semibold">{[say('apply.credential.title'), label].filter(Boolean).join(': ')}</h3>
      <p className="mb-1.5 text-[0.93em] text-ink-2">{say('apply.credential.means', { source: own.source })}</p>
      {told?.fault && (
        <p role="alert" className="mb-1.5 text-soon-ink">
          {say(`apply.credential.fault.${told.fault}`, { because: told.because || '–' })}
        </p>
      )}
      <ProblemNote problem={problem} />
      <FileButton
        name={say('apply.credential.title')}
        accept=".jwt,.txt,.json,application/vc+jwt,application/jwt,text/plain"
        busy={busy}
        onFile={(file) => void bring(file)}
      >
        {say('apply.credential.choose')}
      </FileButton>
    </section>
  )
}
