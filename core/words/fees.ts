import type { KnownFact } from '../conditions/vocabulary'
import { writeWhen } from '../dates/write'
import type { FeeFault } from '../fees/faults'
import { dependsOn, type FeeBecause, type FeeQuote, type QuotedLine, type QuotedTax, type Range } from '../fees/quote'
import { type FeeLine, type FeeSchedule, type FeeTax, meansFact } from '../fees/schedule'
import type { PaidBy } from '../money/ledger'
import { writeAmount, writeShare } from './amounts'
import { conditionFaultWords, conditionWords } from './conditions'
import { factLabel, factOptionLabel } from './facts'
import { say } from './say'
import { translated } from './translations'

/** What something comes to: an amount, or from one to another where that is not known yet. */
export const rangeWords = ({ least, most }: Range, currency: string): string =>
  least === most
    ? writeAmount(most, currency)
    : say('fees.range', {
        least: writeAmount(least, currency).replace(` ${currency}`, ''),
        most: writeAmount(most, currency),
      })

const labelOf = (known: readonly KnownFact[], name: string) => {
  const fact = known.find((one) => one.name === name)
  return fact ? factLabel(fact).replace(/[?:.]$/, '') : name
}

/** Several facts by what they are called. */
export const factsWords = (names: readonly string[], known: readonly KnownFact[]) =>
  names.map((name) => `“${labelOf(known, name)}”`).join(', ')

/** How a line came to what it comes to, in a sentence or two; empty where it is a plain amount. */
export function quotedLineWords(line: QuotedLine, of: FeeLine, currency: string, known: readonly KnownFact[]): string {
  const { state, exemption, deciding } = line
  if (state === 'not needed')
    return [
      ...(dependsOn(of, meansFact) ? [] : [say('fees.state.notNeeded')]),
      ...(of.when ? [say('fees.onlyIf', { condition: conditionWords(of.when, known) })] : []),
    ].join(' ')
  if (state === 'left out') return say('fees.state.leftOut')
  return [
    becauseWords(line.because, currency, known),
    exemption && exemptionWords(of, exemption),
    undecided(deciding, known),
  ]
    .filter(Boolean)
    .join(' ')
}

const undecided = (deciding: readonly string[], known: readonly KnownFact[]) =>
  deciding.length > 0 && say('fees.state.undecided', { facts: factsWords(deciding, known) })

function exemptionWords({ exempt = [] }: FeeLine, { nth, basisPoints }: NonNullable<QuotedLine['exemption']>): string {
  const because = exempt[nth] ? translated(exempt[nth]).because : ''
  return basisPoints >= 10_000
    ? say('fees.state.exempt', { because })
    : say('fees.state.reduced', { share: writeShare(basisPoints), because })
}

function becauseWords(because: FeeBecause, currency: string, known: readonly KnownFact[]): string {
  const written = (amount: number) => writeAmount(amount, currency)
  switch (because.code) {
    case 'fixed':
      return ''
    case 'by-number': {
      const { count, capped } = because
      const [first, further] = [written(because.first), written(because.further)]
      const plain =
        count.least < count.most
          ? say('fees.because.numberOpen', { first, further })
          : because.first === because.further
            ? say('fees.because.each', { further, count: count.most })
            : say('fees.because.number', { first, further, count: count.most })
      return capped === undefined ? plain : `${plain} ${say('fees.because.capped', { most: written(capped) })}`
    }
    case 'by-choice': {
      const fact = labelOf(known, because.fact)
      if (because.choice === undefined) return ''
      const choice = factOptionLabel(
        known.find(({ name }) => name === because.fact),
        because.choice,
      )
      return say('fees.because.choice', { fact, choice })
    }
    case 'by-day':
      return because.through === undefined
        ? say('fees.because.late')
        : say('fees.because.early', { day: writeWhen(because.through), later: written(because.later ?? 0) })
    case 'share': {
      const values = { share: writeShare(because.basisPoints), of: rangeWords(because.of, currency) }
      return because.bound ? say(`fees.because.share.${because.bound}`, values) : say('fees.because.share', values)
    }
  }
}

