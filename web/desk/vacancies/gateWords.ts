import type { Gate } from '#core/requirements/requirement'
import { say } from '#core/words/say'

/** By when something is asked, as those who compose rules read it. */
export const gateWords: Record<Gate, string> = {
  send: say('composer.whenApplying'),
  shortlist: say('composer.beforeTheShortlist'),
  offer: say('composer.beforeAnOffer'),
  start: say('composer.beforeTheFirstDay'),
}
