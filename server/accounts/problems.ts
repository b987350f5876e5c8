import { coded } from '#core/words/say'
import { conflict, notFound, Problem } from '../platform/errors/problems'

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
  lastAdministrator: () => conflict('last-administrator', coded('problem.somebodyHasToAdminister')),
  noProvider: () => notFound(),
  throughProvider: (provider: string) =>
    new Problem(403, 'through-provider', coded('problem.comeThroughProvider', { provider })),
  providerUnreachable: (provider: string) =>
    new Problem(502, 'provider-unreachable', coded('problem.providerUnreachable', { provider })),
  providerRefused: (provider: string, reason: string) =>
    new Problem(403, 'provider-refused', coded('problem.providerRefused', { provider, reason })),
  signInOver: () => new Problem(410, 'sign-in-over', coded('problem.signInTookTooLong')),
  noAddress: (provider: string) => new Problem(403, 'no-address', coded('problem.providerGaveNoAddress', { provider })),
  noRole: (provider: string) => new Problem(403, 'no-role', coded('problem.providerGaveNoRole', { provider })),
  somebodyElse: () => new Problem(403, 'somebody-else', coded('problem.confirmedAsSomebodyElse')),
  addressTaken: (mail: string) => new Problem(403, 'address-taken', coded('problem.addressBelongsToAnother', { mail })),
  confirmedAlready: () => new Problem(410, 'link-used', coded('problem.thisAddressIsConfirmedAlready')),
}
