import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a digital credential is not looked at. */
export const problems = {
  noCredentials: () => conflict('no-credentials', coded('problem.thisSourceIssuesNoCredentials')),
  settled: () => conflict('settled', coded('problem.thisIsSettledAlready')),
}
