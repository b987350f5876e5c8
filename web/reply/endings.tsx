import type { ReactNode } from 'react'
import { say } from '#core/words/say'
import { writeDayOf, writeMoment } from '../ui/write'
import { Plain } from './Plain'
import type { Done, Question } from './question'

/** The link is no link of ours, or not any more; or nothing is told for a while. */
export const LeadsNowhere = ({ title }: { title?: string }) => (
  <Plain title={title ?? say('reply.thisLinkLeadsNowhere')}>{!title && <p>{say('reply.cutOff')}</p>}</Plain>
)

/** A question that takes no answer any more, and why. */
export function Over({ question }: { question: Question }) {
  if (question.state === 'answered' || question.state === 'declined') {
    return (
      <Plain title={say('reply.thisHasBeenAnsweredAlready')}>
        <p>
          {question.answeredAt
            ? say('reply.answeredOn', { source: question.source, day: writeDayOf(question.answeredAt) })
            : say('reply.answered', { source: question.source })}{' '}
          {say('reply.thankYouNothingMoreIs', { contact: question.contact })}
        </p>
      </Plain>
    )
  }
  if (question.state === 'withdrawn') {
    return (
      <Plain title={say('reply.noAnswerNeeded')}>
        <p>{say('reply.withdrawn', { operator: question.operator })}</p>
      </Plain>
    )
  }
  return (
    <Plain title={say('reply.expired')}>
      <p>{say('reply.expiredBecause', { contact: question.contact })}</p>
    </Plain>
  )
}

/** @param children the way to the next question, where there is one */
export function Thanks({
  done,
  receiptAddress,
  children,
}: {
  done: Done
  receiptAddress: (receipt: string) => string
  children: ReactNode
}) {
  if ('passedOn' in done)
    return (
      <Plain title={say('reply.thankYou')}>
        <p>{say(done.passedOn === 'sent' ? 'reply.passedOn' : 'reply.passedToCheck')}</p>
        <p className="mt-3">{children}</p>
      </Plain>
    )
  const { receipt } = done
  return (
    <Plain title={say(done.declined ? 'reply.declinedThanks' : 'reply.thankYou')}>
      <p>
        {say('reply.yourAnswerArrivedIfYou', { when: writeMoment(done.receivedAt) })}{' '}
        <span className="font-mono font-semibold">{receipt}</span>.
      </p>
      <p className="mt-2">
        <a href={receiptAddress(receipt)} download className="font-semibold text-confirmed underline">
          {say('reply.receiptDownload')}
        </a>
      </p>
      <p className="mt-2 text-ink-2">{say('reply.nothingMoreIsNeededYou')}</p>
      <p className="mt-3">{children}</p>
    </Plain>
  )
}
