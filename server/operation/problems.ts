import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

export const problems = {
  notGivenUp: () => conflict('not-given-up', coded('problem.jobIsNotGivenUp')),
}
