/** The points that an application passes, in their order. */
export const gates = ['send', 'shortlist', 'offer', 'start'] as const
export type Gate = (typeof gates)[number]
