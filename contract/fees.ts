import { type Static, Type } from '@sinclair/typebox'
import type { GivenFeeFacts } from '#core/fees/facts'
import type { FeeQuote } from '#core/fees/quote'
import type { FeeSchedule } from '#core/fees/schedule'
import { endpoint } from './endpoint'
import { Key } from './ruleShapes'
import {
  AmountToPay,
  Day,
  Done,
  Id,
  listOfCore,
  Minor,
  Moment,
  ofCore,
  oneOf,
  orNull,
  Reason,
  ShortText,
  Version,
} from './shapes'

const byId = Type.Object({ id: Id })

export const chargeStates = ['open', 'settled', 'called off'] as const
export const paymentStates = ['started', 'paid', 'declined', 'abandoned', 'odd'] as const
const paidBy = ['card', 'transfer', 'by hand', 'voucher'] as const
/** `returned`: it goes back to the candidate what an employer had taken over. */
export const payerRequestStates = ['asked', 'accepted', 'declined', 'withdrawn', 'lapsed', 'returned'] as const
export const feeDocumentKinds = ['invoice', 'receipt', 'credit note'] as const

const FeePayment = Type.Object({
  id: Id,
  means: oneOf(paidBy),
  amount: Minor,
  state: oneOf(paymentStates),
  because: orNull(Type.String()),
  givenBack: Minor,
  startedAt: Moment,
  settledAt: orNull(Moment),
  note: orNull(Type.String()),
})
export type FeePaymentLine = Static<typeof FeePayment>

const FeeDocument = Type.Object({ id: Id, kind: oneOf(feeDocumentKinds), number: Type.String(), issuedAt: Moment })

const FeeCharge = Type.Object({
  id: Id,
  title: Type.String(),
  currency: Type.String(),
  state: oneOf(chargeStates),
  total: Minor,
  takenBack: Minor,
  owed: Type.Integer({ description: 'Minor units; below nothing where more was paid' }),
  reference: Type.String({ description: 'Creditor reference, ISO 11649' }),
  dueOn: Day,
  late: Type.Boolean(),
  /** Where a transfer of what is owed goes; null where none are taken. */
  transfer: orNull(
    Type.Object({
      holder: Type.String(),
      iban: Type.String(),
      bic: Type.String(),
      code: orNull(Type.String({ description: 'What a QR code says that a bank reads (EPC069-12), in euros only' })),
    }),
  ),
  payments: Type.Array(FeePayment),
  documents: Type.Array(FeeDocument),
  /** Employers who were asked to pay, the newest last. */
  requests: Type.Array(
    Type.Object({
      id: Id,
      employer: Type.String(),
      employerId: Id,
      state: oneOf(payerRequestStates),
      lines: orNull(Type.Array(Type.String())),
      amount: Minor,
      orderNumber: Type.String(),
      askedAt: Moment,
      decidedAt: orNull(Moment),
      reason: orNull(Type.String()),
    }),
  ),
})
export type FeeChargeView = Static<typeof FeeCharge>

const Means = oneOf(['card', 'transfer'] as const)

/** What one schedule comes to for an application. */
const OwnFee = Type.Object({
  schedule: ofCore<FeeSchedule>(Type.Object({})),
  requirement: Type.String({ description: 'The key of the requirement that asks for it' }),
  /** What was given for it alone. */
  given: ofCore<GivenFeeFacts>(Type.Object({})),
  leftOut: Type.Array(Type.String()),
  version: Version,
  quote: ofCore<FeeQuote>(Type.Object({})),
  charge: orNull(FeeCharge),
  /** What each way of paying adds, before it is chosen. */
  surcharges: Type.Array(Type.Object({ means: Means, title: Type.String(), amount: Minor })),
})
export type OwnFee = Static<typeof OwnFee>

export const listOwnFees = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/fees',
  summary: 'What an application costs, line by line; after sending, what is owed and was paid',
  access: 'candidate',
  params: byId,
  reply: Type.Object({
    fees: Type.Array(OwnFee),
    sent: Type.Boolean(),
    cards: Type.Boolean({ description: 'Whether cards are taken' }),
  }),
  invalidates: ['draft', 'status'],
})

const ownFee = Type.Object({ id: Id, schedule: Key })

