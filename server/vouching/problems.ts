import { coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why nobody is asked to vouch, or their answer not taken. */
export const problems = {
  calledOff: () => new Problem(410, 'called-off', coded('problem.thisIsNoLongerAskedThank')),
  answered: () => new Problem(410, 'answered', coded('problem.thisHasBeenAnsweredAlready')),
  ended: () => conflict('ended', coded('problem.thisApplicationHasEnded')),
  answeredAlready: () => conflict('answered', coded('problem.theyHaveAnsweredAlreadyIt')),
  enough: (most: number) => conflict('enough', coded('problem.notMoreThanPeopleAre', { most })),
}
