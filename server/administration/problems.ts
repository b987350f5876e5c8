import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why the organisation, its people or their rights stay as they are. */
export const problems = {
  yourself: () => conflict('yourself', coded('problem.notYourself')),
  knownAddress: () => conflict('known-address', coded('problem.worksHereAlready')),
  candidatesAddress: () => conflict('candidates-address', coded('problem.addressOfACandidate')),
  anotherTestMail: () => conflict('another-test-mail', coded('problem.anotherTestMail')),
  cameAlready: () => conflict('came-already', coded('problem.cameAlready')),
}
