import { Link } from 'react-router'
import type { FlagLine } from '#contract/redFlags'
import { say } from '#core/words/say'
import { writeShortDay } from '../../ui/write'

type Props = {
  flag: FlagLine
  /** Opens the paper it rests on, where that is at hand. */
  onPaper?: (documentId: string) => void
}

/** One red flag: what it rests on, what to do about it, and the ways to where that is to be seen. */
export function FlagNote({ flag, onPaper }: Props) {
  const { kind, says, state, other, enquiryId, documentId, settled } = flag
  return (
    <>
      <p>
        <strong className={state === 'dismissed' ? 'text-ink-2' : 'text-contradicted'}>
          {say(`flags.kind.${kind}`)}.
        </strong>{' '}
        {says}
      </p>
      {state === 'open' && <p className="text-ink-2">{say(`flags.look.${kind}`)}</p>}
      {settled && state !== 'open' && (
        <p className="text-ink-2">
          {say(state === 'upheld' ? 'flags.upheldBy' : 'flags.dismissedBy', {
            by: settled.by,
            at: writeShortDay(settled.at),
            reason: settled.reason,
          })}
        </p>
      )}
      {(documentId || other?.applicationId || enquiryId) && (
        <p className="flex flex-wrap gap-x-4">
          {documentId && onPaper && (
            <button type="button" className="font-semibold text-confirmed" onClick={() => onPaper(documentId)}>
              {say('flags.showOnPaper')}
            </button>
          )}
          {other?.applicationId && (
            <Link
              to={`/desk/today/${other.applicationId}${other.claimId ? `/${other.claimId}` : ''}`}
              className="font-semibold text-confirmed"
            >
              {say('flags.openOther', { name: other.name })}
            </Link>
          )}
          {enquiryId && (
            <Link to={`/desk/enquiries/${enquiryId}`} className="font-semibold text-confirmed">
              {say('flags.openEnquiry')}
            </Link>
          )}
        </p>
      )}
    </>
  )
}
