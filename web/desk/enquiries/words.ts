import type { Money } from '#core/sources/source'
import { say } from '#core/words/say'
import { writeMoney } from '../../ui/write'

type Way = { channel: 'link' | 'letter' | 'telephone' | 'register' | 'direct issue'; to: string }

/** A way as it is chosen: what it is, and where it leads. */
export const wayWords = ({ channel, to }: Way): string =>
  to
    ? say('enquiries.wayTo', { way: say(`sources.channel.${channel}`), to: to.replaceAll('\n', ', ') })
    : say(`sources.channel.${channel}`)

export const costWords = (cost: Money | null): string =>
  cost && cost.amount > 0 ? writeMoney(cost.amount, cost.currency) : say('enquiries.nothing')
