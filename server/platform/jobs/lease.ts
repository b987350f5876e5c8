import { Op } from 'sequelize'
import { inTransaction } from '../database/connection'
import type { Deps } from '../deps'
import { Job } from './model'

/** Renewed as long as the work goes on; what a copy that was killed had in hand is free again after it. */
const leaseMs = 60_000

/** Takes the job of some kinds that has been due longest, so that no other copy does. */
export async function leaseOf({ sequelize }: Pick<Deps, 'sequelize'>, kinds: readonly string[], ms = leaseMs) {
  return inTransaction(sequelize, async () => {
    const now = new Date()
    const job = await Job.findOne({
      where: {
        kind: [...kinds],
        doneAt: null,
        runAt: { [Op.lte]: now },
        [Op.or]: [{ leasedUntil: null }, { leasedUntil: { [Op.lt]: now } }],
      },
      order: [
        ['runAt', 'ASC'],
        ['id', 'ASC'],
      ],
      lock: true,
      skipLocked: true,
    })
    await job?.update({ leasedUntil: new Date(now.getTime() + ms) })
    return job ?? undefined
  })
}

/** The jobs this copy has in hand. */
const inHand = new Set<string>()

/** Gives free what this copy has in hand: another may begin it anew at once. */
export async function giveBackLeases({ sequelize }: Pick<Deps, 'sequelize'>) {
  const ids = [...inHand]
  inHand.clear()
  await inTransaction(sequelize, () => Job.update({ leasedUntil: null }, { where: { id: ids, doneAt: null } }))
}

/** Does some work on a job and renews its lease meanwhile, however long that takes. */
export async function holding<T>({ id }: Pick<Job, 'id'>, work: () => Promise<T>, ms = leaseMs): Promise<T> {
  // Past the model in hand: what the job looks like in the end is written by whoever does it.
  inHand.add(id)
  // Once it is given back it is somebody else’s to renew.
  const renew = async () => {
    if (inHand.has(id)) await Job.update({ leasedUntil: new Date(Date.now() + ms) }, { where: { id, doneAt: null } })
  }
  const renewing = setInterval(() => void renew().catch(() => {}), ms / 3)
  try {
    return await work()
  } finally {
    clearInterval(renewing)
    inHand.delete(id)
  }
}
