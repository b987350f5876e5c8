import { coded } from '#core/words/say'
import { conflict } from '../platform/errors/problems'

/** Why a claim is not decided. */
export const problems = {
  notTheSame: () => conflict('not-the-same', coded('problem.theSourceDoesNotAgree')),
  noReply: () => conflict('no-reply', coded('problem.theSourceHasNotAnswered')),
  answerFromBefore: () => conflict('answer-from-before', coded('problem.answerFromBefore')),
  notAsked: () => conflict('not-asked', coded('problem.nobodyHasBeenAskedYet')),
  tooLate: () => conflict('too-late', coded('problem.thisCanNoLongerBe')),
  underReview: () => conflict('under-review', coded('problem.underReview')),
  saidAlready: () => conflict('said-already', coded('problem.saidAlready')),
  takesAnother: () => conflict('takes-another', coded('problem.takesAnother')),
  reviewOver: () => conflict('review-over', coded('problem.reviewOver')),
  hearingOver: () => conflict('hearing-over', coded('problem.hearingOver')),
  candidateNotHeard: () => conflict('candidate-not-heard', coded('problem.candidateNotHeard')),
  askedSince: () => conflict('asked-since', coded('problem.theSourceHasBeenAskedSince')),
  askedSinceRecord: () => conflict('asked-since', coded('problem.theSourceHasBeenAskedSinceRecord')),
}
