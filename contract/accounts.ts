import { Type } from '@sinclair/typebox'
import { rights } from '#core/rights/rights'
import { languages } from '#core/words/say'
import { endpoint } from './endpoint'
import { roles } from './roles'
import { Done, Id, LinkToken, oneOf, orNull } from './shapes'
import { singleLine } from './singleLine'

export const Mail = Type.String({ format: 'email', maxLength: 200 })
const Password = Type.String({ minLength: 12, maxLength: 200 })

/** Whose application this is, as everybody sees it. */
const ShownOrganisation = Type.Object({
  name: Type.String(),
  contact: Type.String(),
  accent: Type.String(),
  currency: Type.String(),
  languages: Type.Array(oneOf(languages)),
  welcome: Type.String({ description: 'In the reader’s language; empty where nobody wrote one' }),
  logo: orNull(Type.Object({ address: Type.String(), width: Type.Integer(), height: Type.Integer() })),
})

const Session = Type.Object({
  csrf: Type.String(),
  account: orNull(
    Type.Object({
      id: Id,
      name: Type.String(),
      mail: Type.String(),
      roles: Type.Array(oneOf(roles)),
      rights: Type.Array(oneOf(rights)),
      language: oneOf(languages),
      throughProvider: Type.Boolean({ description: 'They sign in through the identity provider, not by a password' }),
    }),
  ),
  provider: orNull(Type.String({ description: 'What the organisation’s identity provider is called' })),
  demo: Type.Boolean(),
  organisation: ShownOrganisation,
  codesFirst: Type.Boolean({ description: 'The role has to set up one-time codes before anything else' }),
})

export const readSession = endpoint({
  method: 'GET',
  path: '/api/session',
  summary: 'Who is signed in',
  access: 'anyone',
  beforeCodes: true,
  reply: Session,
  invalidates: ['session'],
})

export const signUp = endpoint({
  method: 'POST',
  path: '/api/accounts',
  summary:
    'Make an account; a link is mailed to confirm the address. The reply is the same whether the address is known or not',
  access: 'anyone',
  body: Type.Object({
    name: Type.String({ minLength: 1, maxLength: 120, pattern: singleLine }),
    mail: Mail,
    password: Password,
    next: Type.Optional(Type.String({ maxLength: 200 })),
  }),
  reply: Done,
})

export const confirmMail = endpoint({
  method: 'POST',
  path: '/api/accounts/confirm',
  summary: 'Confirm a mail address with the link that was sent to it; signs in only the browser it was asked for in',
  access: 'bearer-of-link',
  body: Type.Object({ token: LinkToken }),
  reply: Type.Intersect([Session, Type.Object({ next: orNull(Type.String()), signedIn: Type.Boolean() })]),
  invalidates: ['session'],
})

export const signIn = endpoint({
  method: 'POST',
  path: '/api/session',
  summary: 'Sign in',
  access: 'anyone',
  body: Type.Object({
    mail: Mail,
    password: Type.String({ maxLength: 200 }),
    code: Type.Optional(Type.String({ maxLength: 20, description: 'One-time or recovery code, where switched on' })),
  }),
  reply: Session,
  invalidates: ['session'],
})

const Away = Type.Object({ address: Type.String({ description: 'Where the browser goes to say who it is' }) })

export const leaveForProvider = endpoint({
  method: 'POST',
  path: '/api/session/provider',
  summary: 'Sign in through the organisation’s identity provider: where to go',
  access: 'anyone',
  body: Type.Object({ next: Type.Optional(Type.String({ maxLength: 200 })) }),
  reply: Away,
})

export const confirmThroughProvider = endpoint({
  method: 'POST',
  path: '/api/session/provider/confirmation',
  summary: 'Show at the identity provider that it is still oneself, for what asks for it: where to go',
  access: 'signed-in',
  reply: Away,
})

export const returnFromProvider = endpoint({
  method: 'POST',
  path: '/api/session/provider/return',
  summary: 'Come back from the identity provider; once, and in the browser one left in',
  access: 'anyone',
  body: Type.Object({
    search: Type.String({ maxLength: 8000, description: 'What the provider added to the address' }),
  }),
  reply: Type.Intersect([Session, Type.Object({ next: orNull(Type.String()), confirmed: Type.Boolean() })]),
  invalidates: ['session'],
})

export const signOut = endpoint({
  method: 'DELETE',
  path: '/api/session',
  summary: 'Sign out',
  access: 'signed-in',
  beforeCodes: true,
  reply: Done,
  invalidates: ['session'],
})

const GivenPassword = Type.String({ minLength: 1, maxLength: 200 })
const GivenCode = Type.String({ maxLength: 20, description: 'One-time or recovery code' })

