import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why nothing is sent to a recipient, or taken back. */
export const problems = {
  namesHidden: () => conflict('names-hidden', coded('problem.namesAreHiddenHere')),
  notPermitted: () => conflict('not-permitted', coded('problem.recipientNotPermitted')),
  nothingToSend: () => conflict('nothing-to-send', coded('problem.nothingToSend')),
  takenBack: () => conflict('taken-back', coded('problem.isTakenBack')),
  notOpen: () => conflict('link-closed', coded('problem.linkIsClosed')),
  notReady: () => conflict('not-ready', coded('problem.recipientNotReady')),
  applicationEnded: () => conflict('ended', coded('problem.thisApplicationHasEndedNothing')),
  hasPaper: () => conflict('has-paper', coded('problem.permissionHasPaper')),
}
