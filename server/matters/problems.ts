import { coded } from '#core/words/say'
import { conflict, notAllowed } from '../platform/errors/problems'

/** Why a declared matter is not decided. */
export const problems = {
  nothingToDecide: () => conflict('nothing-to-decide', coded('problem.nothingDeclaredToDecide')),
  notDecider: (names: string) => notAllowed(coded('problem.decidedBy', { names })),
}
