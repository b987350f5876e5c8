import type { SourceField } from '#core/sources/merge'
import { say } from '#core/words/say'

const parts = {
  name: 'sources.name',
  names: 'sources.otherNames',
  contacts: 'sources.part.contacts',
  successors: 'sources.successors',
  channels: 'sources.channels',
  closures: 'sources.part.closures',
  conditions: 'sources.part.conditions',
  numberFormats: 'sources.part.numbers',
  programmes: 'sources.part.programmes',
  notes: 'sources.notes',
  kind: 'sources.single.kind',
  town: 'sources.single.town',
  region: 'sources.single.region',
  country: 'sources.single.country',
  existedFrom: 'sources.single.existedFrom',
  existedTo: 'sources.single.existedTo',
  register: 'sources.single.register',
  cost: 'sources.single.cost',
  answerWorkingDays: 'sources.single.answerWorkingDays',
  faster: 'sources.single.faster',
  together: 'sources.single.together',
  language: 'sources.single.language',
  issuer: 'sources.single.issuer',
} as const satisfies Record<SourceField, string>

/** What a part of a source is called. */
export const fieldWords = (field: SourceField): string => say(parts[field])
