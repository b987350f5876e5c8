import { type Coded, coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why what came in (mail, papers, imports) is not taken or not settled. */
export const problems = {
  alreadySettled: () => conflict('already-settled', coded('problem.thisMailIsSettled')),
  ran: () => conflict('ran', coded('problem.thisHasBeenImportedAlready')),
  faulty: () => conflict('faulty', coded('problem.noRowOfTheFile')),
  notDone: () => conflict('not-done', coded('problem.thisHasNotBeenImported')),
  inUse: () => conflict('in-use', coded('problem.somethingOfThisImportHas')),
  personInUse: () => conflict('in-use', coded('problem.somebodyOfThisImportHas')),
  personMerged: () => conflict('in-use', coded('problem.somebodyOfThisImportIs')),
  noPaper: () => conflict('no-paper', coded('problem.onlyACoverSheetCame')),
  settled: () => conflict('settled', coded('problem.somebodyHasDealtWithThis')),
  ended: () => conflict('ended', coded('problem.thisApplicationHasEndedNothingIs')),
  /** @param detail what the reader found, or what to do */
  unreadable: (words: Coded, detail: Coded) => new Problem(422, 'unreadable', words, { detail }),
  wrongKind: () =>
    new Problem(422, 'wrong-kind', coded('problem.onlyPdfTiffJpegAnd'), {
      detail: coded('problem.whateverItsNameSaysThe'),
    }),
}
