import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a claim is not decided. */
export const problems = {
  notTheSame: () => conflict('not-the-same', coded('problem.theSourceDoesNotAgree')),
  noReply: () => conflict('no-reply', coded('problem.theSourceHasNotAnswered')),
  answerFromBefore: () => conflict('answer-from-before', coded('problem.answerFromBefore')),
  notAsked: () => conflict('not-asked', coded('problem.nobodyHasBeenAskedYet')),
  tooLate: () => conflict('too-late', coded('problem.thisCanNoLongerBe')),
  askedSince: () => conflict('asked-since', coded('problem.theSourceHasBeenAskedSince')),
  askedSinceRecord: () => conflict('asked-since', coded('problem.theSourceHasBeenAskedSinceRecord')),
}
