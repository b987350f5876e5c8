import { coded } from '#core/words/say'
import { Problem } from '../platform/errors/problems'

/** Why a list of the desk is not read as asked. */
export const problems = {
  invalid: () => new Problem(422, 'invalid', coded('problem.thePageAfterWhichTo')),
}
