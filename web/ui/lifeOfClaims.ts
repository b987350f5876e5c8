import { Temporal } from 'temporal-polyfill'
import type { Claim } from '#contract/claims'
import { credentialKind } from '#core/catalogue/catalogue'
import { partialDate } from '#core/dates/partialDate'
import { validityOn } from '#core/validity/validity'
import type { LifeBar, LifePaper } from './lifeChartLayout'

const lanes = { study: 'Study', work: 'Work', residence: 'Home' } as const

/** The claims of a file that are stretches of a life, as bars. */
export const barsOf = (claims: readonly Claim[]): LifeBar[] =>
  claims.flatMap(({ id, label, rung, details }): LifeBar[] => {
    if (!('from' in details)) return []
    return [{ id, label, rung, lane: lanes[details.kind], from: details.from, to: details.to }]
  })

/** The licences and certificates of a file as bars of validity; one that fades takes the colour of that. */
export const papersOf = (claims: readonly Claim[], today: string): LifePaper[] =>
  claims.flatMap((claim): LifePaper[] => {
    const { details, id, label, rung } = claim
    if (details.kind !== 'licence' && details.kind !== 'certificate') return []
    return [{ id, label, from: details.issued, through: details.through, state: fading(claim, today) ?? rung }]
  })

/** Whether a licence or certificate is expiring or lapsed on a day; nothing where it is neither. */
export function fading({ details }: Pick<Claim, 'details'>, today: string): 'expiring' | 'lapsed' | undefined {
  if ((details.kind !== 'licence' && details.kind !== 'certificate') || !/^\d/.test(details.through)) return undefined
  const { state } = validityOn(
    Temporal.PlainDate.from(today),
    { through: partialDate(details.through) },
    credentialKind(details.credential)?.leadDays ?? 30,
  )
  return state === 'expiring' || state === 'lapsed' ? state : undefined
}
