import type { Claim } from '#contract/claims'
import {
  counted,
  givenPapers,
  isTranslated,
  type PaperNeed,
  type PaperPart,
  papersOfClaim,
} from '#core/documents/papers'
import { paperNeedWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { Documents } from '../documents/Documents'

/** The papers behind a claim, and in words what is still wanted of them. */
export function ClaimPapers({ claim, accepted }: { claim: Claim; accepted: readonly string[] }) {
  const need = papersOfClaim(claim.details, claim.documents, accepted)
  if (!need) return <Documents claim={claim} />
  const words = paperNeedWords(need, givenPapers(claim.documents).length)
  const link = 'link' in claim.details ? claim.details.link : undefined
  return (
    <div>
      {need.linkInstead && link && (
        <p className="mb-1 text-[0.93em] text-ink-2">
          {say('apply.theLinkToTheProgramme')}{' '}
          <a href={link} rel="noreferrer" target="_blank" className="break-all text-confirmed underline">
            {link}
          </a>
        </p>
      )}
      {words && <p className="mb-1 text-[0.93em] text-soon-ink">{words}</p>}
      <Documents claim={claim} parts={partsOf(need)} untranslated={wantingTranslation(claim, need)} />
    </div>
  )
}

/** What may be put behind a claim, what is missing first. */
const partsOf = ({ sets, missing }: PaperNeed): PaperPart[] => [...new Set([...missing, ...sets.flat()])]

/** The originals that want a translation beside them. */
const wantingTranslation = ({ documents }: Claim, { untranslated }: PaperNeed) =>
  untranslated.length === 0
    ? []
    : counted(documents).filter(({ id, part }) => part !== 'translation' && !isTranslated(documents, id))
