import { useState } from 'react'
import type { File, FileClaim } from '#contract/desk'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

/** A question to the candidate about one claim: it stands in the portal and goes by mail, and the answer waits at the desk. */
export function AskCandidate({ file, claim, onClose }: { file: File; claim: FileClaim; onClose: () => void }) {
  const [text, setText] = useState('')
  const { act, busy, problem } = useAct('askAboutClaim')
  const toast = useToast()
  const ask = async () => {
    const done = await act({ params: { id: file.id, claimId: claim.id }, body: { text } })
    if (!done) return
    toast(say('proof.askedTheCandidate', { label: claim.label }))
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={`${say('proof.askTheCandidate')}: ${claim.label}`}>
      <LongField
        label={say('proof.whatToAsk')}
        limit={4000}
        value={text}
        onChange={(event) => setText(event.target.value)}
        data-first
      />
      <div className="mt-3 grid gap-2">
        <ProblemNote problem={problem} />
        <div>
          <Button kind="main" busy={busy} disabled={text.trim() === ''} onClick={() => void ask()}>
            {say('proof.askTheCandidate')}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
