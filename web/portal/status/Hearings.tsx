import { useState } from 'react'
import type { Claim } from '#contract/claims'
import type { Hearing } from '#contract/reviews'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { LongField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { useAct } from '../../useAct'
import { Documents } from '../documents/Documents'

/** What differs from what somebody gave: told fairly, and answered with text and papers before it is decided. */
export function Hearings({ claims }: { claims: readonly Claim[] }) {
  const { data: hearings = [] } = api.endpoints.listMyHearings.useQuery({}, { refetchOnMountOrArgChange: true })
  if (hearings.length === 0) return null
  return (
    <section id="hearings" className="mt-6">
      <h2 className="mb-2 text-[1.4em]">{say('hearing.title')}</h2>
      <div className="grid gap-3">
        {hearings.map((hearing) => (
          <HearingCard key={hearing.id} hearing={hearing} claim={claims.find(({ id }) => id === hearing.claimId)} />
        ))}
      </div>
    </section>
  )
}

function HearingCard({ hearing, claim }: { hearing: Hearing; claim: Claim | undefined }) {
  const [text, setText] = useState('')
  const { act, busy, problem } = useAct('answerHearing')
  const papers = claim?.documents.filter(({ state }) => state === 'to look at') ?? []
  const send = () =>
    act({
      params: { id: hearing.id },
      body: { version: hearing.version, text, documents: papers.map(({ id }) => id) },
    })
  return (
    <Sheet>
      <h3 className="font-semibold text-[1.07em]">{say('hearing.about', { claim: hearing.claim })}</h3>
      <ul className="my-2 list-disc pl-5">
        {hearing.told.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {hearing.answered ? (
        <>
          <p className="whitespace-pre-line border-line border-l-2 pl-3">{hearing.answered.text}</p>
          <p className="mt-2 text-ink-2">{say('hearing.answered')}</p>
        </>
      ) : (
        <div className="grid gap-3">
          <p className="text-ink-2">{say('hearing.until', { day: writeWhen(hearing.answerBy) })}</p>
          <LongField
            label={say('hearing.yourAnswer')}
            limit={4000}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          {claim && <Documents claim={claim} prompt={say('hearing.addPaper')} />}
          <ProblemNote problem={problem} />
          <div>
            <Button kind="main" busy={busy} disabled={text.trim() === ''} onClick={() => void send()}>
              {say('hearing.send')}
            </Button>
          </div>
        </div>
      )}
    </Sheet>
  )
}
