import { type Policies, twoPersonPolicies } from '#core/rights/policies'
import { recordEvent } from '../platform/audit/record'
import { writeVersioned } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { currentPolicies } from '../records/accounts/policies'

export const readPolicies = currentPolicies

/**
 * Decides what takes two persons.
 *
 * @throws Problem `changed-meanwhile` where somebody else has decided since
 */
export async function savePolicies(
  deps: Deps,
  actor: Actor,
  { version, policies }: { version: number; policies: Policies },
) {
  const { policies: before } = await currentPolicies()
  const by = { id: actor.id, name: actor.name, at: deps.clock.now() }
  const next = await writeVersioned('policies', version, policies, by)
  for (const policy of twoPersonPolicies.filter((one) => policies[one] !== before[one]))
    await recordEvent(deps, actor, {
      code: 'policy-changed',
      ...(policies[policy] ? {} : { words: 'policy-changed.one' as const }),
      values: { policy: { code: `right.twoPersons.${policy}` } },
    })
  return { version: next }
}
