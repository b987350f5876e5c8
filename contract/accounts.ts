import { Type } from '@sinclair/typebox'
import { endpoint, roles } from './endpoint'
import { Done, Id, LinkToken, oneOf, orNull } from './shapes'

export const Mail = Type.String({ format: 'email', maxLength: 200 })
const Password = Type.String({ minLength: 12, maxLength: 200 })

const Session = Type.Object({
  csrf: Type.String(),
  account: orNull(Type.Object({ id: Id, name: Type.String(), mail: Type.String(), roles: Type.Array(oneOf(roles)) })),
  demo: Type.Boolean(),
})

export const readSession = endpoint({
  method: 'GET',
  path: '/api/session',
  summary: 'Who is signed in',
  who: 'anyone',
  reply: Session,
  tells: ['session'],
})

export const signUp = endpoint({
  method: 'POST',
  path: '/api/accounts',
  summary:
    'Make an account; a link is mailed to confirm the address. The reply is the same whether the address is known or not',
  who: 'anyone',
  body: Type.Object({
    name: Type.String({ minLength: 1, maxLength: 120 }),
    mail: Mail,
    password: Password,
    next: Type.Optional(Type.String({ maxLength: 200 })),
  }),
  reply: Done,
})

export const confirmMail = endpoint({
  method: 'POST',
  path: '/api/accounts/confirm',
  summary: 'Confirm a mail address with the link that was sent to it, and sign in',
  who: 'bearer-of-link',
  body: Type.Object({ token: LinkToken }),
  reply: Type.Object({ next: orNull(Type.String()) }),
  tells: ['session'],
})

export const signIn = endpoint({
  method: 'POST',
  path: '/api/session',
  summary: 'Sign in',
  who: 'anyone',
  body: Type.Object({ mail: Mail, password: Type.String({ maxLength: 200 }) }),
  reply: Session,
  tells: ['session'],
})

export const signOut = endpoint({
  method: 'DELETE',
  path: '/api/session',
  summary: 'Sign out',
  who: 'signed-in',
  reply: Done,
  tells: ['session'],
})
