import { type Static, Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Key } from './ruleShapes'
import { AmountToPay, Day, Done, Id, Minor, Moment, oneOf, orNull } from './shapes'
import { singleLine } from './singleLine'

const byId = Type.Object({ id: Id })

const VoucherLine = Type.Object({
  id: Id,
  batch: Type.String(),
  ending: Type.String({ description: 'The last characters of the code; the rest is known to nobody here' }),
  amount: orNull(Minor),
  basisPoints: orNull(Type.Integer()),
  currency: orNull(Type.String()),
  lines: orNull(Type.Array(Type.String())),
  through: Day,
  state: oneOf(['open', 'used', 'over', 'withdrawn'] as const),
  madeBy: Type.String(),
  usedAt: orNull(Moment),
})
export type VoucherLine = Static<typeof VoucherLine>

export const listVouchers = endpoint({
  method: 'GET',
  path: '/api/desk/vouchers',
  summary: 'Vouchers that were made, the newest first',
  access: 'money.see',
  query: Type.Object({ after: Type.Optional(Type.String({ maxLength: 60 })) }),
  reply: Type.Object({ vouchers: Type.Array(VoucherLine), next: orNull(Type.String()) }),
  invalidates: ['desk'],
})

export const makeVouchers = endpoint({
  method: 'POST',
  path: '/api/desk/vouchers',
  summary: 'Make vouchers in bulk. Their codes are given once and kept as hashes',
  access: 'money.record',
  passwordAgain: true,
  body: Type.Object({
    batch: Type.String({ minLength: 2, maxLength: 120, pattern: singleLine }),
    count: Type.Integer({ minimum: 1, maximum: 500 }),
    worth: Type.Union([
      Type.Object({ amount: AmountToPay, currency: Type.String({ pattern: '^[A-Z]{3}$' }) }),
      Type.Object({ basisPoints: Type.Integer({ minimum: 1, maximum: 10_000 }) }),
    ]),
    lines: orNull(Type.Array(Key, { minItems: 1, maxItems: 30, uniqueItems: true })),
    through: Day,
  }),
  reply: Type.Object({ codes: Type.Array(Type.String()) }),
  invalidates: ['desk'],
})

export const withdrawVoucher = endpoint({
  method: 'POST',
  path: '/api/desk/vouchers/:id/withdraw',
  summary: 'Withdraw a voucher that was not used',
  access: 'money.record',
  params: byId,
  reply: Done,
  invalidates: ['desk'],
})
