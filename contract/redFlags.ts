import { type Static, Type } from '@sinclair/typebox'
import type { Place } from '#core/reading/paperText'
import { flagKinds, settleOutcomes } from '#core/redFlags/redFlag'
import { endpoint } from './endpoint'
import { Done, Id, Moment, ofCore, oneOf, orNull, Reason, Version } from './shapes'

/** A pattern worth a look, with what it rests on and where that is to be seen. */
export const FlagLine = Type.Object({
  id: Id,
  version: Version,
  kind: oneOf(flagKinds),
  state: oneOf(['open', 'upheld', 'dismissed'] as const),
  says: Type.String(),
  raisedAt: Moment,
  claimId: orNull(Id),
  documentId: orNull(Id),
  place: orNull(ofCore<Place>(Type.Object({}))),
  enquiryId: orNull(Id),
  other: orNull(
    Type.Object({
      name: Type.String(),
      /** Where it is to be looked at; nothing where its reader sees no application of theirs. */
      applicationId: orNull(Id),
      claimId: orNull(Id),
    }),
  ),
  settled: orNull(
    Type.Object({ by: Type.String(), at: Moment, outcome: oneOf(settleOutcomes), reason: Type.String() }),
  ),
})
export type FlagLine = Static<typeof FlagLine>

const QueuedFlag = Type.Intersect([
  FlagLine,
  Type.Object({
    name: Type.String(),
    applicationId: Id,
    reference: orNull(Type.String()),
    slack: orNull(Type.Integer({ description: 'Days' })),
  }),
])
export type QueuedFlag = Static<typeof QueuedFlag>

export const listRedFlags = endpoint({
  method: 'GET',
  path: '/api/desk/red-flags',
  summary: 'Red flags that nobody has settled, of the people with least slack first',
  access: 'flags.settle',
  query: Type.Object({ after: Type.Optional(Type.String({ pattern: '^-?\\d{1,9}_[0-9a-f-]{36}$' })) }),
  reply: Type.Object({ flags: Type.Array(QueuedFlag), next: orNull(Type.String()) }),
  invalidates: ['desk'],
})

export const settleRedFlag = endpoint({
  method: 'POST',
  path: '/api/desk/red-flags/:id/settle',
  summary: 'Uphold or dismiss a red flag, or look at it again, with the reason. Nothing is refused by it',
  access: 'flags.settle',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, outcome: oneOf(settleOutcomes), reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const countRedFlags = endpoint({
  method: 'GET',
  path: '/api/desk/red-flag-kinds',
  summary: 'How often each kind of red flag was upheld or dismissed, and which are switched off',
  access: 'flags.settle',
  reply: Type.Object({
    version: Version,
    kinds: Type.Array(
      Type.Object({
        kind: oneOf(flagKinds),
        open: Type.Integer(),
        upheld: Type.Integer(),
        dismissed: Type.Integer(),
        mostlyWrong: Type.Boolean(),
        off: orNull(Type.Object({ by: Type.String(), at: Moment, reason: Type.String() })),
      }),
    ),
  }),
  invalidates: ['desk'],
})

export const switchRedFlagKind = endpoint({
  method: 'PUT',
  path: '/api/desk/red-flag-kinds/:kind',
  summary: 'Switch a kind of red flag off, or on again, with the reason',
  access: 'organisation.keep',
  params: Type.Object({ kind: oneOf(flagKinds) }),
  body: Type.Object({ version: Version, on: Type.Boolean(), reason: Reason }),
  reply: Type.Object({ version: Version }),
  invalidates: ['desk'],
})
