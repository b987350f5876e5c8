import { type Static, Type } from '@sinclair/typebox'
import { Mail } from './accounts'
import { endpoint } from './endpoint'
import { feeDocumentKinds, payerRequestStates } from './fees'
import { Key } from './ruleShapes'
import { AmountToPay, Day, Done, Id, Minor, Moment, oneOf, orNull, Reason, ShortText, Version } from './shapes'
import { singleLine } from './singleLine'

const Name = Type.String({ minLength: 2, maxLength: 160, pattern: singleLine })
const OrderNumber = Type.String({ maxLength: 40, pattern: singleLine })
const byId = Type.Object({ id: Id })

/** One invoice for each fee that is taken over, or one a month for all of them. */
export const invoicings = ['each', 'monthly'] as const
export const employerInvoiceStates = ['open', 'settled'] as const

/** What an employer says of itself; what is agreed with it is said at the desk. */
const ownDetails = {
  street: ShortText,
  postcode: Type.String({ maxLength: 20, pattern: singleLine }),
  town: ShortText,
  receiptMail: Type.Union([Mail, Type.Literal('')], {
    description: 'A second address that gets every invoice and receipt',
  }),
  findable: Type.Boolean({ description: 'Candidates find it by its name; otherwise only by its code' }),
  orderNumberNeeded: Type.Boolean(),
}
const OwnDetails = Type.Object(ownDetails)
export type OwnEmployerDetails = Static<typeof OwnDetails>

const agreed = {
  name: Name,
  currency: Type.String({ pattern: '^[A-Z]{3}$', description: 'What it is invoiced in, ISO 4217' }),
  limit: orNull(AmountToPay),
  invoicing: oneOf(invoicings),
  dueDays: Type.Integer({ minimum: 0, maximum: 120 }),
  language: oneOf(['en', 'de'] as const),
}
const EmployerTerms = Type.Object({ ...agreed, ...ownDetails })
export type EmployerTerms = Static<typeof EmployerTerms>

const Person = Type.Object({
  id: Id,
  name: Type.String(),
  mail: Type.String(),
  state: oneOf(['invited', 'active'] as const),
})

const Employer = Type.Object({
  id: Id,
  code: Type.String({ description: 'By which a candidate names it' }),
  version: Version,
  terms: EmployerTerms,
  owes: Type.Integer({ description: 'What it took over and has not paid, minor units' }),
  closed: Type.Boolean(),
  people: Type.Array(Person),
})
export type EmployerView = Static<typeof Employer>

const PayerRequest = Type.Object({
  id: Id,
  employer: Id,
  name: Type.String({ description: 'Who asks' }),
  reference: Type.String(),
  vacancy: Type.String(),
  fee: Type.String(),
  lines: Type.Array(Type.Object({ title: Type.String(), amount: Minor })),
  amount: Minor,
  currency: Type.String(),
  orderNumber: Type.String(),
  state: oneOf(payerRequestStates),
  askedAt: Moment,
  lapsesOn: Day,
  decidedAt: orNull(Moment),
  decidedBy: orNull(Type.String()),
  reason: orNull(Type.String()),
})
export type PayerRequestLine = Static<typeof PayerRequest>

const EmployerInvoice = Type.Object({
  id: Id,
  employer: Id,
  name: Type.String(),
  number: Type.String(),
  month: orNull(Type.String()),
  currency: Type.String(),
  total: Minor,
  owed: Minor,
  dueOn: Day,
  late: Type.Boolean(),
  state: oneOf(employerInvoiceStates),
  reference: Type.String({ description: 'Creditor reference, ISO 11649' }),
  documents: Type.Array(
    Type.Object({ id: Id, kind: oneOf(feeDocumentKinds), number: Type.String(), issuedAt: Moment }),
  ),
})
export type EmployerInvoiceLine = Static<typeof EmployerInvoice>

// Candidates

