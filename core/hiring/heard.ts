/** How somebody came to hear of a vacancy; `somebody` is a person, who may be named as having recommended us. */
export const heardSources = [
  'our page',
  'search',
  'job site',
  'fair',
  'school',
  'employment office',
  'somebody',
  'news',
  'other',
] as const
export type HeardSource = (typeof heardSources)[number]

/** The gates people can be counted at, in order. */
export const heardStages = ['sent', 'shortlist', 'offer', 'start'] as const
