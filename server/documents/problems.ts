import { coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why an upload is not taken. */
export const problems = {
  tooMuchBegun: () => new Problem(429, 'too-much-begun', coded('problem.youHaveBegunToSend')),
  notWhole: () => conflict('not-whole', coded('problem.thisUploadIsNotComplete')),
}
