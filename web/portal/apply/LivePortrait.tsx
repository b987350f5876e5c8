import { useState } from 'react'
import type { Claim } from '#contract/claims'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { writeDayOf } from '../../ui/write'
import { CaptureDevice } from './CaptureDevice'

/** A portrait taken now, beside the paper of identity; it stays here what became of it. */
export function LivePortrait({ claim }: { claim: Claim }) {
  const newest = claim.documents
    .filter(({ live, state }) => live && state !== 'replaced' && state !== 'discarded')
    .at(-1)
  const [again, setAgain] = useState(false)
  const sentBack = newest?.state === 'sent back'
  return (
    <section className="grid gap-3 border-line border-t pt-3">
      <h3 className="font-semibold">{say('apply.livePortrait')}</h3>
      {newest && !sentBack && !again ? (
        <p className="flex flex-wrap items-baseline gap-x-3">
          <span>{say('apply.portraitTaken', { day: writeDayOf(newest.uploadedAt) })}</span>
          {newest.state === 'to look at' && (
            <Button kind="quiet" onClick={() => setAgain(true)}>
              {say('apply.takeItAgain')}
            </Button>
          )}
        </p>
      ) : (
        <>
          {sentBack && <p className="text-soon-ink">{newest.sentBackBecause}</p>}
          <CaptureDevice
            claimId={claim.id}
            what="portrait"
            here={say('apply.takeItOnThisScreen')}
            onTaken={({ state }) => state === 'read' && setAgain(false)}
          >
            {say('apply.livePortraitWhy')}
          </CaptureDevice>
        </>
      )}
    </section>
  )
}
