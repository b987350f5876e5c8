import type { Deps } from '../deps'
import { queueJob } from './queue'

/** Queues today's daily tasks; if it is there already, nothing happens. */
export async function queueDaily(deps: Deps) {
  const today = deps.clock.today().toString()
  if (lastQueued.get(deps.sequelize) === today) return
  await queueJob('daily', {}, { uniqueKey: `daily ${today}` })
  lastQueued.set(deps.sequelize, today)
}

/** Only spares the database the asking; what counts is the unique key there. */
const lastQueued = new WeakMap<object, string>()
