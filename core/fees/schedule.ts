import type { Condition } from '../conditions/condition'
import type { Translations } from '../words/translations'

/** Something that is asked for a fee alone, apart from the application: read by the money role and by nobody else. */
export type FeeFact = {
  key: string
  label: string
  help?: string
  kind: 'yes or no' | 'one of' | 'number'
  options?: readonly string[]
  /** The largest number that may be given. */
  most?: number
  /** What paper has to show it, in words; until that paper is there, or once it is refused, it does not count. */
  proof?: string
  translations?: Translations<'label' | 'help' | 'proof', 'options'>
}

/** What a line comes to, in minor units of the schedule's currency; shares in hundredths of a per cent. */
export type FeeAmount =
  | { kind: 'fixed'; amount: number }
  /** So much for the first and so much for each further one of what a fact counts; `most` is the largest it comes to. */
  | { kind: 'by number'; fact: string; first: number; further: number; most?: number }
  /** By what a fact says: a category, a service level, a country. */
  | { kind: 'by choice'; fact: string; amounts: Readonly<Record<string, number>>; otherwise?: number }
  /** By the day of sending: so much through each day, in their order, and afterwards so much. */
  | { kind: 'by day'; steps: readonly { through: string; amount: number }[]; after: number }
  /** A share of other lines, none of which is a share itself; all of them where none is named. */
  | { kind: 'share'; of: readonly string[]; basisPoints: number; least?: number; most?: number }

/** Under a condition a line is not charged, or only so much less; of several that hold, the one that takes most off counts. */
export type FeeExemption = {
  when: Condition
  because: string
  basisPoints: number
  translations?: Translations<'because'>
}

export type FeeLine = {
  key: string
  title: string
  /** What it is for, in a sentence. */
  why: string
  amount: FeeAmount
  /** Charged only while this holds. */
  when?: Condition
  /** A payer may leave it out. */
  optional?: true
  exempt?: readonly FeeExemption[]
  /** Which tax is on it. */
  tax?: string
  translations?: Translations<'title' | 'why'>
}

/** A tax by its rate, where a condition holds (a place, whose body pays). */
export type FeeTax = {
  key: string
  title: string
  basisPoints: number
  when?: Condition
  translations?: Translations<'title'>
}

export type FeeSchedule = {
  key: string
  title: string
  /** ISO 4217. */
  currency: string
  facts: readonly FeeFact[]
  lines: readonly FeeLine[]
  taxes: readonly FeeTax[]
  /** Amounts of lines include their tax; otherwise it is added. */
  taxIncluded: boolean
  /** The most that everything together comes to, taxes included. */
  most?: number
  /** Days from sending until it is due. */
  dueDays: number
  /** Nothing is processed before it is paid. */
  holds: boolean
  /** What happens where more was paid before than is owed now. */
  surplus: 'given back' | 'kept'
  translations?: Translations<'title'>
}

export const feeFactKinds = ['yes or no', 'one of', 'number'] as const
export const feeAmountKinds = ['fixed', 'by number', 'by choice', 'by day', 'share'] as const
export const surplusKinds = ['given back', 'kept'] as const

/** How something can be paid, as far as a surcharge may depend on it; `none` before somebody has chosen. */
export const payMeans = ['card', 'transfer'] as const
export type PayMeans = (typeof payMeans)[number]

/** By what name conditions and lines know a fee fact. */
export const feeFactName = (key: string) => `fee.${key}`
/** By what name they know how it is paid. */
export const meansFact = 'payment.means'
