import { useState } from 'react'
import type { verifyTrail } from '#contract/audit'
import type { Reply } from '#contract/endpoint'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'

const faultWords = {
  changed: 'was changed after it was recorded',
  missing: 'is missing',
  added: 'was put in afterwards',
  'erased without a record': 'was emptied without a record of it',
  'end cut off': 'is missing, with all after it',
}

/** Follows the chains and says whether anything was changed since it was recorded, and where first. */
export function VerifyTrail({ candidateId }: { candidateId: string | undefined }) {
  const { act, busy, problem } = useAct('verifyTrail')
  const [found, setFound] = useState<Reply<typeof verifyTrail>>()
  return (
    <div className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <Button busy={busy} onClick={() => void act({ body: { candidateId } }).then(setFound)}>
        {candidateId ? 'Verify this file’s record' : 'Verify the whole record'}
      </Button>
      <ProblemNote problem={problem} />
      {found && (
        <div role="status">
          {found.broken.length === 0 ? (
            <p>
              <strong className="text-confirmed">Nothing was changed since it was recorded.</strong> {found.links} links
              in {found.chains === 1 ? 'one chain' : `${found.chains} chains`}
              {found.erased > 0 && `; the words of ${found.erased} were erased as the rules want`}.
            </p>
          ) : (
            found.broken.map(({ chain, person, seq, fault, at, what }) => (
              <p key={chain}>
                <strong className="text-contradicted">
                  {person ?? (chain === 'house' ? 'What is about no file' : chain)}: link {seq} {faultWords[fault]}.
                </strong>{' '}
                {at && `It says “${what}”, ${writeMoment(at)}.`}
              </p>
            ))
          )}
        </div>
      )}
    </div>
  )
}
