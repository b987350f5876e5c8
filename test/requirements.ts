import { Temporal } from 'temporal-polyfill'
import type { Ask, FileFacts, Requirement } from '#core/requirements/requirement'

/** A requirement like any other, and the file of somebody who has said nothing yet. */
export const aRequirement = (asks: Ask, over: Partial<Requirement> = {}): Requirement => ({
  key: 'k',
  title: 'T',
  why: '',
  gate: 'offer',
  asks,
  rung: 'claimed',
  waivableBy: [],
  ...over,
})

export const anEmptyFile = (over: Partial<FileFacts> = {}): FileFacts => ({
  today: Temporal.PlainDate.from('2026-11-24'),
  targetStart: Temporal.PlainDate.from('2027-01-11'),
  claims: [],
  answers: {},
  skills: [],
  permissionSigned: false,
  offer: 'none',
  onboarding: [],
  waivers: [],
  ...over,
})
