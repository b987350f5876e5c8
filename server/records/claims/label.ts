import type { ClaimDetails } from '#contract/claims'
import { credentialKind } from '#core/requirements/catalogue'

/** What a claim is called on screens and in sentences. */
export function labelOf(details: ClaimDetails): string {
  if (details.kind === 'study') return [details.award, details.subject].filter(Boolean).join(' ') || 'Study'
  if (details.kind === 'work')
    return details.activity === 'employment'
      ? details.sourceName || details.position || 'Work'
      : capital(details.position || details.activity)
  if (details.kind === 'paper') return details.title
  if (details.kind === 'residence') return details.address || 'Home'
  if (details.kind === 'identity')
    return details.paper === 'two others' ? 'Two other papers and a portrait' : capital(details.paper)
  return credentialKind(details.credential)?.name ?? details.credential
}

const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase())
