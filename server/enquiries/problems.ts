import { type Coded, coded, sayCoded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why a source is not asked, or an answer not taken. */
export const problems = {
  calledOff: () => new Problem(410, 'called-off', coded('problem.thisIsNoLongerAsked')),
  formTooOld: () => new Problem(403, 'form-too-old', coded('reply.pageIsOld')),
  expired: () => new Problem(410, 'expired', coded('problem.thisLinkHasExpiredWrite')),
  answered: () => new Problem(410, 'answered', coded('problem.thisQuestionHasBeenAnswered')),
  ended: () => conflict('ended', coded('problem.thisApplicationHasEndedNobody')),
  noRegister: () => conflict('no-register', coded('problem.thereIsNoRegisterTo')),
  /** Somebody else has done it, or it has ended since it was seen. */
  over: () => conflict('over', coded('problem.thisEnquiryIsOver')),
  notByTelephone: () => conflict('not-by-telephone', coded('problem.thisIsNotAskedByTelephone')),
  sameWay: () => conflict('same-way', coded('problem.thisWayWasTaken')),
  noSecond: () => conflict('no-second', coded('problem.nothingToCheck')),
  ownCheck: () => conflict('own-check', coded('problem.somebodyElseHasToCheck')),
  ownCost: () => conflict('own-cost', coded('problem.somebodyElseHasToApprove')),
  paperThere: () => conflict('paper-there', coded('problem.thisQuestionHasAPaper')),
  noPaperToRead: () => conflict('no-paper', coded('problem.noPaperCame')),
  /** @param obstacles all that stands in the way; the first is the title */
  cannotAsk: (obstacles: readonly Coded[]) =>
    conflict('cannot-ask', obstacles[0] ?? coded('problem.cannotAsk'), { obstacles: obstacles.map(sayCoded) }),
}
