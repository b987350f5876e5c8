import { type EnquirySettings, usualEnquiries } from '../enquiries/settings'
import type { BankAccount } from '../money/transferCode'
import { type FreshMonths, usualFreshness } from '../validity/freshness'
import type { Language } from '../words/say'

/** How long what is kept of people, in days or years. */
export type KeepingPeriods = { notSentDays: number; endedDays: number; clearedYears: number; trailYears: number }

/** Whose application this is, and what holds in all of it. */
export type Organisation = {
  name: string
  street: string
  postcode: string
  town: string
  /** ISO 3166-1, two letters, and the region of ISO 3166-2 without it: whose holidays and weekends are ours. */
  country: string
  region: string
  /** A mail address people may write to, and a number they may ring. */
  contact: string
  phone: string
  /** IANA, such as `Europe/Vienna`: whose days are ours. */
  timeZone: string
  /** The languages the portal and its mails speak, the usual one first. */
  languages: Language[]
  /** ISO 4217; pay and fees are in it. */
  currency: string
  /** The colour of the masthead, `#rrggbb`. */
  accent: string
  /** The letters a reference begins with. */
  referencePrefix: string
  /** Days we do not work beside public holidays: `2026-12-24`, or `12-24` for every year. */
  closedDays: { day: string; name: string }[]
  /** Families of work and places that vacancies choose from. */
  families: string[]
  places: string[]
  /** A line at the head of the public list of vacancies, by language. */
  welcome: Partial<Record<Language, string>>
  /** What stands under every mail, by language. */
  footer: Partial<Record<Language, string>>
  keeping: KeepingPeriods
  /** For how long what was confirmed is not asked again. */
  freshMonths: FreshMonths
  /** How sources are asked. */
  enquiries: EnquirySettings
  /** Where transfers go; empty where none are taken. */
  bank: BankAccount
  /** Days somebody has to answer before a contradiction about them is final. */
  hearingDays: number
}

/**
 * How long is usual. The reasons are those of the trade: a claim for equal treatment can be brought for half a year after an
 * application has ended; who was let near machines and people must be shown for seven.
 */
export const usualKeeping: KeepingPeriods = { notSentDays: 180, endedDays: 183, clearedYears: 7, trailYears: 7 }

/** An organisation that nobody has described yet. */
export const unnamedOrganisation: Organisation = {
  name: 'Probatum',
  street: '',
  postcode: '',
  town: '',
  country: 'ZZ',
  region: '',
  contact: '',
  phone: '',
  timeZone: 'UTC',
  languages: ['en', 'de'],
  currency: 'EUR',
  accent: '#0f332c',
  referencePrefix: 'AP',
  closedDays: [],
  families: [],
  places: [],
  welcome: {},
  footer: {},
  keeping: usualKeeping,
  freshMonths: usualFreshness,
  enquiries: usualEnquiries,
  bank: { holder: '', iban: '', bic: '' },
  hearingDays: 7,
}

/** The text of an organisation in a language; where there is none, in its usual one. */
export function textIn(texts: Partial<Record<Language, string>>, language: string, languages: readonly Language[]) {
  return texts[language as Language] || texts[languages[0] ?? 'en'] || ''
}
