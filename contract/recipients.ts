import { type Static, Type } from '@sinclair/typebox'
import { deliveryWays } from '#core/recipients/delivery'
import type { Report as ReportContent } from '#core/report/report'
import { gates, rungs } from '#core/requirements/requirement'
import { languages } from '#core/words/say'
import { Mail } from './accounts'
import { SignatureShape } from './applications'
import { endpoint } from './endpoint'
import { Day, Done, Id, LinkToken, Moment, oneOf, orNull, Reason } from './shapes'
import { singleLine } from './singleLine'

const deliveryStates = ['open', 'link ended', 'ended', 'revoked', 'taken back'] as const
const permissionStates = ['holds', 'paper to come', 'ended', 'withdrawn'] as const

const DeliveryLine = Type.Object({
  id: Id,
  reportId: Id,
  reference: Type.String({ description: 'Of the report that was sent' }),
  way: oneOf(deliveryWays),
  state: oneOf(deliveryStates),
  because: Type.String({ description: 'Why it does not hold any more, where that is so' }),
  sentAt: Moment,
  sentBy: Type.String(),
  claims: Type.Array(Type.String(), { description: 'What it tells of' }),
  linkEndsAt: orNull(Moment),
  endsAt: Moment,
  openings: Type.Integer({ description: 'How often its link was opened' }),
  lastOpenedAt: orNull(Moment),
  savedAt: orNull(Moment),
})
export type DeliveryLine = Static<typeof DeliveryLine>

const PermissionLine = Type.Object({
  id: Id,
  recipient: Type.Object({ name: Type.String(), mail: Type.String(), language: oneOf(languages) }),
  purpose: Type.String(),
  claims: Type.Array(Type.String(), {
    description: 'What may be told of; of a body chosen in an application, what it needs',
  }),
  state: oneOf(permissionStates),
  given: oneOf(['portal', 'paper'] as const),
  fullName: Type.String({ description: 'As it was signed; empty where names are hidden' }),
  signedOn: Day,
  through: Day,
  inApplication: Type.Boolean({ description: 'For a body that was chosen in an application' }),
  hasPaper: Type.Boolean({ description: 'Whether what was signed can be opened' }),
  deliveries: Type.Array(DeliveryLine),
})
export type PermissionLine = Static<typeof PermissionLine>

const recipientStates = ['open', 'closed', 'undecided', 'to sign', 'being proven', 'ready', 'sent'] as const

/** A body that can be chosen in an application, and where it stands there. */
const ChosenRecipient = Type.Object({
  key: Type.String(),
  name: Type.String(),
  about: Type.String(),
  gate: oneOf(gates),
  chosen: Type.Boolean(),
  state: oneOf(recipientStates),
  because: Type.String({ description: 'Why it is not open' }),
  deciding: Type.Array(Type.String(), { description: 'What still has to be answered to know whether it is open' }),
  left: Type.Array(
    Type.Object({
      title: Type.String(),
      why: Type.String(),
      who: oneOf(['candidate', 'desk', 'source', 'employer', 'hiring manager'] as const),
    }),
    { description: 'What it still needs before it receives anything' },
  ),
  permission: orNull(Id),
  sent: orNull(DeliveryLine),
})
export type ChosenRecipient = Static<typeof ChosenRecipient>

const Recipients = Type.Object({
  chosen: Type.Array(ChosenRecipient, { description: 'The bodies of the application, where its vacancy has any' }),
  today: Day,
  claims: Type.Array(Type.Object({ id: Id, title: Type.String(), rung: oneOf(rungs) }), {
    description: 'What a body outside may be told of',
  }),
  permissions: Type.Array(PermissionLine),
})
export type Recipients = Static<typeof Recipients>

const WhomAndWhat = {
  recipient: Type.Object({
    name: Type.String({ minLength: 2, maxLength: 120, pattern: singleLine }),
    mail: Mail,
    language: oneOf(languages),
  }),
  purpose: Type.String({ minLength: 3, maxLength: 200, pattern: singleLine }),
  claims: Type.Array(Id, { minItems: 1, maxItems: 200, uniqueItems: true }),
  through: Day,
}

const How = Type.Object({
  way: oneOf(deliveryWays),
  linkEndsOn: Type.Optional(
    Type.String({ format: 'date', description: 'The last day of the link, where there is one' }),
  ),
})

const Own = Type.Object({ id: Id })
const AtDesk = Type.Object({ id: Id, permission: Id })

export const listOwnRecipients = endpoint({
  method: 'GET',
  path: '/api/my/recipients',
  summary: 'Whom one has allowed to be told what has been proven, and what each received',
  access: 'candidate',
  reply: Type.Omit(Recipients, ['chosen']),
  invalidates: ['status'],
})

