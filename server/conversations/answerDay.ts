import { addWorkingDays } from '#core/calendar/workingDays'
import { answerWorkingDays } from '#core/messages/conversation'
import type { Deps } from '../platform/deps'
import { ownCalendar } from '../readiness/workCalendar'

/** The last day the desk has for an answer to what is asked today. */
export const answerDay = (deps: Deps): string =>
  addWorkingDays(deps.clock.today(), answerWorkingDays, ownCalendar(deps)).toString()
