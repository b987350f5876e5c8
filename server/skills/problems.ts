import { writeWhen } from '#core/dates/write'
import { coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why a check is not begun, not saved, or not given again. */
export const problems = {
  ended: () => conflict('ended', coded('problem.thisApplicationHasEnded')),
  notFailed: () => conflict('not-failed', coded('problem.onlyACheckThatWas')),
  givenAlready: () => conflict('given-already', coded('problem.leaveToSitThisCheck')),
  timeUp: () => conflict('time-up', coded('problem.timeIsUpWhatYou')),
  handedIn: () => conflict('handed-in', coded('problem.thisPaperHasBeenHanded')),
  sendFirst: () => conflict('send-first', coded('problem.sendTheApplicationFirst')),
  noMoreAttempts: (attempts: number) => conflict('no-more-attempts', coded('problem.thisCheckIsSatAt', { attempts })),
  tooEarly: (notBefore: string) =>
    conflict('too-early', coded('problem.youCanSitThisCheck', { notBefore: writeWhen(notBefore) })),
  /** @param short the topics of which the bank has not enough questions */
  bankShort: (short: unknown) => new Problem(503, 'bank-short', coded('problem.theQuestionBankIsToo'), { short }),
}
