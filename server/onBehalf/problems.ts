import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why nothing is written for somebody else. */
export const problems = {
  closed: () => conflict('closed', coded('problem.thisVacancyIsClosed')),
  theirs: () => conflict('theirs', coded('problem.youHaveTakenItOver')),
  appliedAlready: (name: string) => conflict('applied-already', coded('problem.hasAnApplicationForThis', { name })),
  takenOver: (name: string) => conflict('theirs', coded('problem.hasTakenItOver', { name })),
}
