import { useEffect, useRef, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readTray } from '#contract/paper'
import { paperPartWords } from '#core/words/papers'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { PdfPages } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { AsCsv } from '../AsCsv'
import { useKeys } from '../useKeys'
import { useTold } from '../useTold'

type Tray = Reply<typeof readTray>
type Waits = Tray['waiting'][number]

const becauseWords: Record<string, string> = {
  name: 'the name is on it',
  reference: 'the reference is on it',
  number: 'the number is on it',
  source: 'the issuer is on it',
  awaited: 'the file waits for it',
  neighbour: 'it came with their other papers',
}

/** Paper that came in: what found its file by itself, and what waits for a person to say where it belongs. */
export function PaperTray() {
  const { id } = useParams()
  const navigate = useNavigate()
  const { data, error, refetch } = api.endpoints.readTray.useQuery(
    {},
    { pollingInterval: 4000, refetchOnMountOrArgChange: true },
  )
  const waiting = data?.waiting ?? []
  const at = waiting.findIndex((paper) => paper.id === id)
  const go = (by: number) => {
    const next = waiting[Math.min(waiting.length - 1, Math.max(0, at + by))]
    if (next) navigate(`/desk/paper/${next.id}`, { replace: true })
  }
  useKeys({ j: () => go(1), k: () => go(-1) })
  useEffect(() => {
    if (!id && waiting[0]) navigate(`/desk/paper/${waiting[0].id}`, { replace: true })
  }, [id, waiting, navigate])
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const chosen = waiting[at]
  return (
    <main className="grid h-full min-h-0 grid-cols-[258px_minmax(0,1fr)]" aria-label="Paper tray">
      <section aria-label="Papers" className="min-h-0 overflow-auto border-line border-r bg-sheet-2">
        <div className="border-line border-b px-3 py-2">
          <div className="flex items-baseline justify-between gap-2 text-[12.5px]">
            <h1 className="text-[18px]">Paper tray</h1>
            {waiting.length > 0 && <AsCsv list="tray" />}
          </div>
          <p className="text-[12.5px] text-ink-2">Paper that came in and has not found its file by itself.</p>
          <DropIn />
        </div>
        <ol>
          {data.reading.map(({ id: scan, fileName }) => (
            <li key={scan} className="border-line border-b px-3 py-2 text-ink-2">
              Reading {fileName}…
            </li>
          ))}
          {waiting.map((paper) => (
            <li
              key={paper.id}
              className={`border-line border-b ${paper.id === id ? 'bg-confirmed-wash shadow-[inset_3px_0_0_var(--confirmed)]' : 'hover:bg-sheet'}`}
            >
              <Link to={`/desk/paper/${paper.id}`} className="block px-3 py-2">
                <span className="block truncate font-semibold">
                  {paper.fileName}, {paper.pages === 1 ? '1 page' : `${paper.pages} pages`}
                </span>
                <span className="block text-[12.5px] text-ink-2">
                  {paper.came}, {writeMoment(paper.cameAt).replace(/^\w+,? /, '')}
                </span>
                <span className="block">{paper.why}</span>
              </Link>
            </li>
          ))}
          {waiting.length === 0 && (
            <li className="p-3 text-ink-2">Nothing waits. What comes with a cover sheet is filed by itself.</li>
          )}
        </ol>
        <Lately tray={data} />
      </section>
      {chosen ? (
        <Place key={chosen.id} paper={chosen} onFiled={() => navigate('/desk/paper')} />
      ) : (
        <p className="p-6 text-ink-2">Nothing is waiting to be filed.</p>
      )}
    </main>
  )
}

/** Files can be dropped in or chosen; each is one scan. */
function DropIn() {
  const input = useRef<HTMLInputElement>(null)
  const [over, setOver] = useState(false)
  const { act, busy, problem } = useAct('putInTray')
  const put = async (files: Iterable<File>) => {
    for (const file of files) await act({ query: { fileName: file.name }, body: file as never })
  }
  return (
    <section
      aria-label="Put in"
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault()
        setOver(false)
        void put(event.dataTransfer.files)
      }}
      className={`mt-2 rounded-sheet border border-dashed p-2 text-[12.5px] ${over ? 'border-confirmed bg-confirmed-wash' : 'border-line-strong'}`}
    >
      <input
        ref={input}
        type="file"
        multiple
        accept=".pdf,.tif,.tiff,.jpg,.jpeg,.png"
        className="sr-only"
        tabIndex={-1}
        aria-label="Scans to put into the tray"
        onChange={(event) => {
          void put([...(event.target.files ?? [])])
          event.target.value = ''
        }}
      />
      Drop PDF, TIFF or pictures here, or{' '}
      <button
        type="button"
        disabled={busy}
        className="font-semibold text-confirmed"
        onClick={() => input.current?.click()}
      >
        {busy ? 'sending…' : 'choose them'}
      </button>
      . The scanner’s come by themselves.
      <ProblemNote problem={problem} />
    </section>
  )
}

function Lately({ tray: { refused, filed } }: { tray: Tray }) {
  return (
    <>
      {refused.length > 0 && (
        <section aria-label="Could not be read" className="border-line border-t p-3">
          <h2 className="mb-1 font-semibold text-[13.5px]">Could not be read</h2>
          {refused.map(({ id, fileName, fault }) => (
            <p key={id} className="mb-1">
              {fileName}: <span className="text-contradicted">{fault}</span>
            </p>
          ))}
        </section>
      )}
      {filed.length > 0 && (
        <section aria-label="Filed lately" className="border-line border-t p-3">
          <h2 className="mb-1 font-semibold text-[13.5px]">Filed lately</h2>
          {filed.slice(0, 10).map(({ id, to, by, at }) => (
            <p key={id} className="mb-1">
              {to}{' '}
              <span className="text-ink-2">
                by {by}, {writeMoment(at).replace(/^\w+,? /, '')}
              </span>
            </p>
          ))}
        </section>
      )}
    </>
  )
}

