import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a vacancy or its rules stay as they are. */
export const problems = {
  wasPublic: () => conflict('was-public', coded('problem.peopleHaveSeenThisVacancy')),
  closingPast: () => conflict('closing-past', coded('problem.theClosingMomentIsPast')),
  nothingToPublish: () => conflict('nothing-changed', coded('problem.theseRulesSayWhatIsPublished')),
  nothingToTry: () => conflict('nothing-changed', coded('problem.theseRulesSayWhatIs')),
  /** @param lacks what is missing, said */
  notReady: (lacks: readonly string[]) =>
    conflict('not-ready', coded('problem.beforeItCanOpenIt', { lacks: lacks.join(', ') }), { lacks }),
  faultyPublished: (faults: unknown) =>
    conflict('faulty-rules', coded('problem.itsPublishedRulesHaveFaults'), { faults }),
  faultyRules: (faults: unknown) => conflict('faulty-rules', coded('problem.putTheFaultsRightFirst'), { faults }),
}
