import { useState } from 'react'
import type { verifyTrail } from '#contract/audit'
import type { Reply } from '#contract/endpoint'
import { say } from '#core/words/say'
import { addressOf } from '../../api'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { FileLink } from '../FileLink'

const faultWords = {
  changed: say('overviews.wasChangedAfterItWas'),
  missing: say('overviews.isMissing'),
  added: say('overviews.wasPutInAfterwards'),
  'erased without a record': say('overviews.wasEmptiedWithoutARecord'),
  'end cut off': say('overviews.isMissingWithAllAfter'),
  'written anew': say('overviews.orOneBeforeItWas'),
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
        {candidateId ? say('overviews.verifyThisFilesRecord') : say('overviews.verifyTheWholeRecord')}
      </Button>
      {!candidateId && (
        <>
          <FileButton
            name={say('overviews.aFingerprintKeptBefore')}
            accept=".csv"
            busy={comparing.busy}
            onFile={(file) => void compare(file)}
          >
            {say('overviews.compareWithAFingerprint')}
          </FileButton>
          <FileLink
            address={addressOf('exportList', { params: { list: 'fingerprint' } })}
            title={say('overviews.whereEveryChainEndsToday')}
          >
            {say('overviews.keepTodaysFingerprint')}
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
                  ? say('overviews.nothingWasChangedOrWritten', { since })
                  : say('overviews.nothingWasChangedSinceIt')}
              </strong>{' '}
              {say('overviews.linksIn', {
                links: found.links,
                value:
                  found.chains === 1
                    ? say('overviews.oneChain')
                    : say('overviews.chainsChains', { chains: found.chains }),
                erased: found.erased > 0 ? say('overviews.theWordsOfWereErased', { erased: found.erased }) : '',
              })}
            </p>
          ) : (
            found.broken.map(({ chain, person, seq, fault, at, what }) => (
              <p key={chain}>
                <strong className="text-contradicted">
                  {say('overviews.personLinkSeq', {
                    person: person ?? (chain === 'house' ? say('overviews.whatIsAboutNoFile') : chain),
                    seq,
                  })}{' '}
                  {faultWords[fault]}.
                </strong>{' '}
                {at && say('overviews.itSays', { what: what ?? '', at: writeMoment(at) })}
              </p>
            ))
          )}
        </div>
      )}
    </div>
  )
}
