import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import {
  day,
  define,
  flag,
  id,
  jsonOrNull,
  longTextOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'
import { notFound } from '../../platform/errors/problems'
import { minor } from './minor'

/** An organisation outside that pays for its people. */
export class Employer extends Model<InferAttributes<Employer>, InferCreationAttributes<Employer>> {
  declare id: string
  declare name: string
  /** By which a candidate names it. */
  declare code: string
  declare street: string
  declare postcode: string
  declare town: string
  /** A second address for invoices and receipts; empty where there is none. */
  declare receiptMail: string
  declare findable: boolean
  declare orderNumberNeeded: boolean
  declare currency: string
  /** The most it may owe at a time, minor units. */
  declare limit: CreationOptional<number | null>
  declare invoicing: 'each' | 'monthly'
  declare dueDays: number
  declare language: 'en' | 'de'
  /** What it took over and has not paid; changed only by adding to it, so that the limit is kept by the row itself. */
  declare owes: CreationOptional<number>
  declare closedAt: CreationOptional<Date | null>
  declare version: number
  declare createdAt: Date
}

/** Who decides for an employer; an account belongs to one. */
export class EmployerPerson extends Model<InferAttributes<EmployerPerson>, InferCreationAttributes<EmployerPerson>> {
  declare accountId: string
  declare employerId: string
  declare invitedAt: Date
}

/** What an employer was asked to pay of a charge. */
export class PayerRequest extends Model<InferAttributes<PayerRequest>, InferCreationAttributes<PayerRequest>> {
  declare id: string
  declare chargeId: string
  declare employerId: string
  /** The charge while it waits for an answer: one at a time. */
  declare activeKey: CreationOptional<string | null>
  /** The keys of the lines it is about; all where none are named. */
  declare lines: CreationOptional<string[] | null>
  /** What it comes to; once taken over, what was, and less where a part of it went back. */
  declare amount: number
  declare tax: number
  declare orderNumber: string
  declare state: 'asked' | 'accepted' | 'declined' | 'withdrawn' | 'lapsed' | 'returned'
  declare askedAt: Date
  declare lapsesOn: string
  declare remindedAt: CreationOptional<Date | null>
  declare decidedAt: CreationOptional<Date | null>
  declare decidedBy: CreationOptional<string | null>
  declare reason: CreationOptional<string | null>
  declare invoiceId: CreationOptional<string | null>
}

export class EmployerInvoice extends Model<InferAttributes<EmployerInvoice>, InferCreationAttributes<EmployerInvoice>> {
  declare id: string
  declare employerId: string
  /** The month it is for, `2026-11`; nothing where each fee is invoiced by itself. */
  declare month: CreationOptional<string | null>
  declare currency: string
  declare reference: string
  declare total: number
  declare tax: number
  declare takenBack: CreationOptional<number>
  /** Below nothing where more was paid. */
  declare owed: number
  declare dueOn: string
  declare state: 'open' | 'settled'
  declare createdAt: Date
  declare settledAt: CreationOptional<Date | null>
  declare remindedAt: CreationOptional<Date | null>
}

export class EmployerPayment extends Model<InferAttributes<EmployerPayment>, InferCreationAttributes<EmployerPayment>> {
  declare id: string
  declare invoiceId: string
  declare means: 'transfer' | 'by hand'
  /** Below nothing where it was given back. */
  declare amount: number
  declare note: CreationOptional<string | null>
  declare notedBy: CreationOptional<string | null>
  declare paidOn: string
  declare transferId: CreationOptional<string | null>
  declare at: Date
}

export function defineEmployers(sequelize: Sequelize) {
  define(Employer, sequelize, 'employers', {
    ...{ id, name: text, code: text, street: text, postcode: text, town: text, receiptMail: text },
    ...{ findable: flag, orderNumberNeeded: flag, currency: text, limit: minor('limit', true), invoicing: text },
    ...{
      dueDays: whole,
      language: text,
      owes: { ...minor('owes'), defaultValue: 0 },
      closedAt: momentOrNull,
      version: whole,
    },
    createdAt: moment,
  })
  define(EmployerPerson, sequelize, 'employer_people', {
    accountId: id,
    employerId: uuid,
    invitedAt: moment,
  })
  define(PayerRequest, sequelize, 'payer_requests', {
    ...{ id, chargeId: uuid, employerId: uuid, activeKey: uuidOrNull, lines: jsonOrNull, amount: minor('amount') },
    ...{ tax: minor('tax'), orderNumber: text, state: text, askedAt: moment, lapsesOn: day, remindedAt: momentOrNull },
    ...{ decidedAt: momentOrNull, decidedBy: textOrNull, reason: longTextOrNull, invoiceId: uuidOrNull },
  })
  define(EmployerInvoice, sequelize, 'employer_invoices', {
    ...{ id, employerId: uuid, month: textOrNull, currency: text, reference: text, total: minor('total') },
    ...{ tax: minor('tax'), takenBack: { ...minor('takenBack'), defaultValue: 0 }, owed: minor('owed'), dueOn: day },
    ...{ state: text, createdAt: moment, settledAt: momentOrNull, remindedAt: momentOrNull },
  })
  define(EmployerPayment, sequelize, 'employer_payments', {
    ...{ id, invoiceId: uuid, means: text, amount: minor('amount'), note: textOrNull, notedBy: textOrNull },
    ...{ paidOn: day, transferId: uuidOrNull, at: moment },
  })
}

/** @throws Problem `not-found` */
export async function employerById(id: string): Promise<Employer> {
  const employer = await Employer.findByPk(id)
  if (!employer) throw notFound()
  return employer
}

/** Employers by their identifiers, for their names. */
export const employersById = async (ids: readonly string[]): Promise<Map<string, Employer>> =>
  new Map(
    ids.length === 0 ? [] : (await Employer.findAll({ where: { id: [...new Set(ids)] } })).map((one) => [one.id, one]),
  )

/** What employers were asked for charges, the oldest first. */
export const requestsOf = (chargeId: readonly string[]): Promise<PayerRequest[]> =>
  PayerRequest.findAll({ where: { chargeId: [...chargeId] }, order: ['askedAt', 'id'] })

/** The charges of which an employer has still to say whether it pays. */
export async function chargesAsked(chargeId: readonly string[]): Promise<Set<string>> {
  // Most applications cost nothing, and every page of one comes by here.
  if (chargeId.length === 0) return new Set()
  return new Set((await PayerRequest.findAll({ where: { activeKey: [...chargeId] } })).map((one) => one.chargeId))
}
