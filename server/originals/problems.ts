import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why an original is not announced, received, or given back. */
export const problems = {
  underWay: () => conflict('under-way', coded('problem.originalUnderWay')),
  notHere: () => conflict('not-here', coded('problem.originalNotHere')),
  notAnnounced: () => conflict('not-announced', coded('problem.originalNotAnnounced')),
}
