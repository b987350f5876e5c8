import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a message is not sent again. */
export const problems = {
  notRefused: () => conflict('not-refused', coded('problem.thisMailWasNotRefused')),
}
