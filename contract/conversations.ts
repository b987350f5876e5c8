import { type Static, Type } from '@sinclair/typebox'
import { conversationStates, conversationSubjects } from '#core/messages/conversation'
import { endpoint } from './endpoint'
import { Day, Done, Id, Moment, oneOf, orNull, Version } from './shapes'

const byId = Type.Object({ id: Id })
const Text = Type.String({ minLength: 1, maxLength: 4000, pattern: '\\S' })

const Entry = Type.Object({
  id: Id,
  by: oneOf(['candidate', 'desk'] as const),
  name: Type.String(),
  via: oneOf(['portal', 'mail'] as const),
  text: Type.String(),
  at: Moment,
})

const Conversation = Type.Object({
  id: Id,
  about: Type.Object({
    kind: oneOf(conversationSubjects),
    label: orNull(Type.String({ description: 'What the claim, task or fee is called; nothing where it is gone' })),
  }),
  state: oneOf(conversationStates),
  answerBy: Day,
  askedAt: Moment,
  version: Version,
  entries: Type.Array(Entry),
})
export type Conversation = Static<typeof Conversation>

const About = Type.Object({
  kind: oneOf(conversationSubjects),
  key: Type.Optional(Type.String({ maxLength: 120, description: 'The claim, the task or the requirement of the fee' })),
})

export const listMyConversations = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/conversations',
  summary: 'What one has asked the desk about an application, and what it answered',
  access: 'candidate',
  params: byId,
  reply: Type.Array(Conversation),
  invalidates: ['status'],
})

export const startConversation = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/conversations',
  summary: 'Ask the desk something about an application that was sent',
  access: 'candidate',
  params: byId,
  body: Type.Object({ about: About, text: Text }),
  reply: Type.Object({ id: Id, answerBy: Day }),
  idempotent: true,
  invalidates: ['status'],
})

export const writeInConversation = endpoint({
  method: 'POST',
  path: '/api/my/conversations/:id/entries',
  summary: 'Write more in a conversation; it waits for an answer again',
  access: 'candidate',
  params: byId,
  body: Type.Object({ text: Text }),
  reply: Type.Object({ answerBy: Day }),
  idempotent: true,
  invalidates: ['status'],
})

export const listConversations = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/conversations',
  summary: 'What the candidate has asked about an application, what waits first',
  access: 'files.read',
  params: byId,
  reply: Type.Array(Conversation),
  invalidates: ['desk'],
})

export const answerConversation = endpoint({
  method: 'POST',
  path: '/api/desk/conversations/:id/answer',
  summary: 'Answer what a candidate has asked; it goes by mail as well',
  access: 'messages.send',
  params: byId,
  body: Type.Object({ version: Version, text: Text }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const closeConversation = endpoint({
  method: 'POST',
  path: '/api/desk/conversations/:id/close',
  summary: 'Close a conversation: it needs no answer, or no more',
  access: 'messages.send',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const reopenConversation = endpoint({
  method: 'POST',
  path: '/api/desk/conversations/:id/reopen',
  summary: 'Open a closed conversation again',
  access: 'messages.send',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const askAboutClaim = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/claims/:claimId/ask-candidate',
  summary: 'Ask the candidate about one claim; it goes by mail, and the answer waits at the desk',
  access: 'messages.send',
  params: Type.Object({ id: Id, claimId: Id }),
  body: Type.Object({ text: Text }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
