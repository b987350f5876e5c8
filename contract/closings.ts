import { type Static, Type } from '@sinclair/typebox'
import { type BookkeepingMapping, bookkeepingFields } from '#core/money/bookkeeping'
import type { ClosingDifference } from '#core/money/closing'
import { accounts } from '#core/money/ledger'
import { endpoint } from './endpoint'
import { Day, Done, listOfCore, Minor, Moment, oneOf, orNull, Reason, Version } from './shapes'
import { singleLine } from './singleLine'

/** `differs`: somebody has to look; `settled`: somebody has, and said why. */
export const closingStates = ['agreed', 'differs', 'settled', 'no report'] as const

const Closing = Type.Object({
  day: Day,
  state: oneOf(closingStates),
  /** What is booked that the provider has, by currency, minor units. */
  card: Type.Array(Type.Object({ currency: Type.String(), amount: Minor })),
  agreed: Type.Integer(),
  differences: listOfCore<ClosingDifference & { charge: string | null }>(),
  closedAt: Moment,
  reason: orNull(Type.String()),
  settledBy: orNull(Type.String()),
})
export type ClosingLine = Static<typeof Closing>

const Month = Type.Object({
  month: Type.String(),
  currency: Type.String(),
  charged: Minor,
  tax: Minor,
  paid: Minor,
  vouchers: Minor,
  waived: Minor,
  employers: Type.Integer({ description: 'What employers owe more or less than the month before' }),
})

export const listClosings = endpoint({
  method: 'GET',
  path: '/api/desk/closings',
  summary: 'Days that were closed against the provider’s report, and what each month came to',
  access: 'money.see',
  query: Type.Object({ after: Type.Optional(Day) }),
  reply: Type.Object({ closings: Type.Array(Closing), months: Type.Array(Month), next: orNull(Day), today: Day }),
  invalidates: ['desk'],
})

export const closeDay = endpoint({
  method: 'POST',
  path: '/api/desk/closings/:day/run',
  summary: 'Close a day that has passed, or close it again: our books against the provider’s report',
  access: 'money.record',
  params: Type.Object({ day: Day }),
  reply: Done,
  invalidates: ['desk'],
})

export const settleClosing = endpoint({
  method: 'POST',
  path: '/api/desk/closings/:day/settle',
  summary: 'Say why a day does not agree with the provider’s report, and leave it so',
  access: 'money.record',
  passwordAgain: true,
  params: Type.Object({ day: Day }),
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

const Heading = Type.String({ minLength: 1, maxLength: 60, pattern: singleLine })
const Mapping = Type.Unsafe<BookkeepingMapping>(
  Type.Object({
    columns: Type.Array(Type.Object({ heading: Heading, field: oneOf(bookkeepingFields) }), {
      minItems: 1,
      maxItems: 20,
    }),
    accounts: Type.Object(
      Object.fromEntries(
        accounts.map((account) => [account, Type.String({ minLength: 1, maxLength: 20, pattern: singleLine })]),
      ),
    ),
    separator: oneOf([',', ';'] as const),
    decimal: oneOf(['.', ','] as const),
    day: oneOf(['YYYY-MM-DD', 'DD.MM.YYYY'] as const),
  }),
)

export const readBookkeeping = endpoint({
  method: 'GET',
  path: '/api/desk/postings/mapping',
  summary: 'How postings are written for bookkeeping: columns, accounts and signs',
  access: 'money.see',
  reply: Type.Object({ mapping: Mapping, version: Version }),
  invalidates: ['desk'],
})

export const saveBookkeeping = endpoint({
  method: 'PUT',
  path: '/api/desk/postings/mapping',
  summary: 'Change how postings are written for bookkeeping',
  access: 'money.record',
  body: Type.Object({ mapping: Mapping, version: Version }),
  reply: Type.Object({ version: Version }),
  invalidates: ['desk'],
})

export const exportBookkeeping = endpoint({
  method: 'GET',
  path: '/api/desk/postings/postings.csv',
  summary: 'Every posting of some days as CSV, by the mapping',
  access: 'money.see',
  query: Type.Object({ from: Day, through: Day }),
  reply: Type.Any(),
  file: true,
})
