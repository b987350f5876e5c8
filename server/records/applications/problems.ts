import { coded } from '#core/words/say'
import { conflict } from '../../platform/errors/problems'

/** Why an application of one's own cannot be changed, whatever it is. */
export const problems = {
  setAside: () => conflict('set-aside', coded('problem.setAside')),
}
