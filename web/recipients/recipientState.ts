import type { ChosenRecipient } from '#contract/recipients'
import { say } from '#core/words/say'
import { writeDayOf } from '../ui/write'

/** Where a body stands that was chosen in an application; of what was sent, whether it still holds. */
export function recipientState({ state, because, sent, left }: ChosenRecipient): string {
  if (state === 'closed') return say('recipients.notOpen', { because })
  if (state !== 'sent' || !sent) return say(`recipients.at.${state}`, { count: left.length, day: '' })
  return sent.state === 'open'
    ? say('recipients.at.sent', { day: writeDayOf(sent.sentAt) })
    : say(`recipients.delivery.${sent.state}`, { because: sent.because })
}
