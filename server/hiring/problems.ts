import { writeWhen } from '#core/dates/write'
import type { Stage } from '#core/hiring/stages'
import { coded, say } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why an act of hiring is refused. */
export const problems = {
  notOpen: () => conflict('not-open', coded('problem.thisIsNotOpenThere')),
  ended: () => conflict('ended', coded('problem.thisApplicationHasEnded')),
  tooLate: () => conflict('too-late', coded('problem.theDayToAnswerBy')),
  sheetUsed: () => conflict('sheet-used', coded('problem.scoresWereHandedInOn')),
  scored: () => conflict('scored', coded('problem.theShortlistHasBeenDecided')),
  noSheet: () => conflict('no-sheet', coded('problem.thisVacancyHasNoScore')),
  handedIn: () => conflict('handed-in', coded('problem.youHaveHandedInYour')),
  notTurnedDown: () => conflict('not-turned-down', coded('problem.thisPersonWasNotTurned')),
  offerFirst: () => conflict('offer-first', coded('problem.answerTheOfferFirst')),
  startPast: (startsOn: string) =>
    conflict('start-past', coded('problem.theFirstDayIsPast', { startsOn: writeWhen(startsOn) })),
  /** To the desk: the candidate has answered. */
  offerWasAnswered: (answer: string) =>
    conflict('answered', coded(`problem.offerWas.${answer as 'accepted' | 'declined'}`)),
  /** To the candidate. */
  youAnswered: (answer: string) =>
    conflict('answered', coded(`problem.offerAnswered.${answer as 'accepted' | 'declined'}`)),
  notThisGate: (stage: Stage) =>
    conflict('not-this-gate', coded('problem.thisApplicationIsThatIs', { stage: say(`state.stage.${stage}`) })),
  /** @param missing what is open up to the gate, and why */
  gateShut: (missing: readonly { requirement: string; title: string; why: string }[]) =>
    conflict('gate-shut', coded('problem.requirementsOpen', { count: missing.length }), { missing }),
}
