import { type Schedules, usualSchedules } from './schedule'

/** How a house asks sources. */
export type EnquirySettings = {
  schedules: Schedules
  /** What an enquiry may cost before somebody else has to approve it, in minor units of the house's currency; null for any amount. */
  costLimit: number | null
  /** The countries, ISO 3166-1, whose law lets a former employer be asked whether they would employ somebody again. */
  againIn: string[]
}

export const usualEnquiries: EnquirySettings = { schedules: usualSchedules, costLimit: null, againIn: [] }

/** Whether a cost has to be approved by somebody else before it is spent: any that is too high, or in money of another kind. */
export const isToApprove = (
  cost: { amount: number; currency: string } | null,
  limit: number | null,
  currency: string,
): boolean => cost !== null && cost.amount > 0 && limit !== null && (cost.currency !== currency || cost.amount > limit)
