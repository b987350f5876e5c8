import { type Policies, type TwoPersonPolicy, usualPolicies } from '#core/rights/policies'
import { readVersioned } from '../../platform/database/settings'

/** What takes two persons as it was last decided. */
export async function currentPolicies() {
  const { version, value } = await readVersioned<Partial<Policies>>('policies')
  return { version, policies: { ...usualPolicies, ...value } }
}

export const takesTwo = async (policy: TwoPersonPolicy): Promise<boolean> => (await currentPolicies()).policies[policy]