/** A tax of a quote: what it is on, or that it is in it. */
export function quotedTaxWords(tax: QuotedTax, of: FeeTax, { currency }: FeeQuote, included: boolean): string {
  const values = { title: translated(of).title, share: writeShare(tax.basisPoints) }
  return included ? say('fees.taxWithin', values) : say('fees.tax', { ...values, on: rangeWords(tax.on, currency) })
}

/** A line of a schedule as a sentence, for whoever sets it up. */
export function lineSentence(line: FeeLine, schedule: FeeSchedule, known: readonly KnownFact[]): string {
  const { when, optional, exempt = [], tax } = line
  const taxed = schedule.taxes.find(({ key }) => key === tax)
  const charged = [
    amountSentence(line, schedule, known),
    ...(optional ? [say('fees.sentence.optional')] : []),
    ...exempt.map((one) =>
      say('fees.sentence.exempt', {
        share: writeShare(one.basisPoints),
        condition: conditionWords(one.when, known),
        because: one.because,
      }),
    ),
    ...(taxed ? [say('fees.sentence.taxed', { tax: taxed.title })] : []),
  ].join('; ')
  return [`${charged}.`, ...(when ? [say('ask.onlyIf', { condition: conditionWords(when, known) })] : [])].join(' ')
}

function amountSentence({ amount }: FeeLine, schedule: FeeSchedule, known: readonly KnownFact[]): string {
  const written = (minor: number) => writeAmount(minor, schedule.currency)
  switch (amount.kind) {
    case 'fixed':
      return written(amount.amount)
    case 'by number': {
      const [first, further] = [written(amount.first), written(amount.further)]
      const plain = say('fees.sentence.number', { first, further, fact: labelOf(known, amount.fact) })
      return amount.most === undefined
        ? plain
        : `${plain}, ${say('fees.sentence.most', { amount: written(amount.most) })}`
    }
    case 'by choice': {
      const fact = known.find(({ name }) => name === amount.fact)
      const amounts = [
        ...Object.entries(amount.amounts).map(([choice, one]) =>
          say('fees.sentence.choice.one', { choice: factOptionLabel(fact, choice), amount: written(one) }),
        ),
        say('fees.sentence.otherwise', { amount: written(amount.otherwise ?? 0) }),
      ]
      return say('fees.sentence.choice', { fact: labelOf(known, amount.fact), amounts: amounts.join(', ') })
    }
    case 'by day': {
      const steps = amount.steps.map(({ through, amount: one }) =>
        say('fees.sentence.day.one', { day: writeWhen(through), amount: written(one) }),
      )
      return say('fees.sentence.day', { steps: steps.join(', '), after: written(amount.after) })
    }
    case 'share': {
      const names = amount.of.map((key) => schedule.lines.find((line) => line.key === key)?.title ?? key)
      const of = names.length > 0 ? names.join(', ') : say('fees.sentence.allLines')
      return [
        say('fees.sentence.share', { share: writeShare(amount.basisPoints), of }),
        ...(amount.least === undefined ? [] : [say('fees.sentence.least', { amount: written(amount.least) })]),
        ...(amount.most === undefined ? [] : [say('fees.sentence.most', { amount: written(amount.most) })]),
      ].join(', ')
    }
  }
}

/** A whole schedule in sentences, as two versions are compared by. */
export const scheduleSentence = (schedule: FeeSchedule, known: readonly KnownFact[]): string =>
  [
    ...schedule.lines.map((line) => `${line.title}: ${lineSentence(line, schedule, known)}`),
    ...schedule.facts.map(({ label, proof }) => (proof ? `${label} (${proof})` : label)),
    ...schedule.taxes.map(({ title, basisPoints, when }) =>
      [
        `${say('fees.sentence.tax', { title, share: writeShare(basisPoints) })}.`,
        ...(when ? [say('fees.onlyIf', { condition: conditionWords(when, known) })] : []),
      ].join(' '),
    ),
    ...(schedule.taxes.length > 0
      ? [say(schedule.taxIncluded ? 'fees.sentence.included' : 'fees.sentence.added')]
      : []),
    ...(schedule.most === undefined
      ? []
      : [`${say('fees.cap', { most: writeAmount(schedule.most, schedule.currency) })}.`]),
    say('fees.sentence.due', { count: schedule.dueDays }),
    ...(schedule.holds ? [say('fees.sentence.holds')] : []),
    say(`fees.sentence.surplus.${schedule.surplus}`),
  ].join(' ')

