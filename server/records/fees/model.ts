import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { feeDocumentKinds } from '#contract/fees'
import type { GivenFeeFacts } from '#core/fees/facts'
import type { FeeQuote } from '#core/fees/quote'
import type { FeeLine } from '#core/fees/schedule'
import type { Account, PaidBy } from '#core/money/ledger'
import {
  day,
  dayOrNull,
  define,
  flag,
  id,
  json,
  jsonOrNull,
  longText,
  longTextOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
  wholeOrNull,
} from '../../platform/database/columns'
import { minor } from './minor'

/** What somebody gave for a fee alone, and which options they leave out. */
export class FeeAnswers extends Model<InferAttributes<FeeAnswers>, InferCreationAttributes<FeeAnswers>> {
  declare applicationId: string
  declare schedule: string
  declare facts: Record<string, GivenFeeFacts[string] & { sha256?: string; reason?: string }>
  declare leftOut: string[]
  /** Papers that somebody has still to look at. */
  declare waiting: number
  declare version: number
}

/** What an application was charged by one schedule. What is owed is what its postings to receivable come to. */
export class FeeCharge extends Model<InferAttributes<FeeCharge>, InferCreationAttributes<FeeCharge>> {
  declare id: string
  declare applicationId: string
  declare candidateId: string
  declare schedule: string
  declare rulesVersion: number
  declare currency: string
  /** As it was charged. */
  declare quote: FeeQuote
  /** With what was added when a way to pay was chosen. */
  declare total: number
  declare tax: number
  /** Of the total, taken back by credit notes. */
  declare takenBack: CreationOptional<number>
  /** Below nothing where more was paid. */
  declare owed: number
  /** A creditor reference (ISO 11649). */
  declare reference: string
  declare dueOn: string
  /** Nothing is processed before it is paid. */
  declare holds: boolean
  declare state: 'open' | 'settled' | 'called off'
  declare version: number
  declare createdAt: Date
  declare settledAt: CreationOptional<Date | null>
  declare remindedAt: CreationOptional<Date | null>
}

export class FeePayment extends Model<InferAttributes<FeePayment>, InferCreationAttributes<FeePayment>> {
  declare id: string
  declare chargeId: string
  declare means: PaidBy
  declare amount: number
  /** Lines that this way of paying adds, as they were seen before choosing it. */
  declare surcharge: CreationOptional<SurchargeLine[] | null>
  declare currency: string
  /** `odd`: the provider told of another amount or currency than was asked; somebody has to look. */
  declare state: 'started' | 'paid' | 'declined' | 'abandoned' | 'odd'
  declare because: CreationOptional<string | null>
  declare providerId: CreationOptional<string | null>
  declare givenBack: CreationOptional<number>
  declare note: CreationOptional<string | null>
  declare notedBy: CreationOptional<string | null>
  declare paidOn: CreationOptional<string | null>
  /** The transfer it came with. */
  declare transferId: CreationOptional<string | null>
  declare startedAt: Date
  declare settledAt: CreationOptional<Date | null>
}

export type SurchargeLine = { key: string; amount: number; tax: number }

/** Something to give back, and whether the provider has. */
export class FeeRefund extends Model<InferAttributes<FeeRefund>, InferCreationAttributes<FeeRefund>> {
  declare id: string
  declare paymentId: string
  declare chargeId: string
  declare amount: number
  declare reason: string
  declare state: 'asked' | 'done' | 'failed'
  declare askedBy: string
  declare askedAt: Date
  declare doneAt: CreationOptional<Date | null>
}

/** A transfer of a bank's statement. */
export class BankTransfer extends Model<InferAttributes<BankTransfer>, InferCreationAttributes<BankTransfer>> {
  declare id: string
  /** What the bank calls it, hashed: the same one is taken once. */
  declare bankKey: string
  declare bookedOn: string
  declare amount: number
  declare currency: string
  declare payer: string
  declare reference: string
  declare text: string
  declare state: 'to look at' | 'booked' | 'set aside'
  declare reason: CreationOptional<string | null>
  declare takenBy: string
  declare takenAt: Date
  declare settledBy: CreationOptional<string | null>
  declare settledAt: CreationOptional<Date | null>
}

/** What the provider has told, so that it is believed once. */
export class PaymentNotice extends Model<InferAttributes<PaymentNotice>, InferCreationAttributes<PaymentNotice>> {
  declare id: string
  declare receivedAt: Date
}

/** One movement; its postings come to nothing. Never changed. */
export class LedgerEntry extends Model<InferAttributes<LedgerEntry>, InferCreationAttributes<LedgerEntry>> {
  declare id: string
  /** What happened, once: `charge ID`, `payment ID`. */
  declare cause: string
  /** The charge it is about; nothing where an employer has paid an invoice. */
  declare chargeId: CreationOptional<string | null>
  /** The employer whose debt it changes. */
  declare employerId: CreationOptional<string | null>
  declare currency: string
  declare madeBy: string
  declare at: Date
}

export class LedgerPosting extends Model<InferAttributes<LedgerPosting>, InferCreationAttributes<LedgerPosting>> {
  declare entryId: string
  declare nth: number
  declare account: Account
  declare amount: number
}

export type DocumentKind = (typeof feeDocumentKinds)[number]

