import { useState } from 'react'
import type { Draft } from '#contract/applications'
import type { Claim } from '#contract/claims'
import {
  counted,
  givenPapers,
  isTranslated,
  type PaperNeed,
  type PaperPart,
  papersOfClaim,
} from '#core/documents/papers'
import type { Requirement } from '#core/requirements/requirement'
import { paperListWords, paperNeedWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { Choice } from '../../ui/Field'
import { Documents } from '../documents/Documents'
import { Attestations } from './Attestations'
import { BringCredential } from './BringCredential'
import { WhatSourceAsks, withoutSourcePapers } from './WhatSourceAsks'

/** The papers behind a claim, in words what is still wanted of them, and who vouches for them. */
export function ClaimPapers({ claim, draft }: { claim: Claim; draft: Draft }) {
  return (
    <>
      <PapersThemselves claim={withoutSourcePapers(claim)} accepted={draft.vacancy.paperLanguages} />
      <WhatSourceAsks applicationId={draft.id} claim={claim} asked={draft.askedBySources} />
      <BringCredential applicationId={draft.id} claimId={claim.id} />
      <Attestations claim={claim} all={draft.claims} asked={draft.requirements.some(wantsCertified(claim))} />
    </>
  )
}

/** Whether a requirement asks for somebody who vouches for the paper of this claim. */
const wantsCertified =
  ({ details }: Claim) =>
  ({ certified, asks, alternatives = [] }: Requirement) =>
    certified !== undefined &&
    [asks, ...alternatives].some(
      (ask) =>
        (ask.kind === 'study' && details.kind === 'study') ||
        (ask.kind === 'credential' && 'credential' in details && details.credential === ask.credential) ||
        (ask.kind === 'language' && details.kind === 'language' && details.language === ask.language) ||
        (ask.kind === 'document' && details.kind === 'paper' && details.question === ask.question),
    )

function PapersThemselves({ claim, accepted }: { claim: Claim; accepted: readonly string[] }) {
  const [chosen, setChosen] = useState<number>()
  const need = papersOfClaim(claim.details, claim.documents, accepted)
  if (!need) return <Documents claim={claim} />
  const given = givenPapers(claim.documents)
  const words = paperNeedWords(need, given.length)
  // Several ways read as one choice; what is there already says which it is.
  const ways = need.missing.length > 0 && need.sets.length > 1 ? [...need.sets, ...need.interim] : []
  const lacking = (set: readonly PaperPart[]) => set.filter((part) => !given.some((one) => one.part === part))
  const nearest = ways.findIndex((set) => lacking(set).join() === need.missing.join())
  const way = chosen ?? Math.max(0, nearest)
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
      {ways.length > 1 && (
        <Choice
          label={say('documents.whichHave')}
          name={`ways ${claim.id}`}
          inline={false}
          options={ways.map((set, nth) => ({ value: String(nth), label: wayWords(set, nth >= need.sets.length) }))}
          value={String(way)}
          onChange={(value) => setChosen(Number(value))}
        />
      )}
      <Documents
        claim={claim}
        parts={partsOf(need, ways[way])}
        several={need.sets.flat().length > 1 || need.interim.length > 0}
        untranslated={wantingTranslation(claim, need)}
      />
    </div>
  )
}

/** What may be put behind a claim: of the way that was chosen what is missing first, or anything once nothing is. */
const partsOf = ({ sets, interim, missing }: PaperNeed, way: readonly PaperPart[] | undefined): PaperPart[] =>
  way ? [...way] : [...new Set([...missing, ...sets.flat(), ...interim.flat()])]

const wayWords = (set: readonly PaperPart[], forNow: boolean) => {
  const papers = paperListWords(set)
  return forNow ? say('documents.forNow', { papers }) : papers
}

/** The originals that want a translation beside them. */
const wantingTranslation = ({ documents }: Claim, { untranslated }: PaperNeed) =>
  untranslated.length === 0
    ? []
    : counted(documents).filter(({ id, part }) => part !== 'translation' && !isTranslated(documents, id))
