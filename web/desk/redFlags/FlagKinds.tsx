import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { countRedFlags } from '#contract/redFlags'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { Table } from '../overviews/Overview'

type Counted = Reply<typeof countRedFlags>
type Kind = Counted['kinds'][number]

/** How often each kind of red flag was right; one that is mostly wrong can be switched off, by somebody who says why. */
export function FlagKinds() {
  const { data } = api.endpoints.countRedFlags.useQuery({}, { refetchOnMountOrArgChange: true })
  const { may } = useSession()
  const [switching, setSwitching] = useState<Kind>()
  if (!data) return null
  return (
    <section aria-label={say('flags.counts')} className="mt-4 max-w-[980px]">
      <h2 className="mb-1 text-[1.2rem]">{say('flags.counts')}</h2>
      <Table
        rows={data.kinds}
        keyOf={({ kind }) => kind}
        empty=""
        columns={[
          { name: say('flags.pattern'), of: ({ kind }) => say(`flags.kind.${kind}`) },
          { name: say('flags.open'), of: ({ open }) => open, right: true },
          { name: say('flags.upheld'), of: ({ upheld }) => upheld, right: true },
          { name: say('flags.dismissed'), of: ({ dismissed }) => dismissed, right: true },
          { name: say('flags.looked'), of: (kind) => <Standing kind={kind} /> },
          {
            name: '',
            of: (kind) =>
              may('switchRedFlagKind') && (
                <button type="button" className="font-semibold text-confirmed" onClick={() => setSwitching(kind)}>
                  {kind.off ? say('flags.switchOn') : say('flags.switchOff')}
                </button>
              ),
          },
        ]}
      />
      {switching && <Switch kind={switching} version={data.version} onClose={() => setSwitching(undefined)} />}
    </section>
  )
}

function Standing({ kind: { off, mostlyWrong } }: { kind: Kind }) {
  if (off) return <>{say('flags.off', { by: off.by, at: writeShortDay(off.at), reason: off.reason })}</>
  return mostlyWrong ? <strong className="text-soon-ink">{say('flags.mostlyWrong')}</strong> : say('flags.isLooked')
}

function Switch({ kind, version, onClose }: { kind: Kind; version: number; onClose: () => void }) {
  const [reason, setReason] = useState('')
  const switching = useAct('switchRedFlagKind')
  const act = kind.off ? say('flags.switchOn') : say('flags.switchOff')
  const run = async () => {
    const body = { version, on: kind.off !== null, reason }
    if (await switching.act({ params: { kind: kind.kind }, body })) onClose()
  }
  return (
    <Dialog open onClose={onClose} title={`${act}: ${say(`flags.kind.${kind.kind}`)}`}>
      {!kind.off && <p className="mb-3">{say('flags.switchOffNote')}</p>}
      <LongField
        label={say('flags.reason')}
        limit={1000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={faultAt(switching.problem, 'reason')}
        data-first
      />
      <div className="mt-3 grid gap-2">
        <ProblemNote problem={switching.problem?.faults ? undefined : switching.problem} />
        <div>
          <Button kind="main" busy={switching.busy} disabled={!isReason(reason)} onClick={() => void run()}>
            {act}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
