import type { SourceGiven } from '#contract/sources'

/** A contact that is for nothing in particular. */
export const aContact = (over: Partial<SourceGiven['contacts'][number]> = {}): SourceGiven['contacts'][number] => ({
  ...{ id: crypto.randomUUID(), purposes: [], name: '', mail: 'office@ssg.example', phone: '', address: '' },
  ...over,
})

/** A source as the desk writes it down, with one contact. */
export const aSource = (over: Partial<SourceGiven> = {}): SourceGiven => ({
  ...{ name: 'Seefahrtschule Grimvik', names: [], kind: 'school', town: 'Grimvik', region: '', country: 'NO' },
  ...{ existedFrom: null, existedTo: null, successors: [], contacts: [aContact()], channels: ['link'], register: null },
  ...{ closures: [], conditions: [], cost: null, answerWorkingDays: 8, numberFormats: [], programmes: [], notes: '' },
  ...over,
})
