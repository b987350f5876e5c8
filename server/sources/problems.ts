import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a source stays as it is. */
export const problems = {
  twoPersons: () => conflict('two-persons', coded('problem.somebodyElseChecksIt')),
  checkedAlready: () => conflict('checked-already', coded('problem.itIsCheckedAlready')),
}
