import { coded } from '#core/words/say'
import { conflict, notAllowed } from '../platform/errors/problems'

/** Why a report is not made, opened or revoked. */
export const problems = {
  namesHidden: () => conflict('names-hidden', coded('problem.namesAreHiddenHere')),
  notForYou: () => notAllowed(coded('problem.reportNotForYou')),
  revoked: () => conflict('report-revoked', coded('problem.reportIsRevoked')),
}
