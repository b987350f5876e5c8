import type { Change } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { Enquiry } from '../records/enquiries/model'
import { keepStep } from '../records/enquiries/steps'
import { advance } from './advance'

/** A mail with questions did not arrive: they are asked by another way at once, and not after weeks of waiting. */
export async function moveOnUndelivered(deps: Deps, changes: readonly Change[]) {
  for (const { details } of changes) {
    const batchId = details?.enquiryBatchId
    if (typeof batchId !== 'string') continue
    const open = await Enquiry.findAll({ where: { batchId, state: 'open', channel: ['link', 'direct issue'] } })
    for (const enquiry of open)
      await keepStep(enquiry, {
        step: 'not delivered',
        at: deps.clock.now(),
        by: '',
        details: { note: String(details?.because ?? '') },
      })
    await advance(
      deps,
      open.map(({ id }) => id),
      { moveOn: true },
    )
  }
}
