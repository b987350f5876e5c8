import { coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why a claim is not added or changed. */
export const problems = {
  nothingToRead: () => conflict('nothing-to-read', coded('problem.thesePapersHaveNoMachine')),
  deviceSilent: () => new Problem(502, 'device-silent', coded('problem.theCaptureDeviceDoesNot')),
  alreadyAsked: () => conflict('already-asked', coded('problem.theSourceHasBeenAsked')),
  noFaster: () => conflict('no-faster', coded('problem.sourceKnowsOneSpeed')),
  inUse: () => conflict('in-use', coded('problem.somebodyHasWorkedOnThis')),
  programmeKnown: () => conflict('programme-known', coded('problem.programmeIsKnown')),
  notACredential: () => conflict('not-a-credential', coded('problem.onlyLicencesAndCertificatesAre')),
  /** @param claimId where it is given */
  alreadyGiven: (claimId: string) => conflict('already-given', coded('problem.thisIsInYourFile'), { claimId }),
}
