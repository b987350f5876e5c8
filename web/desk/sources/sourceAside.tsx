import { Link } from 'react-router'
import { say } from '#core/words/say'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { fieldWords } from './fieldWords'
import type { SourceRead } from './sourceTypes'

/** What those say of a source who named it before it was known. Nobody is written to by it. */
export function SaidByCandidates({ said }: Pick<SourceRead, 'said'>) {
  if (said.length === 0) return null
  return (
    <section aria-label={say('sources.said')} className="border-line border-b pb-4">
      <h2 className="mb-1 text-[1.1333rem]">{say('sources.said')}</h2>
      <p className="mb-1 text-ink-2">{say('sources.saidMeans')}</p>
      <ul className="grid gap-2">
        {said.map(({ file, who, claim, town, country, mail, phone, site }) => (
          <li key={`${who}${claim}`}>
            {file ? (
              <Link to={`/desk/today/${file}`} className="font-semibold text-confirmed">
                {who}
              </Link>
            ) : (
              <strong>{who}</strong>
            )}{' '}
            {claim}
            <span className="block text-ink-2">{[town, country, mail, phone, site].filter(Boolean).join(' · ')}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What was merged into it, and can be taken out again. */
export function Merged({ merges }: Pick<SourceRead, 'merges'>) {
  const undo = useAct('undoSourceMerge')
  if (merges.length === 0) return null
  return (
    <section aria-label={say('sources.mergedInto')} className="border-line border-b pb-4">
      <h2 className="mb-1 text-[1.1333rem]">{say('sources.mergedInto')}</h2>
      <ProblemNote problem={undo.problem} />
      <ul className="grid gap-1.5">
        {merges.map(({ id, name, by, at, claims }) => (
          <li key={id}>
            <strong>{name}</strong>{' '}
            <span className="text-ink-2">
              {by}, {writeShortDay(at)}, {say('sources.claimsFollowed', { count: claims })}
            </span>{' '}
            <button
              type="button"
              disabled={undo.busy}
              className="font-semibold text-confirmed"
              onClick={() => void undo.act({ params: { id } })}
            >
              {say('sources.takeApart')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Who changed what, the newest first. */
export const History = ({ history, origin }: Pick<SourceRead, 'history' | 'origin'>) => (
  <section aria-label={say('sources.history')}>
    <h2 className="mb-1 text-[1.1333rem]">{say('sources.history')}</h2>
    <ol className="grid gap-1">
      {history.map(({ version, by, at, changed }) => (
        <li key={version}>
          <span className="text-ink-2">{writeShortDay(at)}</span>{' '}
          {by || say(origin === 'candidate' ? 'sources.aCandidate' : 'sources.somebody')}{' '}
          {changed.length > 0
            ? say('sources.changed', { fields: changed.map(fieldWords).join(', ') })
            : version === 1
              ? say(origin === 'candidate' ? 'sources.wasProposed' : 'sources.wasEntered')
              : say('sources.changedStanding')}
        </li>
      ))}
    </ol>
  </section>
)
