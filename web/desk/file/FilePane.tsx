import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { File, Queue } from '#contract/desk'
import { isActive, mayGo } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button, Key } from '../../ui/Button'
import { LifeChart } from '../../ui/LifeChart'
import { barsOf, papersOf } from '../../ui/lifeOfClaims'
import { Waiting } from '../../ui/Waiting'
import { useSession } from '../../useSession'
import { AskMany } from '../enquiries/AskMany'
import { useKeys } from '../useKeys'
import { ProofPane } from '../verification/ProofPane'
import { Correct } from './Correct'
import { FileFacts } from './FileFacts'
import { FileMore } from './FileMore'
import { FileRows } from './FileRows'
import { FirstLook } from './FirstLook'
import { HiddenParts } from './HiddenParts'
import { MoveOn } from './MoveOn'
import { Ownership } from './Ownership'
import { type Row, rowsOf } from './rows'
import { TakeUpAgain } from './TakeUpAgain'

/** The file in the middle and the proof on the right. */
export function FilePane({ id, queue, chosen }: { id: string; queue: Queue; chosen?: string }) {
  const navigate = useNavigate()
  const {
    data: file,
    error,
    refetch,
  } = api.endpoints.readFile.useQuery({ params: { id } }, { refetchOnMountOrArgChange: true })
  const [moving, setMoving] = useState(false)
  const [correcting, setCorrecting] = useState(false)
  const [takingUp, setTakingUp] = useState(false)
  const [asking, setAsking] = useState(false)
  const groups = file ? rowsOf(file) : []
  const rows = groups.flatMap(({ rows: own }) => own)
  const current = rows.find(({ key }) => key === chosen) ?? mostPressing(rows, queue)
  const choose = (key: string) => navigate(`/desk/${queue}/${id}/${key}`, { replace: true })
  const step = (by: number) => {
    const at = rows.findIndex(({ key }) => key === current?.key)
    const next = rows[Math.min(rows.length - 1, Math.max(0, at + by))]
    if (!next) return
    choose(next.key)
    document.querySelector<HTMLElement>(`[data-claim="${next.key}"]`)?.focus()
  }
  const { roles, may } = useSession()
  const mayCorrect = may('reopenPart') && file !== undefined && isActive(file)
  const mayTakeUp = may('takeUpAgain') && file !== undefined && mayGo('take up again, sent', file)
  // Whoever may pass the gate, or waive something that keeps it shut.
  const mayMove =
    file?.nextGate != null &&
    (may('passGate') ||
      (may('waive') && file.requirements.some(({ waivableBy }) => roles.some((role) => waivableBy.includes(role)))))
  const mayAskAll = may('raiseEnquiries') && file !== undefined && isActive(file)
  useKeys({
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    m: mayMove ? () => setMoving(true) : undefined,
    a: mayCorrect ? () => setCorrecting(true) : mayTakeUp ? () => setTakingUp(true) : undefined,
    s: file?.scoring ? () => choose('scores') : undefined,
    q: mayAskAll ? () => setAsking(true) : undefined,
  })
  if (!file) return <Waiting error={error} onRetry={refetch} />
  return (
    <div className="grid min-h-0 min-w-0 xl:grid-cols-[minmax(0,1fr)_24.8rem] lg:max-xl:grid-rows-[auto_auto] lg:max-xl:overflow-auto">
      <section
        aria-label={say('file.fileOf', { name: file.candidate.name })}
        className="min-h-0 min-w-0 overflow-auto border-line border-r bg-sheet"
      >
        <div className="px-4 pt-2.5 pb-2">
          <Link to={`/desk/${queue}`} className="text-confirmed lg:hidden">
            {say('file.backToTheQueue')}
          </Link>
          <div className="flex items-start justify-between gap-x-3 gap-y-1 max-sm:flex-wrap">
            <div className="min-w-0">
              <h2 className="truncate text-[1.6rem]">{file.candidate.name}</h2>
              <p className="text-ink-2">
                {file.vacancy.title} · <span className="whitespace-nowrap font-mono">{file.reference}</span> ·{' '}
                {say(`state.stage.${file.stage}`)}
              </p>
            </div>
            <div className="flex shrink-0 gap-2">
              {mayCorrect && (
                <Button letter="A" onClick={() => setCorrecting(true)}>
                  {say('file.askToCorrect2')}
                </Button>
              )}
              {mayTakeUp && (
                <Button letter="A" onClick={() => setTakingUp(true)}>
                  {say('file.takeUpAgain')}
                </Button>
              )}
              {mayMove && (
                <Button letter="M" onClick={() => setMoving(true)}>
                  {say('file.moveOn')}
                </Button>
              )}
            </div>
          </div>
          <div className="flex flex-wrap items-center justify-between gap-x-3">
            <Ownership file={file} place={current?.key ?? ''} />
            {mayAskAll && (
              <button
                type="button"
                aria-keyshortcuts="Q"
                onClick={() => setAsking(true)}
                className="inline-flex items-center gap-2 font-semibold text-confirmed"
              >
                {say('enquiries.askAll')} <Key letter="Q" />
              </button>
            )}
          </div>
          <FileFacts file={file} onChoose={choose} />
          <FirstLook file={file} />
          <HiddenParts applicationId={file.id} hidden={file.hidden} letter="H" />
        </div>
        <div className="border-line border-y px-4 pt-1.5">
          <LifeChart
            bars={barsOf(file.claims)}
            papers={papersWithNeeds(file)}
            today={file.today}
            start={file.targetStart}
            years={file.historyYears}
            toleratedGapDays={file.toleratedGapDays}
            onChoose={choose}
          />
        </div>
        <FileRows groups={groups} current={current?.key} onChoose={choose} />
        <FileMore file={file} />
      </section>
      <ProofPane file={file} row={current} />
      {correcting && <Correct key={current?.key} file={file} row={current} onClose={() => setCorrecting(false)} />}
      {takingUp && <TakeUpAgain file={file} onClose={() => setTakingUp(false)} />}
      {asking && (
        <AskMany
          of={{ applicationIds: file.id }}
          title={say('enquiries.askAllOf', { name: file.candidate.name })}
          onClose={() => setAsking(false)}
        />
      )}
      <MoveOn file={file} open={moving} onClose={() => setMoving(false)} />
    </div>
  )
}

/** What is shown first: in Validity what lapses, and else what waits for the desk, with a decision before a look. */
function mostPressing(rows: readonly Row[], queue: Queue): Row | undefined {
  if (queue === 'validity')
    for (const tone of ['grave', 'care']) {
      const lapsing = rows.find((row) => row.of === 'claim' && row.tone === tone)
      if (lapsing) return lapsing
    }
  const pressing = (['compare', 'decide', 'look', 'ask'] as const).map((what) =>
    say('step.turn', { who: say('step.who.reader'), what: say(`step.what.${what}`) }),
  )
  for (const start of pressing) {
    const found = rows.find(({ wants }) => wants.startsWith(start))
    if (found) return found
  }
  return rows.find(({ wants }) => wants !== '') ?? rows[0]
}

/** A paper that lapses before it has to is drawn as one that fades, even if that is months away. */
function papersWithNeeds(file: File) {
  const early = new Set(file.outcomes.flatMap(({ reason, claims }) => (reason.code === 'lapses-early' ? claims : [])))
  return papersOf(file.claims, file.today).map((paper) =>
    early.has(paper.id) && paper.state !== 'lapsed' ? { ...paper, state: 'expiring' } : paper,
  )
}