export const findEmployers = endpoint({
  method: 'GET',
  path: '/api/my/employers',
  summary:
    'Employers who can be asked to pay: by a part of the name, where they let themselves be found, or by their whole code',
  access: 'candidate',
  query: Type.Object({ text: Type.String({ minLength: 3, maxLength: 80 }) }),
  reply: Type.Object({ employers: Type.Array(Type.Object({ id: Id, name: Type.String(), town: Type.String() })) }),
  invalidates: [],
})

export const askEmployer = endpoint({
  method: 'POST',
  path: '/api/my/charges/:id/requests',
  summary: 'Ask an employer to pay what is owed, or some of its lines',
  access: 'candidate',
  params: byId,
  body: Type.Object({
    employer: Id,
    code: Type.Optional(Type.String({ maxLength: 20 })),
    lines: orNull(Type.Array(Key, { minItems: 1, maxItems: 30, uniqueItems: true })),
    orderNumber: OrderNumber,
  }),
  reply: Done,
  idempotent: true,
  invalidates: ['status'],
})

export const takeRequestBack = endpoint({
  method: 'POST',
  path: '/api/my/charges/:id/requests/:request/withdraw',
  summary: 'Take back what an employer was asked and has not answered',
  access: 'candidate',
  params: Type.Object({ id: Id, request: Id }),
  reply: Done,
  invalidates: ['status'],
})

// Employers

export const readOwnEmployer = endpoint({
  method: 'GET',
  path: '/api/employer/organisation',
  summary: 'The organisation account somebody belongs to: its details, its people, what it owes',
  access: 'employer',
  reply: Employer,
  invalidates: ['organisation'],
})

export const saveOwnEmployer = endpoint({
  method: 'PATCH',
  path: '/api/employer/organisation',
  summary: 'Change where invoices go, who gets them, and whether candidates find it by name',
  access: 'employer',
  body: Type.Object({ version: Version, details: OwnDetails }),
  reply: Type.Object({ version: Version }),
  invalidates: ['organisation'],
})

export const renewEmployerCode = endpoint({
  method: 'POST',
  path: '/api/employer/organisation/renew',
  summary: 'Give the organisation account another code; the one before finds it no more',
  access: 'employer',
  reply: Done,
  invalidates: ['organisation'],
})

const NewPerson = Type.Object({ name: Name, mail: Mail })

export const inviteOwnPerson = endpoint({
  method: 'POST',
  path: '/api/employer/people',
  summary: 'Invite somebody who may decide for the employer; a link is mailed by which they choose a password',
  access: 'employer',
  body: NewPerson,
  reply: Done,
  idempotent: true,
  invalidates: ['organisation'],
})

export const removeOwnPerson = endpoint({
  method: 'DELETE',
  path: '/api/employer/people/:id',
  summary: 'Let somebody decide for the employer no more; the last one stays',
  access: 'employer',
  params: byId,
  reply: Done,
  invalidates: ['organisation'],
})

export const requestStates = ['asked', 'decided'] as const

export const listPayerRequests = endpoint({
  method: 'GET',
  path: '/api/employer/requests',
  summary: 'What the employer was asked to pay: what waits for an answer, or what was decided, the newest first',
  access: 'employer',
  query: Type.Object({ state: oneOf(requestStates), after: Type.Optional(Type.String({ maxLength: 60 })) }),
  reply: Type.Object({ requests: Type.Array(PayerRequest), waiting: Type.Integer(), next: orNull(Type.String()) }),
  invalidates: ['organisation'],
})

export const decidePayerRequest = endpoint({
  method: 'POST',
  path: '/api/employer/requests/:id',
  summary: 'Take over what was asked, or decline it with the reason',
  access: 'employer',
  params: byId,
  body: Type.Union([
    Type.Object({ accepted: Type.Literal(true), orderNumber: OrderNumber }),
    Type.Object({ accepted: Type.Literal(false), reason: Reason }),
  ]),
  reply: Done,
  idempotent: true,
  invalidates: ['organisation'],
})

export const listOwnInvoices = endpoint({
  method: 'GET',
  path: '/api/employer/invoices',
  summary: 'Invoices to the employer with their receipts, the newest first',
  access: 'employer',
  reply: Type.Object({ invoices: Type.Array(EmployerInvoice) }),
  invalidates: ['organisation'],
})

