import { type Static, Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { AmountToPay, Day, Done, Id, Minor, oneOf, orNull, Reason } from './shapes'

/** What a transfer pays: what somebody was charged, or an invoice to an employer. */
export const payableKinds = ['charge', 'employer invoice'] as const

export const transferStates = ['to look at', 'booked', 'set aside'] as const

const TransferLine = Type.Object({
  id: Id,
  bookedOn: Day,
  amount: Minor,
  currency: Type.String(),
  payer: Type.String(),
  reference: Type.String(),
  text: Type.String(),
  state: oneOf(transferStates),
  reason: orNull(Type.String()),
  proposed: Type.Array(Type.Object({ pays: Id, kind: oneOf(payableKinds), name: Type.String(), owed: Minor }), {
    description: 'What it may pay, by amount and name',
  }),
})
export type TransferLine = Static<typeof TransferLine>

export const listTransfers = endpoint({
  method: 'GET',
  path: '/api/desk/transfers',
  summary: 'Transfers of bank statements: to look at, booked, or set aside; the newest first',
  access: 'money.see',
  query: Type.Object({ state: oneOf(transferStates), after: Type.Optional(Type.String({ maxLength: 60 })) }),
  reply: Type.Object({
    transfers: Type.Array(TransferLine),
    waiting: Type.Integer(),
    next: orNull(Type.String()),
  }),
  invalidates: ['desk'],
})

export const takeStatement = endpoint({
  method: 'POST',
  path: '/api/desk/transfers',
  summary:
    'Take a statement of the bank, camt.053 or CSV: what names a reference of ours is booked, the rest waits. A broken one is refused and changes nothing',
  access: 'money.record',
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({
    booked: Type.Integer(),
    toLookAt: Type.Integer(),
    known: Type.Integer({ description: 'Taken before' }),
    passedOver: Type.Integer({ description: 'What went out or is not booked yet' }),
  }),
  invalidates: ['desk', 'status'],
})

const byTransfer = Type.Object({ id: Id })

export const assignTransfer = endpoint({
  method: 'POST',
  path: '/api/desk/transfers/:id/assign',
  summary: 'Lay a transfer with the fees it pays, one or several, to its last cent',
  access: 'money.record',
  params: byTransfer,
  body: Type.Object({
    parts: Type.Array(Type.Object({ pays: Id, amount: AmountToPay }), { minItems: 1, maxItems: 20 }),
  }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const setTransferAside = endpoint({
  method: 'POST',
  path: '/api/desk/transfers/:id/set-aside',
  summary: 'Set a transfer aside that pays nothing of ours, with the reason',
  access: 'money.record',
  params: byTransfer,
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
