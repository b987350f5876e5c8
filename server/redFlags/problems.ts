import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a red flag, or a kind of them, is left as it is. */
export const problems = {
  settledAlready: () => conflict('settled-already', coded('problem.flagSettledAlready')),
  switchedAlready: () => conflict('switched-already', coded('problem.flagSwitchedAlready')),
}