function Place({ paper, onFiled }: { paper: Waits; onFiled: () => void }) {
  const filing = useAct('filePaper')
  const removing = useAct('takeOutOfTray')
  const told = useTold()
  const fileTo = async (applicationId: string, claimId: string, words: string, part?: string) => {
    const done = await filing.act({
      params: { id: paper.id },
      body: { applicationId, claimId, ...(part ? { part: part as never } : {}) },
    })
    if (!done) return
    told(`Filed to ${words}.`)
    onFiled()
  }
  const remove = async () => {
    if (!(await removing.act({ params: { id: paper.id } }))) return
    told('Taken out of the tray.')
    onFiled()
  }
  useKeys({
    ...Object.fromEntries(
      paper.guesses.map((guess, nth) => [
        String(nth + 1),
        () => void fileTo(guess.applicationId, guess.claimId, `${guess.name}, ${guess.label}`),
      ]),
    ),
    x: () => void remove(),
  })
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_340px]">
      <section aria-label="The paper" className="min-h-0 overflow-auto bg-ground p-4">
        <PdfPages
          address={addressOf('readTrayPaper', { params: { id: paper.id } })}
          name={paper.fileName}
          width={508}
          firstPageOnly={false}
        />
      </section>
      <section aria-label="Where it belongs" className="flex min-h-0 flex-col border-line border-l bg-sheet-2">
        <div className="min-h-0 flex-1 overflow-auto p-3.5">
          <h2 className="text-[18px]">Where does it belong?</h2>
          <p className="mb-2 text-ink-2">{paper.why}</p>
          <ProblemNote problem={filing.problem ?? removing.problem} />
          <ol className="grid gap-2">
            {paper.guesses.map((guess, nth) => (
              <li key={guess.claimId} className="rounded-sheet border border-line bg-sheet p-2">
                <p className="font-semibold">{guess.name}</p>
                <p>
                  {guess.label} <span className="font-mono text-[12.5px] text-ink-2">{guess.reference}</span>
                </p>
                <p className="mb-1.5 text-[12.5px] text-ink-2">
                  {guess.because.map((reason) => becauseWords[reason] ?? reason).join(', ')}
                </p>
                <Button
                  kind={nth === 0 ? 'main' : 'plain'}
                  letter={String(nth + 1)}
                  busy={filing.busy}
                  onClick={() => void fileTo(guess.applicationId, guess.claimId, `${guess.name}, ${guess.label}`)}
                >
                  File it here
                </Button>
              </li>
            ))}
            {paper.guesses.length === 0 && <li className="text-ink-2">Nothing on it says whose it is.</li>}
          </ol>
          <Elsewhere busy={filing.busy} onFile={fileTo} />
        </div>
        <div className="border-line border-t bg-sheet p-3">
          <Button kind="grave" letter="X" busy={removing.busy} onClick={() => void remove()}>
            It belongs nowhere
          </Button>
        </div>
      </section>
    </div>
  )
}

type ElsewhereProps = {
  busy: boolean
  onFile: (applicationId: string, claimId: string, words: string, part?: string) => Promise<void>
}

/** Another person than those guessed: found by name, then what of their file it is. */
function Elsewhere({ busy, onFile }: ElsewhereProps) {
  const [text, setText] = useState('')
  const [person, setPerson] = useState<{ id: string; candidate: string }>()
  const [claim, setClaim] = useState('')
  const [part, setPart] = useState('')
  const found = api.endpoints.find.useQuery({ query: { text: text.trim() } }, { skip: text.trim() === '' || !!person })
  const places = api.endpoints.placesFor.useQuery({ params: { id: person?.id ?? '' } }, { skip: !person })
  const chosen = places.data?.find(({ claimId }) => claimId === claim)
  return (
    <section aria-label="Somebody else’s" className="mt-4 grid gap-2">
      <h3 className="font-semibold text-[13.5px]">Somebody else’s</h3>
      {person ? (
        <>
          <p>
            {person.candidate}{' '}
            <button
              type="button"
              className="font-semibold text-confirmed"
              onClick={() => {
                setPerson(undefined)
                setClaim('')
              }}
            >
              Another person
            </button>
          </p>
          <SelectField
            label="What is it for?"
            value={claim}
            empty="Choose…"
            options={(places.data ?? []).map(({ claimId, label }) => ({ value: claimId, label }))}
            onChange={(event) => {
              setClaim(event.target.value)
              setPart('')
            }}
          />
          {chosen && (
            <SelectField
              label="What is it?"
              value={part || chosen.parts[0]}
              options={chosen.parts.map((one) => ({ value: one, label: paperPartWords(one) }))}
              onChange={(event) => setPart(event.target.value)}
            />
          )}
          <div>
            <Button
              kind="main"
              busy={busy}
              disabled={!chosen}
              onClick={() =>
                void onFile(person.id, claim, `${person.candidate}, ${chosen?.label}`, part || chosen?.parts[0])
              }
            >
              File it here
            </Button>
          </div>
        </>
      ) : (
        <>
          <TextField
            label="A name or reference"
            hidden
            type="search"
            placeholder="A name or reference"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <ul>
            {(text.trim() ? (found.data?.people ?? []) : []).slice(0, 6).map(({ id, candidate, vacancy }) => (
              <li key={id}>
                <button
                  type="button"
                  className="w-full py-1 text-left hover:underline"
                  onClick={() => setPerson({ id, candidate })}
                >
                  <span className="font-semibold">{candidate}</span> <span className="text-ink-2">{vacancy}</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