export const confirmSession = endpoint({
  method: 'POST',
  path: '/api/session/confirmation',
  summary: 'Give the password again, and a code where they are switched on, for what asks for it',
  access: 'signed-in',
  body: Type.Object({ password: GivenPassword, code: Type.Optional(GivenCode) }),
  reply: Done,
})

export const readConfirmed = endpoint({
  method: 'GET',
  path: '/api/session/confirmation',
  summary: 'Whether the password was given a moment ago; refused with 403 where it was not',
  access: 'signed-in',
  passwordAgain: true,
  reply: Done,
})

export const askReset = endpoint({
  method: 'POST',
  path: '/api/accounts/reset-password',
  summary: 'Mail a link to set a new password. The reply is the same whether the address is known or not',
  access: 'anyone',
  body: Type.Object({ mail: Mail }),
  reply: Done,
})

export const resetPassword = endpoint({
  method: 'POST',
  path: '/api/accounts/set-password',
  summary: 'Set a new password by a link, and sign out everywhere',
  access: 'bearer-of-link',
  body: Type.Object({ token: LinkToken, password: Password }),
  reply: Done,
})

export const confirmMailChange = endpoint({
  method: 'POST',
  path: '/api/accounts/mail',
  summary: 'Agree to a change of mail address by a link; both addresses have to',
  access: 'bearer-of-link',
  body: Type.Object({ token: LinkToken }),
  reply: Type.Object({ changed: Type.Boolean(), waitingFor: orNull(Type.String()) }),
  invalidates: ['session'],
})

export const readAccount = endpoint({
  method: 'GET',
  path: '/api/account',
  summary: 'One’s own account',
  access: 'signed-in',
  beforeCodes: true,
  reply: Type.Object({
    name: Type.String(),
    mail: Type.String(),
    provider: orNull(Type.String({ description: 'Through which identity provider they sign in' })),
    codesOn: Type.Boolean(),
    recoveryCodesLeft: Type.Integer(),
    sessions: Type.Integer({ description: 'Places where it is signed in' }),
    newMail: orNull(Type.String()),
  }),
  invalidates: ['session'],
})

export const chooseLanguage = endpoint({
  method: 'PUT',
  path: '/api/account/language',
  summary: 'Choose the language the application and its mails speak to this account',
  access: 'signed-in',
  beforeCodes: true,
  body: Type.Object({ language: oneOf(languages) }),
  reply: Done,
  invalidates: ['session'],
})

export const changePassword = endpoint({
  method: 'POST',
  path: '/api/account/password',
  summary: 'Change the password, and sign out everywhere else',
  access: 'signed-in',
  beforeCodes: true,
  body: Type.Object({ password: GivenPassword, next: Password }),
  reply: Done,
  invalidates: ['session'],
})

export const changeMail = endpoint({
  method: 'POST',
  path: '/api/account/mail',
  summary: 'Begin to change the mail address; both addresses are sent a link',
  access: 'signed-in',
  body: Type.Object({ password: GivenPassword, mail: Mail }),
  reply: Done,
  invalidates: ['session'],
})

export const signOutElsewhere = endpoint({
  method: 'POST',
  path: '/api/account/sessions/end',
  summary: 'Sign out everywhere else',
  access: 'signed-in',
  reply: Type.Object({ ended: Type.Integer() }),
  invalidates: ['session'],
})

export const beginOneTimeCodes = endpoint({
  method: 'POST',
  path: '/api/account/codes',
  summary: 'Begin to set up one-time codes from an authenticator app (RFC 6238)',
  access: 'signed-in',
  beforeCodes: true,
  body: Type.Object({ password: GivenPassword }),
  reply: Type.Object({
    secret: Type.String(),
    address: Type.String({ description: 'otpauth: address for the QR code' }),
  }),
})

export const confirmOneTimeCodes = endpoint({
  method: 'POST',
  path: '/api/account/codes/confirm',
  summary: 'Switch one-time codes on with the first right code; the recovery codes are given this once',
  access: 'signed-in',
  beforeCodes: true,
  body: Type.Object({ code: Type.String({ maxLength: 20 }) }),
  reply: Type.Object({ recoveryCodes: Type.Array(Type.String()) }),
  invalidates: ['session'],
})

export const dropOneTimeCodes = endpoint({
  method: 'POST',
  path: '/api/account/codes/drop',
  summary: 'Switch one-time codes off',
  access: 'signed-in',
  body: Type.Object({ password: GivenPassword, code: GivenCode }),
  reply: Done,
  invalidates: ['session'],
})
