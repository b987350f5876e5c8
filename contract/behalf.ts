import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Done, Id, LinkToken, Moment, oneOf, orNull } from './shapes'

export const waysToTell = ['on paper', 'by phone'] as const

const byId = Type.Object({ id: Id })
const how = oneOf(waysToTell)

export const beginFor = endpoint({
  method: 'POST',
  path: '/api/desk/behalf',
  summary:
    'Begin an application for somebody who wrote on paper or rang. Whoever has an account is mailed the way to it and writes it themselves',
  access: 'people.write-for',
  body: Type.Object({
    slug: Type.String({ minLength: 1, maxLength: 200 }),
    givenNames: Type.String({ minLength: 1, maxLength: 120 }),
    familyName: Type.String({ minLength: 1, maxLength: 120 }),
    mail: Type.String({ format: 'email', maxLength: 200 }),
    language: oneOf(['en', 'de']),
    how,
  }),
  reply: Type.Object({ id: Id, theirs: Type.Boolean({ description: 'They have an account and write it themselves' }) }),
  idempotent: true,
  invalidates: ['behalf'],
})

export const listBehalf = endpoint({
  method: 'GET',
  path: '/api/desk/behalf',
  summary: 'Applications begun for somebody that are not sent yet, the longest waiting first',
  access: 'people.write-for',
  reply: Type.Array(
    Type.Object({
      id: Id,
      name: Type.String(),
      mail: Type.String(),
      title: Type.String(),
      closesAt: Moment,
      timeZone: Type.String(),
      how,
      by: Type.String(),
      at: Moment,
      askedAt: orNull(Moment),
      confirmedAt: orNull(Moment),
      theirs: Type.Boolean({ description: 'Only they can write in it' }),
    }),
  ),
  invalidates: ['behalf', 'draft'],
})

export const askToTakeOver = endpoint({
  method: 'POST',
  path: '/api/desk/behalf/:id/ask',
  summary: 'Mail the candidate a link to take the application over, read it through, sign it and send it',
  access: 'people.write-for',
  params: byId,
  reply: Done,
  invalidates: ['behalf'],
})

export const setAsideBehalf = endpoint({
  method: 'DELETE',
  path: '/api/desk/behalf/:id',
  summary: 'Forget what was taken down for somebody who does not want it, before they have taken it over',
  access: 'people.write-for',
  params: byId,
  reply: Done,
  invalidates: ['behalf'],
})

export const readTakenDown = endpoint({
  method: 'GET',
  path: '/api/behalf/:token',
  summary: 'What a link to take an application over is about',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  reply: Type.Object({
    name: Type.String(),
    mail: Type.String(),
    title: Type.String(),
    how,
    by: Type.String(),
    at: Moment,
    answers: Type.Integer({ description: 'How many questions are answered' }),
    claims: Type.Integer(),
  }),
})

export const takeOverBehalf = endpoint({
  method: 'POST',
  path: '/api/behalf/:token',
  summary: 'Take an application over with a password of one’s own, and sign in. The desk writes no more in it',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  body: Type.Object({ password: Type.String({ minLength: 1, maxLength: 200 }) }),
  reply: Type.Object({ id: Id }),
  invalidates: ['session'],
})
