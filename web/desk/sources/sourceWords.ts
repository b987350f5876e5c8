import type { ContactFlag } from '#core/sources/lookalikes'
import type { HitReason } from '#core/sources/rank'
import type { SellerMatch } from '#core/sources/sellers'
import type { TwinReason } from '#core/sources/twins'
import { say } from '#core/words/say'

/** By which name a source was found, and how that was written. */
export function hitWords({ by, how, name, town }: HitReason): string {
  const found = by === 'initials' ? say('sources.by.initials', { name }) : say(`sources.by.${by}`, { name })
  return [found, how === 'same' ? '' : say(`sources.how.${how}`), town ? say('sources.how.town') : '']
    .filter(Boolean)
    .join(', ')
}

/** Why a contact should not be trusted as it stands. */
export function flagWords(flag: ContactFlag): string {
  switch (flag.code) {
    case 'near-domain':
      return say('sources.flag.near-domain', flag)
    case 'other-ending':
      return say('sources.flag.other-ending', flag)
    case 'free-mail':
      return say('sources.flag.free-mail', flag)
    case 'own-mail':
      return say('sources.flag.own-mail', flag)
    case 'own-domain':
      return say('sources.flag.own-domain', flag)
    case 'own-phone':
      return say('sources.flag.own-phone', flag)
    case 'said-by-candidate':
      return say('sources.flag.said-by-candidate', flag)
  }
}

export const sellerWords = ({ by, value }: SellerMatch): string => say(`sources.seller.${by}`, { value })

/** What speaks for two entries being of one source. */
export function twinWords(reason: TwinReason): string {
  if (reason.code === 'name')
    return reason.one === reason.other
      ? say('sources.twin.sameName', { name: reason.one })
      : say('sources.twin.names', reason)
  return say(`sources.twin.${reason.code}`, { value: reason.value })
}
