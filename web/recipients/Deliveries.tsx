import { type ReactNode, useState } from 'react'
import type { DeliveryLine } from '#contract/recipients'
import { canBeTakenBack } from '#core/recipients/delivery'
import { say } from '#core/words/say'
import { writeDayOf, writeLastDay } from '../ui/write'

/** What became of it at the recipient's, as far as a link tells. */
function reading({ way, openings, lastOpenedAt, savedAt }: DeliveryLine): string {
  if (way !== 'link') return ''
  if (!lastOpenedAt) return say('recipients.notOpened')
  const opened = say('recipients.opened', { count: openings, day: writeDayOf(lastOpenedAt) })
  return savedAt ? `${opened}, ${say('recipients.saved', { day: writeDayOf(savedAt) })}` : opened
}

const sentAs = ({ way, linkEndsAt }: DeliveryLine): string =>
  say(`recipients.sentAs.${way}`, {
    day: linkEndsAt ? writeLastDay(linkEndsAt) : '',
  })

type Props = {
  /** Where what was sent can be read, by its report; nothing where that is not for who looks. */
  addressOfReport?: (reportId: string) => string
  deliveries: readonly DeliveryLine[]
  /** How something is taken back; nothing where that is not for who looks. */
  takeBack?: (delivery: DeliveryLine, onDone: () => void) => ReactNode
}

/** What a recipient received, the newest first, with where each stands. */
export function Deliveries({ deliveries, addressOfReport, takeBack }: Props) {
  if (deliveries.length === 0) return null
  return (
    <ul className="divide-y divide-line border-line border-t">
      {deliveries.map((delivery) => (
        <OneDelivery key={delivery.id} {...{ delivery, takeBack }} address={addressOfReport?.(delivery.reportId)} />
      ))}
    </ul>
  )
}

type OneProps = { delivery: DeliveryLine; address: string | undefined; takeBack: Props['takeBack'] }

function OneDelivery({ delivery, address, takeBack }: OneProps) {
  const [asking, setAsking] = useState(false)
  const { reference, sentAt, sentBy, state, because, claims } = delivery
  const gone = state === 'revoked' || state === 'taken back'
  return (
    <li className="py-2">
      <p className="flex flex-wrap justify-between gap-x-4">
        <span className="min-w-0">
          {say('recipients.sent', { reference, day: writeDayOf(sentAt), by: sentBy })}, {sentAs(delivery)}
        </span>
        <span className={gone ? 'font-semibold text-contradicted' : 'text-ink-2'}>
          {say(`recipients.delivery.${state}`, { because })}
        </span>
      </p>
      <p className="text-[0.93em] text-ink-2">
        {[reading(delivery), say('recipients.of', { claims: claims.join(', ') })].filter(Boolean).join('. ')}
      </p>
      <p className="flex flex-wrap gap-x-4">
        {address && (
          <a href={address} target="_blank" rel="noreferrer" className="font-semibold text-confirmed underline">
            {say('recipients.seeWhatWasSent')}
          </a>
        )}
        {takeBack && canBeTakenBack(state) && !asking && (
          <button
            type="button"
            className="font-semibold text-contradicted hover:underline"
            onClick={() => setAsking(true)}
          >
            {say('recipients.takeBack')}
          </button>
        )}
      </p>
      {asking && takeBack?.(delivery, () => setAsking(false))}
    </li>
  )
}
