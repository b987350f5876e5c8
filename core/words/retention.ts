import type { KeepingPeriods } from '../organisation/organisation'
import type { Keeping } from '../privacy/retention'
import { say } from './say'

/** What is kept and by which rule, for the person it is about. */
export function keepingWords({ code, title }: Keeping, periods: KeepingPeriods): { what: string; rule: string } {
  switch (code) {
    case 'not-sent':
      return {
        what: say('privacy.yourApplicationForNotSent', { title }),
        rule: say('privacy.keptAfterLastChange', { count: periods.notSentDays }),
      }
    case 'under-way':
      return {
        what: say('privacy.yourApplicationFor', { title }),
        rule: say('privacy.keptWhileItIsUnder'),
      }
    case 'ended':
      return {
        what: say('privacy.yourApplicationForEnded', { title }),
        rule: say('privacy.keptAfterItsEnd', { count: periods.endedDays }),
      }
    case 'cleared':
      return {
        what: say('privacy.yourApplicationForClearedTo', { title }),
        rule: say('privacy.keptOfWhoStarted', { count: periods.clearedYears }),
      }
    case 'trail':
      return {
        what: say('privacy.thatSomethingWasDoneWhen'),
        rule: say('privacy.keptWithoutNames', { count: periods.trailYears }),
      }
  }
}
