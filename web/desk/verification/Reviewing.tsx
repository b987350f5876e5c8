import { useState } from 'react'
import type { FileClaim } from '#contract/desk'
import type { Review } from '#contract/reviews'
import type { Proof } from '#contract/verification'
import type { Decision } from '#core/comparison/proposeDecision'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { writeShortDay } from '../../ui/write'
import { useKeys } from '../useKeys'
import { Decide } from './Decide'

const letters: Record<Decision, string> = {
  confirmed: 'C',
  'confirmed with a note': 'N',
  contradicted: 'X',
  unconfirmable: 'U',
}
const actWords: Record<Decision, string> = {
  confirmed: say('proof.confirm'),
  'confirmed with a note': say('proof.confirmWithANote'),
  contradicted: say('proof.recordContradiction'),
  unconfirmable: say('proof.cannotBeConfirmed'),
}

type Props = { claim: FileClaim; proof: Proof; review: Review; onOpen: (documentId: string) => void }

/** A decision that takes more than one person, or waits for the candidate: where it stands, and what its reader may say. */
export function Reviewing({ claim, proof, review, onOpen }: Props) {
  const [saying, setSaying] = useState<Decision>()
  const { may, state } = review
  const as = may.say ? ('view' as const) : ('conclusion' as const)
  const choices = may.say || may.conclude ? choicesFor(proof, review) : []
  useKeys(Object.fromEntries(choices.map((decision) => [letters[decision].toLowerCase(), () => setSaying(decision)])))
  return (
    <div className="grid gap-2">
      <p>
        <strong className="text-soon-ink">{say(`proof.review.${state}`, { by: review.proposedBy })}</strong>{' '}
        {may.say && say('proof.lookFirst')}
        {state === 'hearing' && review.answerBy && say('proof.canAnswerUntil', { day: writeWhen(review.answerBy) })}
        {review.alone && ` ${say('proof.decidedAlone')}`}
      </p>
      {review.views.length > 0 && (
        <ul className="grid gap-0.5 text-[0.8667rem]">
          {review.views.map(({ by, decision, note, at }) => (
            <li key={by}>
              {say('proof.viewOf', { by, at: writeShortDay(at), decision: say(`state.decision.${decision}`) })} {note}
            </li>
          ))}
        </ul>
      )}
      {review.answer && (
        <div className="border-line border-l-2 pl-3 text-[0.8667rem]">
          <p className="font-semibold">{say('proof.candidateSays')}</p>
          <p className="whitespace-pre-line">{review.answer.text}</p>
          {review.answer.documents.map((id) => (
            <button
              key={id}
              type="button"
              className="mr-3 py-1 font-semibold text-confirmed"
              onClick={() => onOpen(id)}
            >
              {claim.documents.find((document) => document.id === id)?.fileName ?? say('proof.document')}
            </button>
          ))}
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        {choices.map((decision) => (
          <Button
            key={decision}
            kind={decision === 'contradicted' ? 'grave' : decision === proof.proposed ? 'main' : 'plain'}
            letter={letters[decision]}
            onClick={() => setSaying(decision)}
          >
            {actWords[decision]}
          </Button>
        ))}
      </div>
      {saying && (
        <Decide
          claim={claim}
          proof={proof}
          among={[saying]}
          review={{ of: review, as }}
          onClose={() => setSaying(undefined)}
        />
      )}
    </div>
  )
}

/** What the evidence proposes first; while the candidate can still answer only what is in their favour. */
function choicesFor({ proposed, comparison }: Proof, { state, may }: Review): Decision[] {
  const all: Decision[] = [
    'contradicted',
    ...(comparison.outcome === 'agrees' ? ['confirmed' as const] : []),
    'confirmed with a note',
    'unconfirmable',
  ]
  const open = state === 'hearing' && may.conclude ? all.filter((decision) => decision !== 'contradicted') : all
  return open.sort((a, b) => Number(b === proposed) - Number(a === proposed))
}