export const permitRecipient = endpoint({
  method: 'POST',
  path: '/api/my/recipients',
  summary:
    'Allow one recipient to be told what has been proven of some claims, by signing, and have it sent at once where a way is given',
  access: 'candidate',
  body: Type.Object({ ...WhomAndWhat, ...SignatureShape, send: orNull(How) }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['status', 'desk'],
})

export const listChosenRecipients = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/recipients',
  summary:
    'The bodies that can be chosen in an application: open or not and why, allowed to be told, what each received',
  access: 'candidate',
  params: Own,
  reply: Type.Object({ recipients: Type.Array(ChosenRecipient) }),
  invalidates: ['draft', 'status'],
})

export const chooseRecipients = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/recipients',
  summary:
    'Choose bodies and allow each to be told, with one signature; more can be added later, and only what is new is asked then',
  access: 'candidate',
  params: Own,
  body: Type.Object({
    choose: Type.Array(Type.String({ maxLength: 60 }), { minItems: 1, maxItems: 30, uniqueItems: true }),
    ...SignatureShape,
  }),
  reply: Done,
  idempotent: true,
  invalidates: ['draft', 'status', 'desk'],
})

export const sendOwnRecord = endpoint({
  method: 'POST',
  path: '/api/my/recipients/:id/send',
  summary: 'Send a recipient what is proven today, by a permission that holds',
  access: 'candidate',
  params: Own,
  body: How,
  reply: Done,
  idempotent: true,
  invalidates: ['status', 'desk'],
})

export const withdrawRecipient = endpoint({
  method: 'POST',
  path: '/api/my/recipients/:id/withdraw',
  summary: 'Withdraw the permission for a recipient: nothing more is sent, and what was sent is taken back',
  access: 'candidate',
  params: Own,
  reply: Done,
  idempotent: true,
  invalidates: ['status', 'desk'],
})

export const takeBackOwnRecord = endpoint({
  method: 'POST',
  path: '/api/my/deliveries/:id/take-back',
  summary:
    'Take back what a recipient received: its link closes, and whoever checks the report learns that it does not hold',
  access: 'candidate',
  params: Own,
  reply: Done,
  idempotent: true,
  invalidates: ['status', 'desk'],
})

export const readOwnRecipientPermission = endpoint({
  method: 'GET',
  path: '/api/my/recipients/:id/permission.pdf',
  summary: 'The permission for a recipient as it was signed',
  access: 'candidate',
  params: Own,
  reply: Type.Any(),
  file: true,
})

export const listRecipients = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/recipients',
  summary: 'Whom the person of an application has allowed to be told what has been proven, and what each received',
  access: 'reports.make',
  params: Own,
  reply: Recipients,
  invalidates: ['desk'],
})

export const noteRecipientPermission = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/recipients',
  summary: 'Note a permission that came on paper; it holds once what was signed is added',
  access: 'reports.send',
  params: Own,
  body: Type.Object({ ...WhomAndWhat, fullName: Type.String({ minLength: 3, maxLength: 120 }), signedOn: Day }),
  reply: Type.Object({ id: Id }),
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const addRecipientPaper = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/recipients/:permission/paper',
  summary: 'Add the signed paper of a permission: PDF, JPEG or PNG',
  access: 'reports.send',
  params: AtDesk,
  body: Type.Any(),
  bytes: true,
  reply: Done,
  invalidates: ['desk', 'status'],
})

export const sendRecord = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/recipients/:permission/send',
  summary: 'Send a recipient what is proven today, by a permission that is on file and holds',
  access: 'reports.send',
  params: AtDesk,
  body: How,
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const endRecipientPermission = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/recipients/:permission/withdraw',
  summary:
    'Note that the person has withdrawn a permission: nothing more is sent by it, and what was sent is taken back',
  access: 'reports.send',
  params: AtDesk,
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const takeBackRecord = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/deliveries/:delivery/take-back',
  summary: 'Take back what a recipient received, with the reason',
  access: 'reports.send',
  params: Type.Object({ id: Id, delivery: Id }),
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const readRecipientPermission = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/recipients/:permission/permission.pdf',
  summary: 'The permission for a recipient as it was signed',
  access: 'reports.make',
  params: AtDesk,
  reply: Type.Any(),
  file: true,
})

export const SharedRecord = Type.Object({
  state: oneOf(deliveryStates),
  because: Type.String({ description: 'Why it does not hold any more' }),
  from: Type.String({ description: 'Who has made it' }),
  to: Type.String(),
  linkEndsAt: orNull(Moment),
  endsAt: Moment,
  report: orNull(Type.Unsafe<ReportContent>(Type.Object({}))),
})
export type SharedRecord = Static<typeof SharedRecord>

export const sharedForms = ['pdf', 'jwt', 'json'] as const

export const openSharedRecord = endpoint({
  method: 'GET',
  path: '/api/shared-records/:token',
  summary: 'Open what has been proven of somebody by the link that was sent; that it was opened is noted',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  reply: SharedRecord,
  tries: { most: 60, seconds: 3600 },
})

export const readSharedRecord = endpoint({
  method: 'GET',
  path: '/api/shared-records/:token/:form',
  summary: 'The same to keep, as PDF, as a credential or as JSON; that it was saved is noted',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken, form: oneOf(sharedForms) }),
  reply: Type.Any(),
  file: true,
  tries: { most: 30, seconds: 3600 },
})
