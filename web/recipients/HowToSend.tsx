import { Temporal } from 'temporal-polyfill'
import { type DeliveryWay, deliveryWays, linkDays } from '#core/recipients/delivery'
import { say } from '#core/words/say'
import { DateField } from '../ui/DateField'
import { Choice } from '../ui/Field'

export type Sending = { way: DeliveryWay | 'later'; linkEndsOn: string }

/** By a link that is open as long as is usual, until something else is chosen. */
export const usualSending = (today: string): Sending => ({
  way: 'link',
  linkEndsOn: Temporal.PlainDate.from(today).add({ days: linkDays.usual }).toString(),
})

/** As it is sent; nothing where it is to be sent later. */
export const howOf = ({ way, linkEndsOn }: Sending) =>
  way === 'later' ? null : way === 'link' ? { way, linkEndsOn } : { way }

type Props = {
  name: string
  sending: Sending
  onChange: (sending: Sending) => void
  /** Whether it may also be left for later. */
  later?: boolean
  error?: string
}

/** As a link, a credential or a PDF. */
export function HowToSend({ name, sending, onChange, later, error }: Props) {
  const ways = [...deliveryWays, ...(later ? (['later'] as const) : [])]
  return (
    <div className="grid gap-3">
      <Choice
        label={say('recipients.how')}
        name={name}
        inline={false}
        options={ways.map((value) => ({ value, label: say(`recipients.way.${value}`) }))}
        value={sending.way}
        onChange={(way) => onChange({ ...sending, way: way as Sending['way'] })}
      />
      {sending.way === 'link' && (
        <div className="max-w-[260px]">
          <DateField
            label={say('recipients.linkEndsOn')}
            value={sending.linkEndsOn}
            onChange={(linkEndsOn) => onChange({ ...sending, linkEndsOn })}
            error={error}
          />
        </div>
      )}
    </div>
  )
}
