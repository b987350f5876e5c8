import { coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why somebody is not signed in, or their account stays as it is. */
export const problems = {
  wrongMailOrPassword: () => new Problem(401, 'wrong-mail-or-password', coded('problem.mailAddressAndPasswordDo')),
  notConfirmed: () => new Problem(403, 'not-confirmed', coded('problem.openTheLinkInThe')),
  suspended: () => new Problem(403, 'suspended', coded('problem.yourAccountIsSuspended')),
  codeNeeded: () => new Problem(401, 'code-needed', coded('problem.nowTheCodeThatYour')),
  wrongCode: () => new Problem(401, 'wrong-code', coded('problem.thisCodeDoesNotFitOr')),
  codesOn: () => conflict('codes-on', coded('problem.oneTimeCodesAreSwitched')),
  codesNeeded: () => conflict('codes-needed', coded('problem.yourRoleSignsInWith')),
  linkUsed: () => new Problem(410, 'link-used', coded('problem.thisLinkHasBeenUsed')),
  confirmedAlready: () => new Problem(410, 'link-used', coded('problem.thisAddressIsConfirmedAlready')),
}
