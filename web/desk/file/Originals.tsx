import { lazy, Suspense, useState } from 'react'
import type { File } from '#contract/desk'
import type { DeskOriginal } from '#contract/originals'
import { type ComparedPage, type OriginalWay, originalWays } from '#core/documents/originals'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Choice, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { More } from './More'

const DrawName = lazy(() => import('../../ui/DrawName').then((room) => ({ default: room.DrawName })))

/** The originals of a file: announced, in the safe, compared with their scans, given back. */
export function Originals({ file }: { file: File }) {
  const { data } = api.endpoints.listOriginals.useQuery({ params: { id: file.id } })
  const [taking, setTaking] = useState(false)
  const { may } = useSession()
  if (!data || (data.originals.length === 0 && (data.papers.length === 0 || !may('receiveOriginal')))) return null
  const pressing = data.originals.some(({ state, compared }) => state === 'here' && compared === null)
  return (
    <More key={file.id} title={say('file.originals', { count: data.originals.length })} open={pressing || undefined}>
      <div className="grid gap-2">
        {data.originals.map((original) => (
          <OneOriginal key={original.id} original={original} file={file} />
        ))}
        {may('receiveOriginal') &&
          data.papers.length > 0 &&
          (taking ? (
            <Receive papers={data.papers} file={file} onDone={() => setTaking(false)} />
          ) : (
            <Button className="justify-self-start" onClick={() => setTaking(true)}>
              {say('file.takeOriginalIn')}
            </Button>
          ))}
      </div>
    </More>
  )
}

type Act = 'receive' | 'move' | 'compare' | 'return'

function OneOriginal({ original, file }: { original: DeskOriginal; file: File }) {
  const [doing, setDoing] = useState<Act>()
  const { may } = useSession()
  const { id, title, fileName, state, document } = original
  const acts: Act[] = state === 'announced' ? ['receive'] : state === 'here' ? ['compare', 'move', 'return'] : []
  const done = () => setDoing(undefined)
  return (
    <article className="rounded-sheet border border-line bg-sheet px-3 py-2">
      <p className="flex flex-wrap justify-between gap-x-4">
        <span className="font-semibold">{title}</span>
        <span className={state === 'here' ? 'font-semibold' : 'text-ink-2'}>{say(`file.originalState.${state}`)}</span>
      </p>
      {linesOf(original).map((line) => (
        <p key={line} className="text-ink-2">
          {line}
        </p>
      ))}
      {original.pagesCompared
        .filter(({ same }) => !same)
        .map(({ page, note }) => (
          <p key={page} className="font-semibold text-contradicted">
            {say('file.pageDiffers', { page, note })}
          </p>
        ))}
      {original.signed && (
        <a
          href={`/api/desk/originals/${id}/signature`}
          target="_blank"
          rel="noreferrer"
          className="font-semibold text-confirmed"
        >
          {say('file.seeSignature')}
        </a>
      )}
      {may('receiveOriginal') && acts.length > 0 && !doing && (
        <div className="mt-1.5 flex flex-wrap gap-2">
          {acts.map((act) => (
            <Button key={act} onClick={() => setDoing(act)}>
              {say(`file.originalAct.${act}`)}
            </Button>
          ))}
        </div>
      )}
      {doing === 'receive' && (
        <Receive papers={[{ document, title, fileName }]} way={original.way} file={file} onDone={done} />
      )}
      {doing === 'move' && <Move original={original} onDone={done} />}
      {doing === 'compare' && <Compare original={original} onDone={done} />}
      {doing === 'return' && <Return original={original} onDone={done} />}
    </article>
  )
}

