import { type Coded, coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why a record is not changed as asked: what no feature decides for itself. */
export const problems = {
  alreadySigned: () => conflict('already-signed', coded('problem.thisIsSignedAlready')),
  alreadySeen: () => conflict('already-seen', coded('problem.thisDocumentHasBeenLooked')),
  notSeen: () => conflict('not-seen', coded('problem.thisDocumentHasNotBeen')),
  lookedAtMeanwhile: () => conflict('already-seen', coded('problem.somebodyHasLookedAtThis')),
  sameBytes: (fileName: string) => conflict('same-bytes', coded('problem.thisFileIsAlreadyHere', { fileName })),
  /** @param detail what to do about it */
  unfitFile: (code: string, words: Coded, detail: Coded) => new Problem(422, code, words, { detail }),
}
