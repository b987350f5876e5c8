import type { DeliveryLine } from '#contract/recipients'
import { deliveryState } from '#core/recipients/delivery'
import { sayStored } from '#core/words/stored'
import type { Deps } from '../platform/deps'
import type { Report, ReportDelivery } from '../records/reports/model'

/** Where something that was sent stands now. */
export const stateOf = ({ clock }: Deps, { linkEndsAt, takenBackAt }: ReportDelivery, { endsAt, revokedAt }: Report) =>
  deliveryState(
    {
      ...{ linkEndsAt: linkEndsAt?.toISOString() ?? null, endsAt: endsAt.toISOString() },
      ...{ revokedAt: revokedAt?.toISOString() ?? null, takenBackAt: takenBackAt?.toISOString() ?? null },
    },
    clock.now().toISOString(),
  )

/** Why a report does not hold any more; empty where it does. */
export const whyRevoked = ({ revokedBecause }: Report): string =>
  revokedBecause ? sayStored(revokedBecause.code, revokedBecause.values) : ''

/** What a recipient received, and where it stands. */
export function deliveryLine(deps: Deps, delivery: ReportDelivery, report: Report): DeliveryLine {
  const { id, way, sentAt, sentBy, linkEndsAt, openings = 0, lastOpenedAt, savedAt } = delivery
  return {
    ...{ id, reportId: report.id, reference: report.reference, way: way!, state: stateOf(deps, delivery, report) },
    ...{ because: whyRevoked(report), sentAt: sentAt.toISOString(), sentBy },
    claims: report.content.claims.map(({ title }) => title),
    ...{ linkEndsAt: linkEndsAt?.toISOString() ?? null, endsAt: report.endsAt.toISOString() },
    ...{ openings, lastOpenedAt: lastOpenedAt?.toISOString() ?? null, savedAt: savedAt?.toISOString() ?? null },
  }
}
