import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why an application is not begun, changed, sent or withdrawn. */
export const problems = {
  noTimeToExtend: () => conflict('no-time-to-extend', coded('problem.noTimeToExtend')),
  extendedAlready: () => conflict('extended-already', coded('problem.extendedAlready')),
  notSetAside: () => conflict('not-set-aside', coded('problem.notSetAside')),
  payFirst: () => conflict('pay-first', coded('problem.payFirst')),
  sentSoWithdraw: () => conflict('already-sent', coded('problem.thisApplicationHasBeenSentWithdraw')),
  alreadySent: () => conflict('already-sent', coded('problem.thisApplicationHasBeenSent')),
  alreadyCleared: () => conflict('already-cleared', coded('problem.youAreClearedToStart')),
  notSent: () => conflict('not-sent', coded('problem.thisApplicationHasNotBeen')),
  endedAlready: () => conflict('ended', coded('problem.thisApplicationHasEndedAlready')),
  ended: () => conflict('ended', coded('problem.thisApplicationHasEndedNothing')),
  alreadyOpen: () => conflict('already-open', coded('problem.theyHaveBeenAskedTo')),
  notOpen: () => conflict('not-open', coded('problem.thisHasBeenSettledAlready')),
  notSigned: () => conflict('not-signed', coded('problem.thereIsNoPermissionTo')),
  closedMeanwhile: () => conflict('closed', coded('problem.thisVacancyIsClosedWhat')),
  alreadyGiven: () => conflict('already-given', coded('problem.theseQuestionsHaveBeenAnswered')),
  closed: () => conflict('closed', coded('problem.thisVacancyIsClosedNothing')),
  sentAs: (reference: string) => conflict('already-sent', coded('problem.thisApplicationHasBeenSentAs', { reference })),
  /** @param left what is still to be done */
  notComplete: (left: readonly unknown[]) =>
    conflict('not-complete', coded('problem.somethingIsStillMissing'), { left }),
}
