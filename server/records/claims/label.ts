import type { ClaimDetails } from '#contract/claims'
import { credentialName } from '#core/words/names'
import { say } from '#core/words/say'
import type { StoredValue } from '#core/words/stored'

/** What a claim is called on screens and in sentences. */
export function labelOf(details: ClaimDetails): string {
  if (details.kind === 'study') return [details.award, details.subject].filter(Boolean).join(' ') || say('names.study')
  if (details.kind === 'work')
    return details.activity === 'employment'
      ? details.sourceName || details.position || say('names.work')
      : details.position || capital(say(`names.activity.${details.activity}`))
  if (details.kind === 'paper') return details.title
  if (details.kind === 'residence') return details.address || say('names.home')
  if (details.kind === 'identity') return say(`names.identity.${details.paper}`)
  return credentialName(details.credential)
}

/** The same as it is kept beside a code: what is the house's own word is kept as a code. */
export function labelValue(details: ClaimDetails): StoredValue {
  if (details.kind === 'study')
    return [details.award, details.subject].filter(Boolean).join(' ') || { code: 'names.study' }
  if (details.kind === 'work') {
    if (details.activity === 'employment') return details.sourceName || details.position || { code: 'names.work' }
    return details.position || { code: `names.activity.${details.activity}` }
  }
  if (details.kind === 'paper') return details.title
  if (details.kind === 'residence') return details.address || { code: 'names.home' }
  if (details.kind === 'identity') return { code: `names.identity.${details.paper}` }
  return { credential: details.credential }
}

const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
