import { type Coded, coded } from '#core/words/say'
import { conflict, Problem } from '../errors/problems'

/** Why a request is refused before any feature sees it, and what is answered when something fails. */
export const problems = {
  tooSlow: () => new Problem(408, 'too-slow', coded('problem.thatDidNotArriveIn')),
  codesFirst: () => new Problem(403, 'codes-first', coded('problem.yourRoleSignsInWithOne')),
  passwordAgain: () => new Problem(403, 'password-again', coded('problem.giveYourPasswordOnceMore')),
  fileTooLarge: () => new Problem(413, 'file-too-large', coded('problem.theFileIsLargerThan')),
  tooLarge: () => new Problem(413, 'too-large', coded('problem.thatIsMoreThanCan')),
  notJson: () => new Problem(400, 'not-json', coded('problem.theBodyIsNotJson')),
  keyMissing: () => new Problem(400, 'key-missing', coded('problem.thisNeedsAnIdempotencyKey')),
  keyUsed: () => conflict('key-used', coded('problem.thisKeyWasUsedFor')),
  underWay: () => conflict('under-way', coded('problem.thisIsBeingDoneAlready')),
  stalePage: () => new Problem(403, 'stale-page', coded('problem.thisPageIsOutOf')),
  noSuchEndpoint: () => new Problem(404, 'no-such-endpoint', coded('problem.thereIsNoSuchEndpoint')),
  noRoom: () => new Problem(507, 'no-room', coded('problem.thereIsNoRoomFor')),
  notFound: () => new Problem(404, 'not-found', coded('problem.thereIsNothingHere')),
  badRequest: (status: number) => new Problem(status, 'bad-request', coded('problem.theRequestCannotBeRead')),
  ourFault: () => new Problem(500, 'our-fault', coded('problem.somethingWentWrongOnOur')),
  tooManyAttempts: (minutes: number) =>
    new Problem(429, 'too-many-attempts', coded('problem.tooManyAttempts', { count: minutes })),
  /** @param detail which line is none */
  notAFingerprint: (detail: Coded) =>
    new Problem(422, 'not-a-fingerprint', coded('problem.thisIsNotAFingerprint'), { detail }),
}
