import { type Policies, type TwoPersonPolicy, usualPolicies } from '#core/rights/policies'
import type { Right } from '#core/rights/rights'
import { readVersioned } from '../../platform/database/settings'
import type { Account } from '../../platform/deps'
import { accountsWithRight } from './staff'

/** What takes two persons as it was last decided. */
export async function currentPolicies() {
  const { version, value } = await readVersioned<Partial<Policies>>('policies')
  return { version, policies: { ...usualPolicies, ...value } }
}

const takesTwo = async (policy: TwoPersonPolicy): Promise<boolean> => (await currentPolicies()).policies[policy]

/** Whether something takes two persons, and whether there is anybody beside one who could be the second. */
export async function othersBeside(actor: Pick<Account, 'id'>, policy: TwoPersonPolicy, right: Right) {
  const [two, holders] = await Promise.all([takesTwo(policy), accountsWithRight(right)])
  return { two, others: holders.some(({ id }) => id !== actor.id) }
}
