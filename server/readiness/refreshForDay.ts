import { inTransaction } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { queueJob } from '../platform/jobs/queue'
import { watchedApplications } from '../records/applications/find'
import { atOnce, refreshSummaries } from './summaries'

/** So many at a time, and then whatever else is queued has its turn. */
const mostPerJob = 1000

/** @property because what made it necessary, where it was not the day that began */
type Refresh = { day: string; after?: string; because?: string }

/**
 * Every standing computed anew for a day, a stretch at a time: each job leaves the next in the queue, so that nothing waits
 * long behind it, and whoever is stopped goes on where it was. Ends by itself once the next day has begun its own.
 */
export async function refreshForDay(deps: Deps, { day, after, because = day }: Refresh) {
  if (deps.clock.today().toString() !== day) return
  let last = after
  for (let done = 0; done < mostPerJob; done += atOnce) {
    const applications = await inTransaction(deps.sequelize, async () => {
      const stretch = await watchedApplications(last, atOnce)
      await refreshSummaries(
        deps,
        stretch.map(({ id }) => id),
      )
      return stretch
    })
    last = applications.at(-1)?.id
    if (applications.length < atOnce) return
  }
  await queueJob('summaries', { day, after: last, because }, { uniqueKey: `summaries ${because} ${last}` })
}
