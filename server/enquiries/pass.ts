import { Op } from 'sequelize'
import { inTransaction } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { describeError } from '../platform/errors/describeError'
import { Enquiry } from '../records/enquiries/model'
import { advance, advanceQuickly } from './advance'
import { releasePrepared } from './release'

/** How many are done in one transaction: few enough that nobody waits for a lock they hold. */
const stretch = 45
/** How many stretches go on side by side: while one is written the next is worked out. */
const lanes = 4

/**
 * What is due with questions that nobody has answered: reminders, other ways, the end. In stretches that each commit by themselves;
 * it can end at any moment and be run again, since what is done is not due any more.
 *
 * @returns how many failed; they are logged, passed over, and tried again at the next pass
 */
export async function advanceDue(deps: Deps): Promise<number> {
  let failed = 0
  const running = new Set<Promise<void>>()
  for (let after: Place | undefined; ; ) {
    const due = await dueAfter(deps, after)
    if (due.length === 0) break
    after = due.at(-1)
    if (running.size >= lanes) await Promise.race(running)
    const one: Promise<void> = advanceAll(
      deps,
      due.map(({ id }) => id),
    ).then((passedOver) => {
      failed += passedOver
      running.delete(one)
    })
    running.add(one)
  }
  await Promise.all(running)
  return failed
}

/** One stretch; where it fails as a whole, each by itself. */
async function advanceAll(deps: Deps, ids: readonly string[]): Promise<number> {
  try {
    await advanceQuickly(deps, ids)
    return 0
  } catch (error) {
    deps.log.warn({ error: describeError(error) }, 'enquiries are taken one by one')
  }
  let failed = 0
  for (const id of ids)
    await inTransaction(deps.sequelize, () => advance(deps, [id])).catch((cause: unknown) => {
      failed += 1
      deps.log.error({ id, error: describeError(cause) }, 'an enquiry was passed over')
    })
  return failed
}

type Place = Pick<Enquiry, 'id' | 'batchId' | 'dueOn'>

/** A stretch of what is due, those of one letter side by side. */
async function dueAfter({ clock }: Deps, after: Place | undefined): Promise<Place[]> {
  const beyond = after && {
    [Op.or]: [
      { dueOn: { [Op.gt]: after.dueOn } },
      { dueOn: after.dueOn, batchId: { [Op.gt]: after.batchId } },
      { dueOn: after.dueOn, batchId: after.batchId, id: { [Op.gt]: after.id } },
    ],
  }
  return Enquiry.findAll({
    where: { [Op.and]: [{ dueOn: { [Op.lte]: clock.today().toString() } }, beyond ?? {}] },
    attributes: ['id', 'batchId', 'dueOn'],
    order: ['dueOn', 'batchId', 'id'],
    limit: stretch,
    raw: true,
  })
}

/** Sends what was prepared and misses nothing any more, whoever forgot to say so: what may be asked only after an offer, for one. */
export const releaseDue = async (deps: Deps): Promise<number> => {
  const waiting = await Enquiry.findAll({ where: { state: 'prepared' }, attributes: ['id'], order: ['id'], raw: true })
  let failed = 0
  for (const { id } of waiting)
    await inTransaction(deps.sequelize, () => releasePrepared(deps, id)).catch((error: unknown) => {
      failed += 1
      deps.log.error({ id, error: describeError(error) }, 'a prepared enquiry was passed over')
    })
  return failed
}
