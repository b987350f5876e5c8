import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a conversation is not begun, or not in the state that is left. */
export const problems = {
  notSentYet: () => conflict('not-sent', coded('problem.askOnceItIsSent')),
  notClosed: () => conflict('not-closed', coded('problem.thisIsNotClosed')),
  closedAlready: () => conflict('closed-already', coded('problem.thisIsClosed')),
}
