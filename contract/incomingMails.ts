import { Type } from '@sinclair/typebox'
import { incomingKinds } from '#core/messages/incoming'
import { endpoint } from './endpoint'
import { Done, Id, Moment, oneOf, orNull, ShortText } from './shapes'

const byId = Type.Object({ id: Id })

const Line = {
  id: Id,
  from: Type.String(),
  subject: Type.String(),
  text: Type.String(),
  encloses: Type.Array(Type.String({ description: 'The files themselves lie in the paper tray' })),
  kind: oneOf(incomingKinds),
  state: oneOf(['waiting', 'settled'] as const),
  receivedAt: Moment,
}

export const listIncomingMails = endpoint({
  method: 'GET',
  path: '/api/desk/incoming-mails',
  summary: 'Mails that came in and wait for somebody, the oldest first',
  access: 'tray.work',
  reply: Type.Array(Type.Object({ ...Line, application: orNull(Type.Object({ id: Id, reference: Type.String() })) })),
  invalidates: ['desk'],
})

export const readMailsAbout = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/incoming-mails',
  summary: 'Mails that came in about an application, newest first',
  access: 'files.read',
  params: byId,
  reply: Type.Array(Type.Object(Line)),
  invalidates: ['desk'],
})

export const settleIncomingMail = endpoint({
  method: 'POST',
  path: '/api/desk/incoming-mails/:id/settle',
  summary: 'Settle a mail that came in: it was answered, or needs nothing',
  access: 'tray.work',
  params: byId,
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const fileIncomingMail = endpoint({
  method: 'PUT',
  path: '/api/desk/incoming-mails/:id/application',
  summary: 'Say to which application a mail that came in belongs, by its reference',
  access: 'tray.work',
  params: byId,
  body: Type.Object({ reference: ShortText }),
  reply: Done,
  invalidates: ['desk'],
})