/** What an invoice, a receipt or a credit note says; amounts in minor units. */
export type DocumentContent = {
  title: string
  payer: { name: string; mail: string; address?: string }
  application: string
  /** The payer's own number for it. */
  orderNumber?: string
  currency: string
  reference: string
  lines: { title: string; amount: number }[]
  tax: { title: string; basisPoints: number; amount: number }[]
  taxIncluded: boolean
  total: number
  dueOn?: string
  /** Where a transfer goes, of an invoice. */
  transfer?: { holder: string; iban: string; bic: string; code: string | null }
  /** How it was paid, of a receipt. */
  means?: PaidBy
  /** Of what it takes back, and why. */
  of?: string
  because?: string
  language: 'en' | 'de'
}

export class FeeDocument extends Model<InferAttributes<FeeDocument>, InferCreationAttributes<FeeDocument>> {
  declare id: string
  declare kind: DocumentKind
  declare series: string
  declare number: number
  declare cause: string
  /** What it is about: a charge, or an invoice to an employer. */
  declare chargeId: CreationOptional<string | null>
  declare invoiceId: CreationOptional<string | null>
  declare content: DocumentContent
  /** The file as it went out by mail. */
  declare mailedSha256: CreationOptional<string | null>
  declare issuedAt: Date
}

/** A code that pays for somebody once; kept as its hash. */
export class FeeVoucher extends Model<InferAttributes<FeeVoucher>, InferCreationAttributes<FeeVoucher>> {
  declare id: string
  declare batch: string
  declare codeHash: string
  declare ending: string
  declare amount: CreationOptional<number | null>
  declare basisPoints: CreationOptional<number | null>
  declare currency: CreationOptional<string | null>
  /** The keys of the lines it covers; none are named where it covers all. */
  declare lines: CreationOptional<FeeLine['key'][] | null>
  declare through: string
  declare madeBy: string
  declare madeAt: Date
  /** The charge it was used for. */
  declare usedFor: CreationOptional<string | null>
  declare usedAt: CreationOptional<Date | null>
  declare withdrawnAt: CreationOptional<Date | null>
}

export function defineFees(sequelize: Sequelize) {
  define(FeeAnswers, sequelize, 'fee_answers', {
    applicationId: id,
    schedule: { ...text, primaryKey: true },
    facts: json,
    leftOut: json,
    waiting: whole,
    version: whole,
  })
  define(FeeCharge, sequelize, 'fee_charges', {
    id,
    applicationId: uuid,
    candidateId: uuid,
    schedule: text,
    rulesVersion: whole,
    currency: text,
    quote: json,
    total: minor('total'),
    tax: minor('tax'),
    takenBack: { ...minor('takenBack'), defaultValue: 0 },
    owed: minor('owed'),
    reference: text,
    dueOn: day,
    holds: flag,
    state: text,
    version: whole,
    createdAt: moment,
    settledAt: momentOrNull,
    remindedAt: momentOrNull,
  })
  define(FeePayment, sequelize, 'fee_payments', {
    id,
    chargeId: uuid,
    means: text,
    amount: minor('amount'),
    surcharge: jsonOrNull,
    currency: text,
    state: text,
    because: textOrNull,
    providerId: textOrNull,
    givenBack: { ...minor('givenBack'), defaultValue: 0 },
    note: textOrNull,
    notedBy: textOrNull,
    paidOn: dayOrNull,
    transferId: uuidOrNull,
    startedAt: moment,
    settledAt: momentOrNull,
  })
  define(FeeRefund, sequelize, 'fee_refunds', {
    id,
    paymentId: uuid,
    chargeId: uuid,
    amount: minor('amount'),
    reason: text,
    state: text,
    askedBy: text,
    askedAt: moment,
    doneAt: momentOrNull,
  })
  define(BankTransfer, sequelize, 'bank_transfers', {
    id,
    bankKey: text,
    bookedOn: day,
    amount: minor('amount'),
    currency: text,
    payer: text,
    reference: text,
    text: longText,
    state: text,
    reason: longTextOrNull,
    takenBy: text,
    takenAt: moment,
    settledBy: textOrNull,
    settledAt: momentOrNull,
  })
  define(PaymentNotice, sequelize, 'payment_notices', { id: { ...text, primaryKey: true }, receivedAt: moment })
  define(LedgerEntry, sequelize, 'ledger_entries', {
    id,
    cause: text,
    chargeId: uuidOrNull,
    employerId: uuidOrNull,
    currency: text,
    madeBy: text,
    at: moment,
  })
  define(LedgerPosting, sequelize, 'ledger_postings', {
    entryId: id,
    nth: { ...whole, primaryKey: true },
    account: text,
    amount: minor('amount'),
  })
  define(FeeDocument, sequelize, 'fee_documents', {
    id,
    kind: text,
    series: text,
    number: whole,
    cause: text,
    chargeId: uuidOrNull,
    invoiceId: uuidOrNull,
    content: json,
    mailedSha256: textOrNull,
    issuedAt: moment,
  })
  define(FeeVoucher, sequelize, 'fee_vouchers', {
    id,
    batch: text,
    codeHash: text,
    ending: text,
    amount: minor('amount', true),
    basisPoints: wholeOrNull,
    currency: textOrNull,
    lines: jsonOrNull,
    through: day,
    madeBy: text,
    madeAt: moment,
    usedFor: uuidOrNull,
    usedAt: momentOrNull,
    withdrawnAt: momentOrNull,
  })
}