export const saveFeeAnswers = endpoint({
  method: 'PATCH',
  path: '/api/my/applications/:id/fees/:schedule',
  summary: 'Give what is asked for a fee alone, and leave options out; before sending',
  access: 'candidate',
  params: ownFee,
  body: Type.Object({
    version: Version,
    facts: Type.Optional(
      Type.Record(Type.String({ maxLength: 60 }), Type.String({ maxLength: 160 }), { maxProperties: 12 }),
    ),
    leftOut: Type.Optional(Type.Array(Key, { maxItems: 30, uniqueItems: true })),
  }),
  reply: Type.Object({ version: Version }),
  invalidates: ['draft', 'status'],
})

export const addFeeProof = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/fees/:schedule/proofs/:fact',
  summary: 'Add the paper that shows something given for a fee: PDF, JPEG or PNG. The money role alone reads it',
  access: 'candidate',
  params: Type.Object({ id: Id, schedule: Key, fact: Key }),
  body: Type.Any(),
  bytes: true,
  reply: Done,
  invalidates: ['draft', 'status', 'desk'],
})

export const payCharge = endpoint({
  method: 'POST',
  path: '/api/my/charges/:id/payments',
  summary: 'Begin to pay by card what is owed. Answers where the payer goes; the card is typed in there and never here',
  access: 'candidate',
  params: byId,
  reply: Type.Object({ address: Type.String() }),
  invalidates: ['status'],
})

export const readPayment = endpoint({
  method: 'GET',
  path: '/api/my/charges/:id/payments/:payment',
  summary: 'How a payment stands; the provider is asked where it has told nothing yet',
  access: 'candidate',
  params: Type.Object({ id: Id, payment: Id }),
  reply: Type.Object({ payment: FeePayment, charge: FeeCharge, application: Id }),
  invalidates: ['status'],
})

export const redeemVoucher = endpoint({
  method: 'POST',
  path: '/api/my/charges/:id/vouchers',
  summary: 'Use a voucher for what is owed. Each works once',
  access: 'candidate',
  params: byId,
  body: Type.Object({ code: Type.String({ minLength: 4, maxLength: 40 }) }),
  reply: Type.Object({ covered: Minor }),
  idempotent: true,
  invalidates: ['status'],
})

export const readOwnFeeDocument = endpoint({
  method: 'GET',
  path: '/api/my/charges/:id/documents/:document',
  summary: 'An invoice, a receipt or a credit note as PDF',
  access: 'candidate',
  params: Type.Object({ id: Id, document: Id }),
  reply: Type.Any(),
  file: true,
})

export const feeQueues = ['owed', 'late', 'proofs', 'to give back', 'settled'] as const
export type FeeQueue = (typeof feeQueues)[number]

const ChargeLine = Type.Object({
  id: Id,
  application: Id,
  name: Type.String(),
  reference: Type.String(),
  vacancy: Type.String(),
  title: Type.String(),
  currency: Type.String(),
  total: Minor,
  owed: Minor,
  dueOn: Day,
  state: oneOf(chargeStates),
  late: Type.Boolean(),
})
export type ChargeLine = Static<typeof ChargeLine>

export const listCharges = endpoint({
  method: 'GET',
  path: '/api/desk/charges',
  summary: 'What is owed, late, to look at, to give back or settled, by the day it is due',
  access: 'money.see',
  query: Type.Object({
    queue: oneOf(feeQueues),
    application: Type.Optional(Id),
    text: Type.Optional(Type.String({ maxLength: 80, description: 'A name, or a reference; in all queues' })),
    after: Type.Optional(Type.String({ maxLength: 60 })),
  }),
  reply: Type.Object({
    charges: Type.Array(ChargeLine),
    counts: Type.Unsafe<Record<FeeQueue, number>>(Type.Object({})),
    lateInvoices: Type.Integer({ description: 'Invoices to employers that are late, or were paid too much' }),
    daysToLookAt: Type.Integer({ description: 'Days that do not agree with the provider' }),
    next: orNull(Type.String()),
  }),
  invalidates: ['desk'],
})

const Movement = Type.Object({
  cause: Type.String(),
  at: Moment,
  madeBy: Type.String(),
  postings: Type.Array(Type.Object({ account: Type.String(), amount: Minor })),
})

