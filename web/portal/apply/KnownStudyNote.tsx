import { useState } from 'react'
import type { Claim } from '#contract/claims'
import type { KnownStudy } from '#core/sources/knownStudy'
import { studyLevelName } from '#core/words/names'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'

/** The same once something is sent, of every study there is something to say of. */
export function KnownStudies({ claims, studies }: { claims: readonly Claim[]; studies: readonly KnownStudy[] }) {
  const told = claims.filter(({ id, rung }) =>
    studies.some(
      (one) => one.claim === id && one.state !== 'not accredited' && (rung === 'claimed' || rung === 'evidenced'),
    ),
  )
  if (told.length === 0) return null
  return (
    <section className="mb-7" aria-label={say('apply.known.title')}>
      <h2 className="mb-1 text-[1.4em]">{say('apply.known.title')}</h2>
      <ul className="grid gap-3">
        {told.map((claim) => (
          <li key={claim.id}>
            <strong>{claim.label}</strong>
            <KnownStudyNote claim={claim} studies={studies} />
          </li>
        ))}
      </ul>
    </section>
  )
}

type Props = { claim: Claim; studies: readonly KnownStudy[] }

/**
 * What is known of the programme of a study: where it is accredited its candidate says that the paper says the same, and is
 * confirmed at once where there is a record; where nobody knows it, they can ask about it, also ahead of finishing.
 */
export function KnownStudyNote({ claim, studies }: Props) {
  const { may } = useSession()
  const study = studies.find((one) => one.claim === claim.id)
  if (!study) return null
  if (claim.rung === 'confirmed') return <Note tone="text-confirmed">{say('apply.known.confirmed')}</Note>
  if (study.state === 'unknown programme') return <Unknown claim={claim} study={study} />
  if (claim.rung !== 'claimed' && claim.rung !== 'evidenced') return null
  const { accreditation, programme = '', source } = study
  if (!accreditation) return null
  const known = {
    programme,
    source,
    by: accreditation.by || source,
    basis: say(`apply.known.basis.${accreditation.basis}`),
    years: `${accreditation.from} – ${accreditation.to ?? say('apply.now')}`,
  }
  if (study.state === 'year outside') return <Note>{say('apply.known.yearOutside', known)}</Note>
  if (study.state !== 'accredited') return null
  if (study.stated) return <Note>{say('apply.known.stated', { source })}</Note>
  return (
    <>
      <Note>{say('apply.known.accredited', known)}</Note>
      {/* Whoever writes for somebody cannot say it for them. */}
      {may('stateAward') && <StateAward key={claim.version} claim={claim} />}
    </>
  )
}

const Note = ({ tone = 'text-ink-2', children }: { tone?: string; children: string }) => (
  <p className={`mt-2 text-[0.93em] ${tone}`}>{children}</p>
)

/** Two things only they can say; both are asked for. */
function StateAward({ claim }: { claim: Claim }) {
  const [same, setSame] = useState(false)
  const [finished, setFinished] = useState(false)
  const { act, busy, problem } = useAct('stateAward')
  const confirm = () =>
    act({ params: { id: claim.id }, body: { version: claim.version, paperSaysTheSame: true, finished: true } })
  const ticks = [
    [same, setSame, say('apply.known.paperSaysTheSame')],
    [finished, setFinished, say('apply.known.iFinished')],
  ] as const
  return (
    <div className="mt-1.5 grid justify-items-start gap-1">
      {ticks.map(([checked, set, label]) => (
        <label key={label} className="flex items-start gap-2">
          <input
            type="checkbox"
            className="mt-1 accent-confirmed"
            checked={checked}
            onChange={(event) => set(event.target.checked)}
          />
          {label}
        </label>
      ))}
      <ProblemNote problem={problem} />
      <Button busy={busy} disabled={!same || !finished} onClick={() => void confirm()}>
        {say('apply.known.confirmIt')}
      </Button>
    </div>
  )
}

/** A programme nobody knows: what was found of it, or the way to ask. */
function Unknown({ claim, study }: { claim: Claim; study: KnownStudy }) {
  const { act, busy, problem } = useAct('askAboutProgramme')
  const { may } = useSession()
  const { research, source } = study
  if (research?.outcome) {
    const { recognised, comparableTo, level, why } = research.outcome
    return (
      <Note>
        {say(recognised ? 'apply.known.recognised' : 'apply.known.notRecognised', {
          level: studyLevelName(level),
          comparableTo,
          why,
        })}
      </Note>
    )
  }
  if (research) return <Note>{say('apply.known.lookedInto')}</Note>
  const { details } = claim
  const ahead = details.kind === 'study' && details.outcome === 'in progress'
  return (
    <div className="mt-2">
      <Note>{say('apply.known.nobodyKnows', { source })}</Note>
      {ahead && (details.link ?? '') === '' ? (
        <Note>{say('apply.known.linkFirst')}</Note>
      ) : may('askAboutProgramme') ? (
        <Button kind="quiet" busy={busy} onClick={() => void act({ params: { id: claim.id } })}>
          {say(ahead ? 'apply.known.askAhead' : 'apply.known.askNow')}
        </Button>
      ) : null}
      <ProblemNote problem={problem} />
    </div>
  )
}
