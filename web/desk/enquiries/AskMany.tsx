import { useEffect, useState } from 'react'
import type { Reply } from '#contract/endpoint'
import { mostAtOnce, type Planned, type planEnquiries } from '#contract/enquiries'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'
import { costWords } from './words'

type Of = { applicationIds: string } | { sourceId: string }

/** Asks about all that files still need, or all that waits for one source: what goes where, what waits, and what does not. */
export function AskMany({ of, title, onClose }: { of: Of; title: string; onClose: () => void }) {
  const { data: items, error } = api.endpoints.listToAsk.useQuery({ query: of }, { refetchOnMountOrArgChange: true })
  const { act: plan, problem: planProblem } = useAct('planEnquiries')
  const raising = useAct('raiseEnquiries')
  const toast = useToast()
  const [planned, setPlanned] = useState<Reply<typeof planEnquiries>>()
  const [left, setLeft] = useState<readonly string[]>([])
  useEffect(() => {
    if (items && items.length > 0) void plan({ body: { items } }).then((lines) => lines && setPlanned(lines))
    if (items?.length === 0) setPlanned([])
  }, [items, plan])
  const chosen = (planned ?? []).filter(({ claimId, outcome }) => outcome !== 'not' && !left.includes(claimId))
  const ask = async () => {
    const done = await raising.act({
      body: { items: chosen.map(({ claimId, applicationId }) => ({ claimId, applicationId })) },
    })
    if (!done) return
    toast(say('enquiries.askedMany', { count: done.asked, prepared: done.prepared }))
    onClose()
  }
  return (
    <Dialog open wide onClose={onClose} title={title}>
      {!planned ? (
        <Waiting error={error ?? planProblem} />
      ) : planned.length === 0 ? (
        <p>{say('enquiries.nothingToAsk')}</p>
      ) : (
        <div className="text-[0.9rem]">
          {planned.length === mostAtOnce && (
            <p className="mb-2 text-soon-ink">{say('enquiries.atMostAtOnce', { most: mostAtOnce })}</p>
          )}
          {(['goes', 'waits', 'not'] as const).map((outcome) => (
            <Group
              key={outcome}
              outcome={outcome}
              lines={planned.filter((line) => line.outcome === outcome)}
              left={left}
              onTurn={(id) => setLeft(left.includes(id) ? left.filter((one) => one !== id) : [...left, id])}
            />
          ))}
          <ProblemNote problem={raising.problem} />
          <Button kind="main" busy={raising.busy} disabled={chosen.length === 0} onClick={() => void ask()}>
            {say('enquiries.askThem', { count: chosen.length })}
          </Button>
        </div>
      )}
    </Dialog>
  )
}

type GroupProps = {
  outcome: Planned['outcome']
  lines: readonly Planned[]
  left: readonly string[]
  onTurn: (id: string) => void
}

function Group({ outcome, lines, left, onTurn }: GroupProps) {
  if (lines.length === 0) return null
  return (
    <section className="mb-3">
      <h3 className="font-semibold">{say(`enquiries.outcome.${outcome}`, { count: lines.length })}</h3>
      <ul>
        {lines.map((line) => (
          <li key={line.claimId} className="grid grid-cols-[1.5rem_1fr_1fr] gap-x-2 border-line border-b py-1">
            {outcome === 'not' ? (
              <span />
            ) : (
              <input
                type="checkbox"
                className="mt-1 accent-confirmed"
                aria-label={`${line.candidate}, ${line.claim}`}
                checked={!left.includes(line.claimId)}
                onChange={() => onTurn(line.claimId)}
              />
            )}
            <span className="min-w-0">
              {line.candidate}
              <span className="block text-ink-2">{line.claim}</span>
            </span>
            <span className="min-w-0 break-words">
              {line.source}
              <span className="block text-ink-2">
                {outcome === 'goes'
                  ? [
                      line.channel && say(`sources.channel.${line.channel}`),
                      line.to.replaceAll('\n', ', '),
                      line.cost && line.cost.amount > 0 && costWords(line.cost),
                      line.together && say('enquiries.together', { nth: line.together }),
                    ]
                      .filter(Boolean)
                      .join(', ')
                  : line.because.join(' ')}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
