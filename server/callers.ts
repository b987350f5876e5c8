import { behalfHeader } from '#contract/endpoint'
import { needsCodes } from './accounts/oneTimeCodes'
import { openedSession } from './accounts/session'
import type { Callers } from './platform/http/callers'
import { readCookie } from './platform/http/cookies'
import { subjectsOf } from './privacy/sightOf'
import { isInSight } from './records/applications/sight'
import { personWrittenFor } from './records/applications/writtenFor'

/** Who calls: by the cookie of a session, and for whom, by the header that names an application. */
export const callers: Callers = {
  sessionOf: async (ctx, deps) => {
    const token = readCookie(ctx, deps, 'session')
    return token ? openedSession(token, { active: ctx.get('X-Probatum-Idle') !== 'yes' }) : undefined
  },
  writtenFor: async (ctx, writer) => {
    const application = ctx.get(behalfHeader)
    return application ? personWrittenFor(writer, application) : undefined
  },
  inSight: async (account, endpoint, input) => {
    for (const subject of await subjectsOf(endpoint, input)) if (!(await isInSight(account, subject))) return false
    return true
  },
  needsCodes,
}
