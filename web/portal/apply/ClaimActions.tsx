import type { Claim } from '#contract/claims'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

const rungWords: Partial<Record<Claim['rung'], string>> = {
  asked: 'The source has been asked.',
  confirmed: 'Confirmed.',
  contradicted: 'The source says otherwise.',
  unconfirmable: 'The source cannot confirm it.',
}

/** Change or take back a claim while nobody has worked on it; otherwise why not. */
export function ClaimActions({ claim, onChange }: { claim: Claim; onChange: () => void }) {
  const { act, busy, problem } = useAct('removeClaim')
  const settled = rungWords[claim.rung]
  if (settled) return <p className="text-[0.93em] text-ink-2">{settled}</p>
  return (
    <div>
      <div className="flex">
        <Button kind="quiet" onClick={onChange} aria-label={`Change ${claim.label}`}>
          Change
        </Button>
        {claim.rung === 'claimed' && (
          <Button
            kind="quiet"
            busy={busy}
            onClick={() => void act({ params: { id: claim.id }, query: { version: String(claim.version) } })}
            aria-label={`Take back ${claim.label}`}
          >
            Take back
          </Button>
        )}
      </div>
      <ProblemNote problem={problem} />
    </div>
  )
}
