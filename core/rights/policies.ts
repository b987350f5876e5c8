/**
 * What takes two persons: the second looks at what the first did before it counts. A house may do without; where it does not,
 * a desk of one goes on with a reason that stays on record.
 */
export const twoPersonPolicies = [
  'claim-decision',
  'source-check',
  'programme-research',
  'telephone-answer',
  'enquiry-cost',
] as const
export type TwoPersonPolicy = (typeof twoPersonPolicies)[number]
export type Policies = Record<TwoPersonPolicy, boolean>

/** What holds until somebody decides otherwise. */
export const usualPolicies: Policies = {
  'claim-decision': true,
  'source-check': true,
  'programme-research': true,
  'telephone-answer': false,
  'enquiry-cost': true,
}
