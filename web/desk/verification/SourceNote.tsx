import { Link } from 'react-router'
import type { Proof } from '#contract/verification'
import { say } from '#core/words/say'
import { useSession } from '../../useSession'
import { sellerWords } from '../sources/sourceWords'

/** What is known of whoever issued it: whether anybody has checked them, and of what programme a study was. */
export function SourceNote({ proof: { source, seller, programme, research } }: { proof: Proof }) {
  const { may } = useSession()
  const waits = source && source.state !== 'checked'
  if (!waits && !seller && !programme && !research) return null
  return (
    <div className="border-line border-b bg-sheet px-3.5 py-2 text-[0.9333rem]">
      {seller && <p className="font-semibold text-contradicted">{sellerWords(seller)}</p>}
      {waits && (
        <p className="text-soon-ink">
          {say(`sources.ofClaim.${source.state}`)}{' '}
          {may('readSource') && (
            <Link to={`/desk/sources/${source.id}`} className="font-semibold text-confirmed">
              {say('sources.look')}
            </Link>
          )}
        </p>
      )}
      {programme && (
        <p>
          {programme.accreditation
            ? say('sources.programmeAccredited', {
                title: programme.title,
                basis: say(`sources.basis.${programme.accreditation.basis}`),
                from: programme.accreditation.from,
                to: programme.accreditation.to ?? say('sources.today'),
              })
            : say('sources.programmeKnown', { title: programme.title })}
        </p>
      )}
      {research && !programme && (
        <p className={research.recognised === false ? 'font-semibold text-contradicted' : 'text-soon-ink'}>
          {research.recognised === null
            ? say('sources.isLookedInto')
            : say(research.recognised ? 'sources.wasRecognised' : 'sources.wasNotRecognised', {
                why: research.why,
              })}{' '}
          {may('readResearch') && (
            <Link to={`/desk/sources/programmes/${research.id}`} className="font-semibold text-confirmed">
              {say('sources.look')}
            </Link>
          )}
        </p>
      )}
    </div>
  )
}
