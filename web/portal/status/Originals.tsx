import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { listMyOriginals } from '#contract/originals'
import { type OriginalWay, originalWays } from '#core/documents/originals'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Choice, SelectField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'

type Mine = Reply<typeof listMyOriginals>

/** The originals one brings or sends: announced, where they are, and when they came back. */
export function Originals({ id }: { id: string }) {
  const { data } = api.endpoints.listMyOriginals.useQuery({ params: { id } })
  const [announcing, setAnnouncing] = useState(false)
  if (!data || (data.originals.length === 0 && data.papers.length === 0)) return null
  return (
    <section className="mt-7">
      <h2 className="mb-2 text-[1.4em]">{say('status.originals')}</h2>
      <div className="grid gap-3">
        {data.originals.length > 0 && (
          <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet">
            {data.originals.map((original) => (
              <One key={original.id} original={original} />
            ))}
          </ul>
        )}
        {announcing ? (
          <Announce id={id} mine={data} onDone={() => setAnnouncing(false)} />
        ) : (
          data.papers.length > 0 && (
            <div className="flex flex-wrap items-baseline gap-3">
              <Button onClick={() => setAnnouncing(true)}>{say('status.announceOriginal')}</Button>
              <span className="text-ink-2">{say('status.announceOnlyAsked')}</span>
            </div>
          )
        )}
      </div>
    </section>
  )
}

function One({ original }: { original: Mine['originals'][number] }) {
  const { act, busy, problem } = useAct('callOffOriginal')
  const { id, title, state, way, receivedAt, returnedAt, returnedTo, returnTracking, compared } = original
  const how = say(`status.way.${way}`)
  const words = {
    announced: () => say('status.originalAnnounced', { how }),
    here: () => say('status.originalHere', { day: writeDayOf(receivedAt ?? '') }),
    returned: () => say('status.originalReturned', { day: writeDayOf(returnedAt ?? ''), to: returnedTo }),
    'called off': () => say('status.originalCalledOff'),
  }
  return (
    <li className="px-4 py-2.5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span>
          <span className="font-semibold">{title}</span>{' '}
          <span className="text-ink-2">
            {words[state]()} {compared === 'same' && say('status.originalSame')}
            {returnTracking && ` ${say('status.trackedAs', { tracking: returnTracking })}`}
          </span>
        </span>
        {state === 'announced' && (
          <Button kind="quiet" busy={busy} onClick={() => void act({ params: { id } })}>
            {say('status.itDoesNotCome')}
          </Button>
        )}
      </div>
      <ProblemNote problem={problem} />
    </li>
  )
}

function Announce({ id, mine, onDone }: { id: string; mine: Mine; onDone: () => void }) {
  const [document, setDocument] = useState(mine.papers[0]!.document)
  const [way, setWay] = useState<OriginalWay>('in person')
  const [tracking, setTracking] = useState('')
  const { act, busy, problem } = useAct('announceOriginal')
  const announce = async () => {
    const body = { document, way, tracking: way === 'by post' ? tracking : '' }
    if (await act({ params: { id }, body })) onDone()
  }
  return (
    <div className="grid gap-3 rounded-sheet border border-line bg-sheet px-4 py-3">
      <SelectField
        label={say('status.whichPaper')}
        value={document}
        options={mine.papers.map((paper) => ({ value: paper.document, label: `${paper.title}, ${paper.fileName}` }))}
        onChange={(event) => setDocument(event.target.value)}
      />
      <Choice
        label={say('status.howItComes')}
        name={`original ${id}`}
        options={originalWays.map((value) => ({ value, label: say(`status.way.${value}`) }))}
        value={way}
        onChange={(value) => setWay(value as OriginalWay)}
      />
      {way === 'by post' && (
        <TextField
          label={say('status.trackingNumber')}
          optional
          maxLength={60}
          value={tracking}
          onChange={(event) => setTracking(event.target.value)}
        />
      )}
      <p className="whitespace-pre-line text-ink-2">{say('status.bringItTo', { address: mine.address })}</p>
      <ProblemNote problem={problem} />
      <div className="flex gap-2">
        <Button kind="main" busy={busy} onClick={() => void announce()}>
          {say('status.announceIt')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('status.notNow')}
        </Button>
      </div>
    </div>
  )
}
