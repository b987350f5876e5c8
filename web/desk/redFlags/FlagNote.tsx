import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { FlagLine } from '#contract/redFlags'
import { say } from '#core/words/say'
import { writeShortDay } from '../../ui/write'

type Props = {
  flag: FlagLine
  /** Without what to do about it, where several stand together. */
  brief?: boolean
  /** Opens the paper it rests on, where that is at hand. */
  onPaper?: (documentId: string) => void
  /** What else can be done, in the line of the links. */
  children?: ReactNode
}

/** One red flag: what it rests on, what to do about it, and the ways to where that is to be seen. */
export function FlagNote({ flag, brief = false, onPaper, children }: Props) {
  const { kind, says, state, other, enquiryId, documentId, settled } = flag
  return (
    <>
      <p>
        <strong className={state === 'dismissed' ? 'text-ink-2' : 'text-contradicted'}>
          {say(`flags.kind.${kind}`)}.
        </strong>{' '}
        {says}
      </p>
      {state === 'open' && !brief && <p className="text-ink-2">{say(`flags.look.${kind}`)}</p>}
      {settled && state !== 'open' && (
        <p className="text-ink-2">
          {say(state === 'upheld' ? 'flags.upheldBy' : 'flags.dismissedBy', {
            by: settled.by,
            at: writeShortDay(settled.at),
            reason: settled.reason,
          })}
        </p>
      )}
      {(children || (documentId && onPaper) || other?.applicationId || enquiryId) && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-0.5">
          {documentId && onPaper && (
            <button
              type="button"
              className="inline-flex min-h-6 items-center font-semibold text-confirmed"
              onClick={() => onPaper(documentId)}
            >
              {say('flags.showOnPaper')}
            </button>
          )}
          {other?.applicationId && (
            <Link
              to={`/desk/today/${other.applicationId}${other.claimId ? `/${other.claimId}` : ''}`}
              className="inline-flex min-h-6 items-center font-semibold text-confirmed"
            >
              {say('flags.openOther', { name: other.name })}
            </Link>
          )}
          {enquiryId && (
            <Link
              to={`/desk/enquiries/${enquiryId}`}
              className="inline-flex min-h-6 items-center font-semibold text-confirmed"
            >
              {say('flags.openEnquiry')}
            </Link>
          )}
          {children}
        </div>
      )}
    </>
  )
}