export const readCharge = endpoint({
  method: 'GET',
  path: '/api/desk/charges/:id',
  summary: 'One charge: how it came about, what was paid, every movement, and what was given for it alone',
  access: 'money.see',
  params: byId,
  reply: Type.Intersect([
    FeeCharge,
    Type.Object({
      line: ChargeLine,
      schedule: ofCore<FeeSchedule>(Type.Object({})),
      quote: ofCore<FeeQuote>(Type.Object({})),
      facts: Type.Array(
        Type.Object({
          key: Key,
          label: Type.String(),
          value: Type.String(),
          proof: oneOf(['none', 'to look at', 'accepted', 'refused'] as const),
          asked: Type.String({ description: 'What paper is to show it' }),
          hasPaper: Type.Boolean(),
        }),
      ),
      refunds: Type.Array(
        Type.Object({
          id: Id,
          amount: Minor,
          reason: Type.String(),
          state: oneOf(['asked', 'done', 'failed'] as const),
          askedBy: Type.String(),
          askedAt: Moment,
        }),
      ),
      movements: Type.Array(Movement),
      today: Day,
    }),
  ]),
  invalidates: ['desk'],
})
export type ChargeDetail = Static<typeof readCharge.reply>

export const readFeeProof = endpoint({
  method: 'GET',
  path: '/api/desk/charges/:id/proofs/:fact',
  summary: 'The paper that shows something given for a fee alone',
  access: 'money.see',
  params: Type.Object({ id: Id, fact: Key }),
  reply: Type.Any(),
  file: true,
})

export const readFeeDocument = endpoint({
  method: 'GET',
  path: '/api/desk/charges/:id/documents/:document',
  summary: 'An invoice, a receipt or a credit note as PDF',
  access: 'money.see',
  params: Type.Object({ id: Id, document: Id }),
  reply: Type.Any(),
  file: true,
})

export const decideFeeProof = endpoint({
  method: 'POST',
  path: '/api/desk/charges/:id/proofs/:fact',
  summary:
    'Accept the paper that shows something given for a fee, or refuse it with the reason: then the fee is worked out again without it',
  access: 'money.record',
  params: Type.Object({ id: Id, fact: Key }),
  body: Type.Union([
    Type.Object({ accepted: Type.Literal(true) }),
    Type.Object({ accepted: Type.Literal(false), reason: Reason }),
  ]),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const recordPayment = endpoint({
  method: 'POST',
  path: '/api/desk/charges/:id/payments',
  summary: 'Note that something owed was received otherwise',
  access: 'money.record',
  passwordAgain: true,
  params: byId,
  body: Type.Object({ amount: AmountToPay, receivedOn: Day, note: ShortText }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const checkPayment = endpoint({
  method: 'POST',
  path: '/api/desk/charges/:id/payments/:payment/check',
  summary: 'Ask the provider again about a payment it has told oddly of; what it really took is what was paid',
  access: 'money.record',
  params: Type.Object({ id: Id, payment: Id }),
  reply: Done,
  invalidates: ['desk', 'status'],
})

export const refundPayment = endpoint({
  method: 'POST',
  path: '/api/desk/charges/:id/refunds',
  summary: 'Give back a part of what was paid, or all of it, with the reason',
  access: 'money.record',
  passwordAgain: true,
  params: byId,
  body: Type.Object({ payment: Id, amount: AmountToPay, reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const waiveFee = endpoint({
  method: 'POST',
  path: '/api/desk/charges/:id/waivers',
  summary: 'Do without a part of what is owed, or all of it, with the reason',
  access: 'money.record',
  passwordAgain: true,
  params: byId,
  body: Type.Object({ amount: AmountToPay, reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

/** What applying for a vacancy costs, before anything is filled in. */
export const readVacancyFees = endpoint({
  method: 'GET',
  path: '/api/vacancies/:slug/fees',
  summary: 'The schedules of fees of a vacancy, for anybody to see what it would cost them',
  access: 'anyone',
  params: Type.Object({ slug: Type.String() }),
  reply: Type.Object({ title: Type.String(), fees: listOfCore<FeeSchedule>(), today: Day }),
  invalidates: ['vacancies'],
})
