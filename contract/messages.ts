import { type Static, Type } from '@sinclair/typebox'
import { noticeChannels } from '#core/messages/notices'
import { languages } from '#core/words/say'
import { endpoint } from './endpoint'
import { Done, Id, Moment, oneOf, orNull, Version } from './shapes'

/** `held`: kept back, since a text message tells the same; it goes where that one does not arrive. `accepted`: a mail server or gateway has taken it; `delivered`: a gateway says that it is on the phone. */
export const messageStates = ['queued', 'held', 'accepted', 'delivered', 'refused', 'let be'] as const

export const readMessages = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/messages',
  summary: 'Every mail and text message that went out about an application, and what became of it',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  reply: Type.Array(
    Type.Object({
      id: Id,
      at: Moment,
      channel: oneOf(noticeChannels),
      to: Type.String(),
      subject: Type.String(),
      text: Type.String(),
      encloses: Type.Array(Type.String()),
      state: oneOf(messageStates),
      settledAt: orNull(Moment),
      refusedBecause: orNull(Type.String()),
    }),
  ),
  invalidates: ['desk'],
})

export const resendMessage = endpoint({
  method: 'POST',
  path: '/api/desk/messages/:id/resend',
  summary: 'Queue a mail again that was refused, to the address as it is now',
  access: 'messages.send',
  params: Type.Object({ id: Id }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const readOutbox = endpoint({
  method: 'GET',
  path: '/api/desk/outbox',
  summary: 'Mails that wait for a mail server and that were refused, also those about no application',
  access: 'messages.send',
  reply: Type.Array(
    Type.Object({
      id: Id,
      at: Moment,
      channel: oneOf(noticeChannels),
      to: Type.String(),
      subject: Type.String(),
      state: oneOf(['queued', 'refused'] as const),
      because: orNull(Type.String({ description: 'What the mail server said last' })),
      application: orNull(Type.Object({ id: Id, reference: Type.String() })),
    }),
  ),
  invalidates: ['desk'],
})

export const letMessageBe = endpoint({
  method: 'DELETE',
  path: '/api/desk/outbox/:id',
  summary: 'Let a refused mail be; nobody is reminded of it any more',
  access: 'messages.send',
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['desk'],
})

/** What is written, in one language; `{{name}}` and its like are filled in for each person. */
const Written = Type.Object({
  subject: Type.String({ minLength: 1, maxLength: 150 }),
  text: Type.String({ minLength: 1, maxLength: 4000 }),
})
/** In English, and in German where it was written; who reads German gets that. */
export const InLanguages = Type.Object({ english: Written, german: orNull(Written) })
export type InLanguages = Static<typeof InLanguages>

export const listTemplates = endpoint({
  method: 'GET',
  path: '/api/desk/templates',
  summary: 'Prepared messages, and the placeholders they may hold',
  access: 'messages.send',
  reply: Type.Object({
    templates: Type.Array(
      Type.Intersect([
        InLanguages,
        Type.Object({
          id: Id,
          name: Type.String(),
          version: Version,
          savedBy: Type.String(),
          savedAt: Moment,
        }),
      ]),
    ),
    placeholders: Type.Array(Type.Object({ name: Type.String(), is: Type.String() })),
  }),
  invalidates: ['settings'],
})

export const saveTemplate = endpoint({
  method: 'PUT',
  path: '/api/desk/templates/:id',
  summary: 'Keep a prepared message; a placeholder that is not known is refused',
  access: 'messages.send',
  params: Type.Object({ id: Id }),
  body: Type.Intersect([
    InLanguages,
    Type.Object({ name: Type.String({ minLength: 1, maxLength: 120 }), version: Version }),
  ]),
  reply: Type.Object({ version: Version }),
  invalidates: ['settings'],
})

export const removeTemplate = endpoint({
  method: 'DELETE',
  path: '/api/desk/templates/:id',
  summary: 'Remove a prepared message; what was sent with it stays',
  access: 'messages.send',
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['settings'],
})

const Recipients = Type.Array(Id, { minItems: 1, maxItems: 500 })

export const previewMessages = endpoint({
  method: 'POST',
  path: '/api/desk/messages/preview',
  summary: 'What each person would get, in their language, and who would get nothing and why',
  access: 'messages.send',
  body: Type.Object({ written: InLanguages, applications: Recipients, general: Type.Optional(Type.Boolean()) }),
  reply: Type.Array(
    Type.Object({
      application: Id,
      name: Type.String(),
      to: Type.String(),
      language: oneOf(languages),
      subject: Type.String(),
      text: Type.String(),
      phone: orNull(Type.String({ description: 'Where a text message would go, E.164' })),
      obstacle: orNull(Type.String()),
    }),
  ),
})

export const sendMessages = endpoint({
  method: 'POST',
  path: '/api/desk/messages',
  summary: 'Queue a message to each of several people, written to each by name and in their language',
  access: 'messages.send',
  body: Type.Object({
    written: InLanguages,
    applications: Recipients,
    general: Type.Optional(
      Type.Boolean({ description: 'About none of their applications; who has refused that is left out' }),
    ),
    alsoByText: Type.Optional(Type.Boolean({ description: 'A text message as well, that a mail is there' })),
  }),
  reply: Type.Object({
    queued: Type.Integer(),
    left: Type.Integer(),
    texts: Type.Integer({ description: 'Of those, who gets a text message too' }),
  }),
  idempotent: true,
  invalidates: ['desk'],
})

const Sentence = Type.Object({
  id: Id,
  about: oneOf(['document', 'answer', 'question'] as const),
  title: Type.String({ minLength: 1, maxLength: 120 }),
  english: Type.String({ minLength: 3, maxLength: 1000 }),
  german: Type.String({ maxLength: 1000 }),
  version: Version,
})

export const listSentences = endpoint({
  method: 'GET',
  path: '/api/desk/sentences',
  summary: 'Prepared sentences that ask for a correction, in their order: the first nine have the keys 1 to 9',
  access: 'files.read',
  reply: Type.Array(Sentence),
  invalidates: ['settings'],
})

export const saveSentences = endpoint({
  method: 'PUT',
  path: '/api/desk/sentences/:about',
  summary: 'Keep the prepared sentences of one kind, in this order',
  access: 'messages.send',
  params: Type.Object({ about: oneOf(['document', 'answer', 'question'] as const) }),
  body: Type.Object({ sentences: Type.Array(Type.Omit(Sentence, ['about']), { maxItems: 30 }) }),
  reply: Done,
  invalidates: ['settings'],
})