export const readOwnInvoiceDocument = endpoint({
  method: 'GET',
  path: '/api/employer/invoices/:id/documents/:document',
  summary: 'An invoice, a receipt or a credit note as PDF',
  access: 'employer',
  params: Type.Object({ id: Id, document: Id }),
  reply: Type.Any(),
  file: true,
})

// The desk

export const listEmployers = endpoint({
  method: 'GET',
  path: '/api/desk/employers',
  summary: 'Employers who pay for their people, by name, with what they owe',
  access: 'money.see',
  reply: Type.Object({
    employers: Type.Array(
      Type.Object({
        id: Id,
        name: Type.String(),
        town: Type.String(),
        currency: Type.String(),
        owes: Minor,
        limit: orNull(Minor),
        late: Type.Integer({ description: 'Invoices that are late' }),
        asked: Type.Integer({ description: 'Requests without an answer' }),
        closed: Type.Boolean(),
      }),
    ),
  }),
  invalidates: ['desk'],
})

export const addEmployer = endpoint({
  method: 'POST',
  path: '/api/desk/employers',
  summary: 'Open an organisation account for an employer, with the first person who decides for it',
  access: 'money.record',
  passwordAgain: true,
  body: Type.Object({ terms: EmployerTerms, person: NewPerson }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['desk'],
})

export const readEmployer = endpoint({
  method: 'GET',
  path: '/api/desk/employers/:id',
  summary: 'One employer: what is agreed, its people, what it was asked, its invoices',
  access: 'money.see',
  params: byId,
  reply: Type.Intersect([
    Employer,
    Type.Object({ requests: Type.Array(PayerRequest), invoices: Type.Array(EmployerInvoice), today: Day }),
  ]),
  invalidates: ['desk'],
})
export type EmployerDetail = Static<typeof readEmployer.reply>

export const changeEmployer = endpoint({
  method: 'PATCH',
  path: '/api/desk/employers/:id',
  summary: 'Change what is agreed with an employer, or close its account: then nobody asks it any more',
  access: 'money.record',
  passwordAgain: true,
  params: byId,
  body: Type.Object({ version: Version, terms: EmployerTerms, closed: Type.Boolean() }),
  reply: Type.Object({ version: Version }),
  invalidates: ['desk'],
})

export const invitePerson = endpoint({
  method: 'POST',
  path: '/api/desk/employers/:id/people',
  summary: 'Invite somebody who may decide for an employer',
  access: 'money.record',
  passwordAgain: true,
  params: byId,
  body: NewPerson,
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const returnToCandidate = endpoint({
  method: 'POST',
  path: '/api/desk/payer-requests/:id/return',
  summary: 'Change who pays: what an employer took over and has not paid goes back to the candidate, with the reason',
  access: 'money.record',
  passwordAgain: true,
  params: byId,
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const listEmployerInvoices = endpoint({
  method: 'GET',
  path: '/api/desk/employer-invoices',
  summary: 'Open invoices to employers, found by name, number or reference',
  access: 'money.see',
  query: Type.Object({ text: Type.String({ minLength: 3, maxLength: 80 }) }),
  reply: Type.Object({ invoices: Type.Array(EmployerInvoice) }),
  invalidates: ['desk'],
})

export const recordInvoicePayment = endpoint({
  method: 'POST',
  path: '/api/desk/employer-invoices/:id/payments',
  summary:
    'Note that an employer paid otherwise than by a transfer that was read, or that what it paid too much was given back',
  access: 'money.record',
  passwordAgain: true,
  params: byId,
  body: Type.Object({ amount: AmountToPay, receivedOn: Day, note: ShortText, givenBack: Type.Boolean() }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const readInvoiceDocument = endpoint({
  method: 'GET',
  path: '/api/desk/employer-invoices/:id/documents/:document',
  summary: 'A paper to an employer as PDF',
  access: 'money.see',
  params: Type.Object({ id: Id, document: Id }),
  reply: Type.Any(),
  file: true,
})
