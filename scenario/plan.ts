import type { AskedBy } from '#core/enquiries/ways'
/** What somebody of the demo did, as data: days are counted from the day the demo is loaded; negative is before. */

export type StudyPlan = {
  source: string
  award: string
  subject: string
  level: number
  field: string
  number: string
  from: string
  to: string
  printedName?: string
  printedNumber?: string
  paper?: boolean
}
export type JobPlan = {
  source: string | null
  name?: string
  position: string
  from: string
  to: string
  tags: string[]
  mayAsk?: 'now' | 'after an offer' | 'never'
  activity?: 'employment' | 'care' | 'travel' | 'without work' | 'study or training' | 'military or civilian service'
  letter?: boolean
  /** Nobody has signed its letter. */
  unsigned?: true
}
export type CredentialPlan = {
  credential: string
  source: string
  number: string
  issuedDays: number
  throughDays: number | 'does not expire'
  fields?: Record<string, string>
  registered?: 'same' | 'other name' | 'absent' | 'restricted' | 'suspended' | 'revoked'
  /** Its paper is the receipt of an application; the final one is owed so many days from loading. */
  finalInDays?: number
  /** Its paper is a worse copy of somebody else’s, named by their family name. */
  copyOf?: string
  paper?: boolean
}

/** What is done with one of the claims, which are counted through studies, jobs and credentials in this order. */
type Acts = {
  see: { see: string }
  sendBack: { sendBack: string; reason: string }
  /** Of a source by the way it prefers, or by another. */
  ask: { ask: string; by?: AskedBy }
  /** What the candidate asks the desk, about one of their claims or about nothing of them. */
  question: { question: string; about?: string }
  answerQuestion: { answerQuestion: string }
  /** The number text messages go to, which then tell them what they have to do. */
  tellByText: { tellByText: string }
  /** The original behind a claim came by hand and lies in the safe. */
  original: { original: string; place: string }
  answer: {
    answer: string
    differs?: Record<string, string>
    cannotSay?: string[]
    unknown?: true
    note?: string
    by?: string
  }
  register: { register: string }
  decide: {
    decide: string
    as: 'confirmed' | 'confirmed with a note' | 'contradicted' | 'unconfirmable'
    note?: string
  }
  check: { check: number }
  pass: { pass: 'shortlist' | 'offer' | 'start' }
  waive: { waive: string; reason: string }
  accept: { accept: true }
  acknowledge: { acknowledge: string }
  shorten: { shorten: string; to: string }
}
export type ActName = keyof Acts
export type ActNamed<Name extends ActName> = { day: number } & Acts[Name]
export type Act = { [Name in ActName]: ActNamed<Name> }[ActName]

export type PersonPlan = {
  given: string
  family: string
  former?: string
  born: string
  town: string
  country: string
  phone: string
  vacancy: string
  studies: StudyPlan[]
  jobs: JobPlan[]
  credentials: CredentialPlan[]
  declares?: Record<string, string>
  /** Bodies outside they have chosen, by their keys. */
  chooses?: string[]
  /** What they say for fees alone, by the schedule; `proof` is the fact they add a paper for. */
  fees?: Record<string, { facts: Record<string, string>; leftOut?: string[]; proof?: string }>
  /** Days before loading when it was sent; absent while it is still being written. */
  sent?: number
  acts: Act[]
}

export const job = (
  source: string | null,
  position: string,
  from: string,
  to: string,
  tags: string[],
  more: Partial<JobPlan> = {},
): JobPlan => ({ source, position, from, to, tags, ...more })
export const study = (
  source: string,
  award: string,
  subject: string,
  level: number,
  field: string,
  number: string,
  from: string,
  to: string,
  more: Partial<StudyPlan> = {},
): StudyPlan => ({ source, award, subject, level, field, number, from, to, ...more })
export const paper = (
  credential: string,
  source: string,
  number: string,
  issuedDays: number,
  throughDays: CredentialPlan['throughDays'],
  more: Partial<CredentialPlan> = {},
): CredentialPlan => ({ credential, source, number, issuedDays, throughDays, ...more })
