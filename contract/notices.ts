import { type Static, Type } from '@sinclair/typebox'
import { noticeChannels } from '#core/messages/notices'
import { endpoint } from './endpoint'
import { Done, Id, oneOf, orNull, Version } from './shapes'

const Channels = Type.Array(oneOf(noticeChannels), { uniqueItems: true })
const ChannelsByKind = Type.Object({ progress: Channels, 'to do': Channels, answers: Channels, general: Channels })

const NoticeChoice = Type.Object({
  channels: ChannelsByKind,
  phone: orNull(Type.String({ description: 'The number that was confirmed, E.164' })),
  waitingFor: orNull(Type.String({ description: 'The number a code was sent to that was not typed yet' })),
  noPassingOn: Type.Boolean({ description: 'Nothing of them is passed on to others beyond what an application needs' }),
  version: Version,
})
export type NoticeChoice = Static<typeof NoticeChoice>

export const readNoticeChoice = endpoint({
  method: 'GET',
  path: '/api/my/notices',
  summary: 'By which channel one is told of what, and what one has refused',
  access: 'candidate',
  reply: NoticeChoice,
  invalidates: ['session'],
})

export const saveNoticeChoice = endpoint({
  method: 'PUT',
  path: '/api/my/notices',
  summary: 'Choose by which channel one is told of what; what is about an application goes by at least one',
  access: 'candidate',
  body: Type.Object({ channels: ChannelsByKind, noPassingOn: Type.Boolean(), version: Version }),
  reply: Type.Object({ version: Version }),
  invalidates: ['session'],
})

export const sendPhoneCode = endpoint({
  method: 'POST',
  path: '/api/my/notices/phone-codes',
  summary: 'Send a code to a number, so that it is known to be one’s own',
  access: 'candidate',
  body: Type.Object({ phone: Type.String({ minLength: 3, maxLength: 40 }) }),
  reply: Type.Object({ phone: Type.String({ description: 'The number as it is rung, E.164' }) }),
  invalidates: ['session'],
})

export const confirmPhone = endpoint({
  method: 'POST',
  path: '/api/my/notices/phone-codes/confirm',
  summary: 'Confirm the number with the code that was sent to it',
  access: 'candidate',
  body: Type.Object({ code: Type.String({ maxLength: 20 }) }),
  reply: Done,
  invalidates: ['session'],
})

export const removePhone = endpoint({
  method: 'DELETE',
  path: '/api/my/notices/phone',
  summary: 'Remove the number; what went there goes by mail again',
  access: 'candidate',
  reply: Done,
  invalidates: ['session'],
})

export const stopGeneralMail = endpoint({
  method: 'POST',
  path: '/api/notices/:token/stop',
  summary: 'Refuse general mailings, from the link below one (RFC 8058)',
  access: 'bearer-of-link',
  params: Type.Object({ token: Type.String({ minLength: 20, maxLength: 200 }) }),
  body: Type.Object({}),
  reply: Done,
})

export const readNoticesOf = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/notices',
  summary: 'By which channel somebody is told of what, and what they have refused',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  reply: Type.Pick(NoticeChoice, ['channels', 'phone', 'noPassingOn']),
  invalidates: ['desk'],
})