/** What happened to it, a line each. */
function linesOf(original: DeskOriginal): string[] {
  const { way, tracking, announcedAt, receivedAt, returnedAt, comparedAt, comparedBy, compared } = original
  const how = say(`file.way.${way}`)
  return [
    receivedAt
      ? say('file.originalReceived', {
          day: writeDayOf(receivedAt),
          how,
          from: original.receivedFrom,
          by: original.receivedBy,
        })
      : say('file.originalAnnounced', { day: writeDayOf(announcedAt), how }),
    ...(tracking ? [say('file.trackedAs', { tracking })] : []),
    ...(original.state === 'here' ? [say('file.keptIn', { place: original.place })] : []),
    ...(comparedAt && compared
      ? [say(`file.originalCompared.${compared}`, { day: writeDayOf(comparedAt), by: comparedBy })]
      : []),
    ...(returnedAt
      ? [
          say('file.originalReturned', {
            day: writeDayOf(returnedAt),
            to: original.returnedTo,
            by: original.returnedBy,
          }),
        ]
      : []),
    ...(original.returnTracking ? [say('file.trackedAs', { tracking: original.returnTracking })] : []),
  ]
}

const ways = originalWays.map((value) => ({ value, label: say(`file.way.${value}`) }))

type ReceiveProps = {
  papers: readonly { document: string; title: string; fileName: string }[]
  way?: OriginalWay
  file: File
  onDone: () => void
}

