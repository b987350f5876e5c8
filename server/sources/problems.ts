import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a source stays as it is. */
export const problems = {
  twoPersons: () => conflict('two-persons', coded('problem.somebodyElseChecksIt')),
  checkedAlready: () => conflict('checked-already', coded('problem.itIsCheckedAlready')),
  nobodyToAsk: () => conflict('nobody-to-ask', coded('problem.sourceWithoutContact')),
  isASeller: () => conflict('is-a-seller', coded('problem.sourceIsASeller')),
  merged: () => conflict('merged', coded('problem.sourceIsMerged')),
  itself: () => conflict('itself', coded('problem.sourceMergedIntoItself')),
  undone: () => conflict('undone', coded('problem.sourceMergeIsUndone')),
  unreadableAwards: () => conflict('unreadable-file', coded('problem.awardsCannotBeRead')),
  researchDone: () => conflict('research-done', coded('problem.researchIsDone')),
  researchConcluded: () => conflict('research-concluded', coded('problem.researchIsConcluded')),
  researchNotConcluded: () => conflict('research-not-concluded', coded('problem.researchIsNotConcluded')),
  unreadableFile: () => conflict('unreadable-file', coded('problem.sourceFileCannotBeRead')),
}
