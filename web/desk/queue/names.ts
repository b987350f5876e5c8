import type { Queue } from '#contract/desk'
import { say } from '#core/words/say'

export const queueNames: Record<Queue, { name: string; about: string; empty: string }> = {
  today: {
    name: say('desk.today'),
    about: say('desk.whatNeedsYouLeastSlack'),
    empty: say('desk.nothingNeedsYouAtThe'),
  },
  applications: {
    name: say('desk.applications'),
    about: say('desk.sentAndNotOnA'),
    empty: say('desk.noNewApplicationIsWaiting'),
  },
  verification: {
    name: say('desk.verification'),
    about: say('desk.documentsToLookAtSources'),
    empty: say('desk.nothingIsToBeVerified'),
  },
  skills: {
    name: say('desk.skillsChecks'),
    about: say('desk.checksNotSatUnderWay'),
    empty: say('desk.everybodyWhoWasAskedHas'),
  },
  validity: {
    name: say('desk.validity'),
    about: say('desk.papersThatLapseTooEarly'),
    empty: say('desk.everyPaperIsValidFor'),
  },
  hiring: {
    name: say('desk.hiring'),
    about: say('desk.fromTheShortlistToThe'),
    empty: say('desk.nobodyIsBetweenShortlistAnd'),
  },
}