function Receive({ papers, way: announced = 'in person', file, onDone }: ReceiveProps) {
  const [document, setDocument] = useState(papers[0]!.document)
  const [way, setWay] = useState<OriginalWay>(announced)
  const [from, setFrom] = useState(file.candidate.name)
  const [place, setPlace] = useState('')
  const { act, busy, problem } = useAct('receiveOriginal')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  const receive = async () => {
    const done = await act({ params: { id: file.id }, body: { document, way, from, place } })
    if (!done) return
    toast(say('file.inTheSafe'))
    onDone()
  }
  return (
    <div className="mt-2 grid gap-2">
      {papers.length > 1 && (
        <SelectField
          label={say('file.whichPaper')}
          value={document}
          options={papers.map((paper) => ({ value: paper.document, label: `${paper.title}, ${paper.fileName}` }))}
          onChange={(event) => setDocument(event.target.value)}
        />
      )}
      <Choice
        label={say('file.howItCame')}
        name={`way ${document}`}
        options={ways}
        value={way}
        onChange={(value) => setWay(value as OriginalWay)}
      />
      <TextField
        label={say('file.handedOverBy')}
        maxLength={200}
        value={from}
        onChange={(event) => setFrom(event.target.value)}
      />
      <TextField
        label={say('file.whereKept')}
        maxLength={200}
        value={place}
        onChange={(event) => setPlace(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <Acts
        act={say('file.takeItIn')}
        busy={busy}
        ready={from.trim() !== '' && place.trim() !== ''}
        onAct={receive}
        onDone={onDone}
      />
    </div>
  )
}

type Doing = { original: DeskOriginal; onDone: () => void }

function Move({ original: { id, version, place: now }, onDone }: Doing) {
  const [place, setPlace] = useState(now)
  const { act, busy, problem } = useAct('moveOriginal')
  useFreshAfterClash(problem, 'desk')
  const move = async () => {
    if (await act({ params: { id }, body: { version, place } })) onDone()
  }
  return (
    <div className="mt-2 grid gap-2">
      <TextField
        label={say('file.whereKept')}
        maxLength={200}
        value={place}
        onChange={(event) => setPlace(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <Acts
        act={say('file.keepThere')}
        busy={busy}
        ready={place.trim() !== '' && place !== now}
        onAct={move}
        onDone={onDone}
      />
    </div>
  )
}

/** Page by page: nothing is ticked before somebody has looked. */
function Compare({ original: { id, version, pages, document }, onDone }: Doing) {
  const [found, setFound] = useState<Record<number, ComparedPage>>({})
  const { act, busy, problem } = useAct('compareOriginal')
  useFreshAfterClash(problem, 'desk')
  const numbers = Array.from({ length: pages }, (_, nth) => nth + 1)
  const put = (page: number, change: Partial<ComparedPage>) =>
    setFound((before) => ({ ...before, [page]: { page, same: true, note: '', ...before[page], ...change } }))
  const ready = numbers.every((page) => found[page] && (found[page].same || found[page].note.trim() !== ''))
  const compare = async () => {
    if (await act({ params: { id }, body: { version, pages: Object.values(found) } })) onDone()
  }
  return (
    <div className="mt-2 grid gap-2">
      <p>
        <a
          href={`/api/documents/${document}/bytes`}
          target="_blank"
          rel="noreferrer"
          className="font-semibold text-confirmed"
        >
          {say('file.openTheScan')}
        </a>
      </p>
      {numbers.map((page) => (
        <div key={page} className="grid gap-1.5">
          <Choice
            label={say('file.pageNumber', { page })}
            name={`page ${page} of ${id}`}
            options={[
              { value: 'same', label: say('file.pageSame') },
              { value: 'differs', label: say('file.pageOther') },
            ]}
            value={found[page] ? (found[page].same ? 'same' : 'differs') : ''}
            onChange={(value) => put(page, { same: value === 'same', ...(value === 'same' ? { note: '' } : {}) })}
          />
          {found[page]?.same === false && (
            <TextField
              label={say('file.howPageDiffers', { page })}
              maxLength={500}
              value={found[page].note}
              onChange={(event) => put(page, { note: event.target.value })}
            />
          )}
        </div>
      ))}
      <ProblemNote problem={problem} />
      <Acts act={say('file.writeItDown')} busy={busy} ready={ready} onAct={compare} onDone={onDone} />
    </div>
  )
}

function Return({ original: { id, version, receivedFrom, way: came }, onDone }: Doing) {
  const [way, setWay] = useState<OriginalWay>(came)
  const [to, setTo] = useState(receivedFrom)
  const [tracking, setTracking] = useState('')
  const [signature, setSignature] = useState<string>()
  const { act, busy, problem } = useAct('returnOriginal')
  useFreshAfterClash(problem, 'desk')
  const post = way === 'by post'
  const giveBack = async () => {
    const body = { version, way, to, tracking: post ? tracking : '', ...(post || !signature ? {} : { signature }) }
    if (await act({ params: { id }, body })) onDone()
  }
  return (
    <div className="mt-2 grid gap-2">
      <Choice
        label={say('file.howItGoes')}
        name={`return ${id}`}
        options={ways}
        value={way}
        onChange={(value) => setWay(value as OriginalWay)}
      />
      <TextField
        label={post ? say('file.sentTo') : say('file.takenBy')}
        maxLength={200}
        value={to}
        onChange={(event) => setTo(event.target.value)}
      />
      {post ? (
        <TextField
          label={say('file.trackingNumber')}
          maxLength={60}
          value={tracking}
          onChange={(event) => setTracking(event.target.value)}
          error={faultAt(problem, 'tracking')}
        />
      ) : (
        <Suspense fallback={null}>
          <DrawName
            label={say('file.signHere')}
            again={say('file.signAgain')}
            onDrawn={setSignature}
            error={faultAt(problem, 'signature')}
          />
        </Suspense>
      )}
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <Acts
        act={say('file.giveItBack')}
        busy={busy}
        ready={to.trim() !== '' && (post ? tracking.trim() !== '' : signature !== undefined)}
        onAct={giveBack}
        onDone={onDone}
      />
    </div>
  )
}

type ActsProps = { act: string; busy: boolean; ready: boolean; onAct: () => Promise<void>; onDone: () => void }

const Acts = ({ act, busy, ready, onAct, onDone }: ActsProps) => (
  <div className="flex gap-2">
    <Button kind="main" busy={busy} disabled={!ready} onClick={() => void onAct()}>
      {act}
    </Button>
    <Button kind="quiet" onClick={onDone}>
      {say('file.matterCancel')}
    </Button>
  </div>
)
