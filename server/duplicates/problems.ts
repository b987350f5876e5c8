import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why files are not merged or taken apart. */
export const problems = {
  notOpen: () => conflict('not-open', coded('problem.thisHasBeenDecidedAlready')),
  undone: () => conflict('undone', coded('problem.thisHasBeenUndoneAlready')),
  mergedSince: () => conflict('merged-since', coded('problem.theFileHasBeenMerged')),
  mergedAlready: () => conflict('merged-already', coded('problem.thisFileHasBeenMerged')),
}
