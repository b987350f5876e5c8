import { type Coded, coded, sayCoded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why a source is not asked, an answer not taken, or a claim not decided. */
export const problems = {
  calledOff: () => new Problem(410, 'called-off', coded('problem.thisIsNoLongerAsked')),
  expired: () => new Problem(410, 'expired', coded('problem.thisLinkHasExpiredWrite')),
  answered: () => new Problem(410, 'answered', coded('problem.thisQuestionHasBeenAnswered')),
  ended: () => conflict('ended', coded('problem.thisApplicationHasEndedNobody')),
  noRegister: () => conflict('no-register', coded('problem.thereIsNoRegisterTo')),
  registerSilent: () => new Problem(502, 'register-silent', coded('problem.theRegisterDoesNotAnswer')),
  notTheSame: () => conflict('not-the-same', coded('problem.theSourceDoesNotAgree')),
  noReply: () => conflict('no-reply', coded('problem.theSourceHasNotAnswered')),
  answerFromBefore: () => conflict('answer-from-before', coded('problem.answerFromBefore')),
  notAsked: () => conflict('not-asked', coded('problem.nobodyHasBeenAskedYet')),
  tooLate: () => conflict('too-late', coded('problem.thisCanNoLongerBe')),
  askedSince: () => conflict('asked-since', coded('problem.theSourceHasBeenAskedSince')),
  askedSinceRecord: () => conflict('asked-since', coded('problem.theSourceHasBeenAskedSinceRecord')),
  /** @param obstacles all that stands in the way; the first is the title */
  cannotAsk: (obstacles: readonly Coded[]) =>
    conflict('cannot-ask', obstacles[0] ?? coded('problem.cannotAsk'), { obstacles: obstacles.map(sayCoded) }),
}
