import { useEffect, useRef, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readTray } from '#contract/tray'
import { say } from '#core/words/say'
import { api } from '../../api'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { AsCsv } from '../AsCsv'
import { useKeys } from '../useKeys'
import { PlacePaper } from './PlacePaper'

type Tray = Reply<typeof readTray>

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
    if (!id && waiting[0] && window.matchMedia('(min-width: 1024px)').matches)
      navigate(`/desk/paper/${waiting[0].id}`, { replace: true })
  }, [id, waiting, navigate])
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const chosen = waiting[at]
  return (
    <main className="grid h-full min-h-0 lg:grid-cols-[17.2rem_minmax(0,1fr)]" aria-label={say('trayDesk.paperTray')}>
      <section
        aria-label={say('trayDesk.papers')}
        className={`min-h-0 overflow-auto border-line border-r bg-sheet-2 ${chosen ? 'max-lg:hidden' : ''}`}
      >
        <div className="border-line border-b px-3 py-2">
          <div className="flex items-baseline justify-between gap-2 text-[0.8333rem]">
            <h1 className="text-[1.2rem]">{say('trayDesk.paperTray')}</h1>
            {waiting.length > 0 && <AsCsv list="tray" />}
          </div>
          <p className="text-[0.8333rem] text-ink-2">{say('trayDesk.paperThatCameInAnd')}</p>
          <DropIn />
        </div>
        <ol>
          {data.reading.map(({ id: scan, fileName }) => (
            <li key={scan} className="border-line border-b px-3 py-2 text-ink-2">
              {say('trayDesk.readingFileName', { fileName })}
            </li>
          ))}
          {waiting.map((paper) => (
            <li
              key={paper.id}
              className={`border-line border-b ${paper.id === id ? 'bg-confirmed-wash shadow-[inset_3px_0_0_var(--confirmed)]' : 'hover:bg-sheet'}`}
            >
              <Link to={`/desk/paper/${paper.id}`} className="block px-3 py-2">
                <span className="block truncate font-semibold">
                  {paper.fileName},{' '}
                  {paper.pages === 1 ? say('trayDesk.n1Page') : say('trayDesk.pagesPages', { pages: paper.pages })}
                </span>
                <span className="block text-[0.8333rem] text-ink-2">
                  {cameWords(paper)}, {writeMoment(paper.cameAt).replace(/^\w+,? /, '')}
                </span>
                <span className="block">{paper.why}</span>
              </Link>
            </li>
          ))}
          {waiting.length === 0 && <li className="p-3 text-ink-2">{say('trayDesk.nothingWaitsWhatComesWith')}</li>}
        </ol>
        <Lately tray={data} />
      </section>
      {chosen ? (
        <div className="min-h-0 min-w-0 max-lg:overflow-auto lg:contents">
          <Link to="/desk/paper" className="block px-4 pt-2 text-confirmed lg:hidden">
            {say('trayDesk.backToTheTray')}
          </Link>
          <PlacePaper key={chosen.id} paper={chosen} onFiled={() => navigate('/desk/paper')} />
        </div>
      ) : (
        <p className="p-6 text-ink-2">{say('trayDesk.nothingIsWaitingToBe')}</p>
      )}
    </main>
  )
}

/** Files can be dropped in or chosen; each is one scan. */
function DropIn() {
  const input = useRef<HTMLInputElement>(null)
  const [over, setOver] = useState(false)
  const { act, busy, problem } = useAct('putInTray')
  // One that is refused does not keep the others out, and is named until the next are put in.
  const [refused, setRefused] = useState<string[]>([])
  const put = async (files: readonly File[]) => {
    setRefused([])
    for (const file of files)
      if (!(await act({ query: { fileName: file.name }, body: file as never })))
        setRefused((before) => [...before, file.name])
  }
  return (
    <section
      aria-label={say('trayDesk.putIn')}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault()
        setOver(false)
        // The list of what was dropped is emptied once the event is over.
        void put([...event.dataTransfer.files])
      }}
      className={`mt-2 rounded-sheet border border-dashed p-2 text-[0.8333rem] ${over ? 'border-confirmed bg-confirmed-wash' : 'border-line-strong'}`}
    >
      <input
        ref={input}
        type="file"
        multiple
        accept=".pdf,.tif,.tiff,.jpg,.jpeg,.png"
        className="sr-only"
        tabIndex={-1}
        aria-label={say('trayDesk.scansToPutIntoThe')}
        onChange={(event) => {
          void put([...(event.target.files ?? [])])
          event.target.value = ''
        }}
      />
      {say('trayDesk.dropPdfTiffOrPictures')}{' '}
      <button
        type="button"
        disabled={busy}
        className="font-semibold text-confirmed"
        onClick={() => input.current?.click()}
      >
        {busy ? say('trayDesk.sending') : say('trayDesk.chooseThem')}
      </button>
      {say('trayDesk.theScannersComeByThemselves')}
      {refused.length > 0 && (
        <p role="alert" className="font-semibold text-contradicted">
          {say('trayDesk.notTaken', { files: refused.join(', ') })}
        </p>
      )}
      <ProblemNote problem={problem} />
    </section>
  )
}

function Lately({ tray: { refused, filed } }: { tray: Tray }) {
  return (
    <>
      {refused.length > 0 && (
        <section aria-label={say('trayDesk.couldNotBeRead')} className="border-line border-t p-3">
          <h2 className="mb-1 font-semibold text-[0.9rem]">{say('trayDesk.couldNotBeRead')}</h2>
          {refused.map(({ id, fileName, fault }) => (
            <p key={id} className="mb-1">
              {fileName}: <span className="text-contradicted">{fault}</span>
            </p>
          ))}
        </section>
      )}
      {filed.length > 0 && (
        <section aria-label={say('trayDesk.filedLately')} className="border-line border-t p-3">
          <h2 className="mb-1 font-semibold text-[0.9rem]">{say('trayDesk.filedLately')}</h2>
          {filed.slice(0, 10).map(({ id, to, by, at }) => (
            <p key={id} className="mb-1">
              {to}{' '}
              <span className="text-ink-2">
                {say('trayDesk.byByValue', { by, value: writeMoment(at).replace(/^\w+,? /, '') })}
              </span>
            </p>
          ))}
        </section>
      )}
    </>
  )
}

/** How a paper came: from the scanner, dropped in by somebody, or with a mail. */
const cameWords = ({ came, broughtBy }: { came: string; broughtBy: string }) =>
  came === 'scanner'
    ? say('trayDesk.fromTheScanner')
    : say(came === 'mail' ? 'trayDesk.withMailOf' : 'trayDesk.broughtBy', { who: broughtBy.replace(/\s*<[^>]*>$/, '') })