/** What is wrong with a schedule, and how to put it right. */
export function feeFaultWords(fault: FeeFault, known: readonly KnownFact[]): string {
  switch (fault.code) {
    case 'key-twice':
      return say('fees.fault.key-twice', { key: fault.key })
    case 'no-such-fact':
      return say('fees.fault.no-such-fact', { fact: fault.fact })
    case 'unfit-fact':
      return say('fees.fault.unfit-fact', { fact: labelOf(known, fault.fact) })
    case 'no-such-line':
    case 'share-of-share':
      return say(`fees.fault.${fault.code}`, { line: fault.line })
    case 'no-options':
    case 'no-lines':
    case 'no-such-currency':
    case 'no-such-tax':
    case 'days-not-in-order':
    case 'least-above-most':
    case 'means-too-early':
      return say(`fees.fault.${fault.code}`)
    case 'unknown-fact':
    case 'unfit-comparison':
    case 'unknown-option':
    case 'asked-later':
    case 'never-holds':
    case 'always-holds':
      return conditionFaultWords(fault, known)
  }
}

/** What somebody who pays should know of a schedule beside its lines. */
export const scheduleTerms = (schedule: FeeSchedule): string =>
  [
    ...(schedule.taxes.length > 0
      ? [say(schedule.taxIncluded ? 'fees.sentence.included' : 'fees.sentence.added')]
      : []),
    say('fees.sentence.due', { count: schedule.dueDays }),
    ...(schedule.holds ? [say('fees.sentence.holds')] : []),
  ].join(' ')

type Payment = { means: PaidBy; state: 'started' | 'paid' | 'declined' | 'abandoned' | 'odd'; givenBack: number }

/** How a payment stands: by card, declined; by card, of which so much was given back. */
export function paymentWords({ means, state, givenBack }: Payment, currency: string): string {
  const by = say(`fees.paid.${means}`)
  if (state !== 'paid') return `${by}, ${say(`fees.payment.${state}`)}`
  return givenBack > 0 ? `${by}, ${say('fees.payment.givenBack', { amount: writeAmount(givenBack, currency) })}` : by
}

type Charge = {
  state: 'open' | 'settled' | 'called off'
  owed: number
  currency: string
  dueOn: string
  late: boolean
  total: number
  takenBack: number
}

/** How a charge stands: what is to pay and by when, or that it is paid. */
export function chargeWords({ state, owed, currency, dueOn, late, total, takenBack }: Charge): string {
  if (state === 'called off') return say('fees.charge.calledOff')
  if (state === 'settled') return say(total === takenBack ? 'fees.charge.nothing' : 'fees.charge.paid')
  const values = { amount: writeAmount(owed, currency), day: writeWhen(dueOn) }
  return late ? say('fees.charge.late', values) : say('fees.charge.open', values)
}

type PayerRequest = {
  state: 'asked' | 'accepted' | 'declined' | 'withdrawn' | 'lapsed' | 'returned'
  employer: string
  amount: number
}

/** What became of an employer who was asked to pay. */
export function payerRequestWords({ state, employer, amount }: PayerRequest, currency: string): string {
  const values = { employer, amount: writeAmount(amount, currency) }
  switch (state) {
    case 'asked':
      return say('employers.waitsFor', values)
    case 'accepted':
      return say('employers.pays', values)
    case 'declined':
      return say('employers.doesNotPay', values)
    case 'lapsed':
      return say('employers.noAnswer', values)
    case 'returned':
      return say('employers.wentBack', values)
    case 'withdrawn':
      return say('employers.takenBack', values)
  }
}
