import { Temporal } from 'temporal-polyfill'
import { partialDate, spanOf } from '#core/dates/partialDate'
import type { ClaimFacts } from '#core/requirements/requirement'
import { issuedClaims } from '#core/sources/source'
import { freshThrough, isFresh } from '#core/validity/freshness'
import type { Deps } from '../../platform/deps'
import type { Claim } from '../claims/model'
import { withUndone } from '../decisions/reviews'
import { Finding } from './model'

/** What is looked at of a decision. */
export type Decided = Pick<Finding, 'claimId' | 'credentialVersion' | 'decision' | 'decidedAt' | 'undoneAt'>

type Of = Pick<Claim, 'id' | 'kind' | 'details' | 'credentialVersion' | 'rung'>
type By = { organisation: Pick<Deps['organisation'], 'freshMonths' | 'timeZone'>; today: Temporal.PlainDate }

const confirms = ({ decision, undoneAt }: Decided) => !undoneAt && decision.startsWith('confirmed')

/** Since when a claim is confirmed and until when that serves; nothing where it is not, or where nobody is ever asked about it. */
export function confirmedBy(
  { kind, details, credentialVersion, rung }: Of,
  findings: readonly Decided[],
  { organisation, today }: By,
): ClaimFacts['confirmed'] {
  const issued = issuedClaims.find((one) => one === kind)
  const last = findings.filter((one) => one.credentialVersion === credentialVersion && confirms(one)).at(-1)
  if (rung !== 'confirmed' || !issued || !last) return undefined
  const since = dayOf(last.decidedAt, organisation.timeZone)
  const goingOn =
    'to' in details &&
    (details.to === 'present' || Temporal.PlainDate.compare(spanOf(partialDate(details.to)).latest, since) > 0)
  const until = freshThrough(issued, since, goingOn, organisation.freshMonths)?.toString() ?? null
  return { since: since.toString(), until, ...(isFresh({ until }, today) ? {} : { stale: true as const }) }
}

const dayOf = (moment: Date, timeZone: string) =>
  Temporal.Instant.fromEpochMilliseconds(moment.getTime()).toZonedDateTimeISO(timeZone).toPlainDate()

/** What was decided about claims, oldest first, without what each rests on. */
export const decisionsOn = async (claimIds: readonly string[]): Promise<Decided[]> =>
  claimIds.length === 0
    ? []
    : withUndone(
        await Finding.findAll({
          where: { claimId: [...claimIds] },
          attributes: ['id', 'claimId', 'credentialVersion', 'decision', 'decidedAt'],
          order: ['decidedAt', 'id'],
          raw: true,
        }),
      )

/** The same of one claim, where it stands alone. */
export const confirmedNow = async ({ organisation, clock }: Pick<Deps, 'organisation' | 'clock'>, claim: Of) =>
  confirmedBy(claim, claim.rung === 'confirmed' ? await decisionsOn([claim.id]) : [], {
    organisation,
    today: clock.today(),
  })
