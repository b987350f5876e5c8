import { type Role, worksHere } from '#core/rights/rights'
import type { Deps } from '../platform/deps'
import type { Account } from '../records/accounts/model'

/** What decides by which way somebody comes in. */
export type Entrance = Pick<Account, 'providerSubject' | 'breakGlass'> & { roles: readonly Role[] }

/**
 * Whether somebody signs in through the organisation's identity provider, and not by a password: whoever came that way before,
 * or, where there is to be no other way, everybody who works here. Break-glass accounts keep their password for the day the
 * provider is away.
 */
export function comesThroughProvider(
  { config }: Pick<Deps, 'config'>,
  { providerSubject, breakGlass, roles }: Entrance,
): boolean {
  if (!config.identityProvider || breakGlass || !worksHere(roles)) return false
  return providerSubject !== null || config.identityProvider.only
}
