import { useState } from 'react'
import type { verifyTrail } from '#contract/audit'
import type { Reply } from '#contract/endpoint'
import { addressOf } from '../../api'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { FileLink } from '../FileLink'

const faultWords = {
  changed: 'was changed after it was recorded',
  missing: 'is missing',
  added: 'was put in afterwards',
  'erased without a record': 'was emptied without a record of it',
  'end cut off': 'is missing, with all after it',
  'written anew': 'or one before it was written anew since then',
}

/** Follows the chains and says whether anything was changed since it was recorded, and where first. */
export function VerifyTrail({ candidateId }: { candidateId: string | undefined }) {
  const { act, busy, problem } = useAct('verifyTrail')
  const comparing = useAct('verifySince')
  const [found, setFound] = useState<Reply<typeof verifyTrail>>()
  const [since, setSince] = useState<string>()
  const compare = async (file: File) => {
    setFound(await comparing.act({ body: file as never }))
    setSince(file.name)
  }
  return (
    <div className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <Button
        busy={busy}
        onClick={() => {
          setSince(undefined)
          void act({ body: { candidateId } }).then(setFound)
        }}
      >
        {candidateId ? 'Verify this file’s record' : 'Verify the whole record'}
      </Button>
      {!candidateId && (
        <>
          <FileButton
            name="A fingerprint kept before"
            accept=".csv"
            busy={comparing.busy}
            onFile={(file) => void compare(file)}
          >
            Compare with a fingerprint
          </FileButton>
          <FileLink
            address={addressOf('exportList', { params: { list: 'fingerprint' } })}
            title="Where every chain ends today. Kept away from here, it proves later that nothing was written anew."
          >
            Keep today’s fingerprint
          </FileLink>
        </>
      )}
      <ProblemNote problem={comparing.problem ?? problem} />
      {found && (
        <div role="status">
          {found.broken.length === 0 ? (
            <p>
              <strong className="text-confirmed">
                {since
                  ? `Nothing was changed or written anew since ${since}.`
                  : 'Nothing was changed since it was recorded.'}
              </strong>{' '}
              {found.links} links in {found.chains === 1 ? 'one chain' : `${found.chains} chains`}
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
