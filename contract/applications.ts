import { type Static, Type } from '@sinclair/typebox'
import type { Form } from '#core/form/form'
import { stages } from '#core/hiring/stages'
import type { Outcome, Requirement } from '#core/requirements/requirement'
import type { AskedBySource } from '#core/requirements/sourceCondition'
import type { KnownStudy } from '#core/sources/knownStudy'
import { Answers } from './answers'
import { waysToTell } from './behalf'
import { Claim } from './claims'
import { endpoint } from './endpoint'
import { Day, Done, Id, listOfCore, Moment, ofCore, oneOf, orNull, Reason, Version } from './shapes'
import { OwnVouching } from './vouching'

const byId = Type.Object({ id: Id })

export const reopeningStates = ['open', 'changed', 'seen', 'called off'] as const
export type ReopeningState = (typeof reopeningStates)[number]

export const Difference = Type.Object({ label: Type.String(), before: Type.String(), after: Type.String() })

/** What of a sent application may be changed again, why and until when. */
export const ReopenedPart = Type.Object({
  id: Id,
  section: Type.String(),
  question: orNull(Type.String()),
  title: Type.String(),
  reason: Type.String(),
  dueOn: Day,
  askedBy: Type.String(),
  askedAt: Moment,
  state: oneOf(reopeningStates),
  doneAt: orNull(Moment),
  differences: Type.Array(Difference),
})
export type ReopenedPart = Static<typeof ReopenedPart>

export const Left = Type.Object({ section: orNull(Type.String()), title: Type.String(), why: Type.String() })

/** How much time there is to finish; null where none is set. */
export const CompletionLeft = orNull(
  Type.Object({
    endsOn: Day,
    setAside: Type.Boolean({ description: 'It was not finished in time; all that was given is kept' }),
    paysFirst: Type.Boolean({ description: 'It is taken up again by paying what is owed' }),
    extraDays: Type.Integer({ description: 'What one extension would add; 0 where there is none any more' }),
  }),
)
export type CompletionLeft = Static<typeof CompletionLeft>

const Draft = Type.Object({
  id: Id,
  version: Version,
  stage: oneOf(stages),
  reference: orNull(Type.String()),
  vacancy: Type.Object({
    slug: Type.String(),
    title: Type.String(),
    closesAt: Moment,
    timeZone: Type.String(),
    targetStart: Day,
    paperLanguages: Type.Array(Type.String()),
    open: Type.Boolean(),
  }),
  form: ofCore<Form>(Type.Array(Type.Object({}))),
  requirements: listOfCore<Requirement>(),
  askedBySources: listOfCore<AskedBySource>(),
  studies: listOfCore<KnownStudy>(),
  answers: Answers,
  begunAt: Moment,
  /** Who at the desk wrote it down for its candidate; null once it is sent. */
  behalf: orNull(Type.Object({ how: oneOf(waysToTell), by: Type.String(), at: Moment, person: Type.String() })),
  /** Answers taken over from before, with when each was last confirmed. */
  decided: Type.Record(Type.String(), Type.Object({ on: Day, answer: Type.String(), explanation: Type.String() }), {
    description: 'By question: what was declared before and made no difference',
  }),
  takenOver: Type.Record(Type.String(), Moment),
  /** After sending: the parts that may be changed again. */
  reopened: Type.Array(ReopenedPart),
  fileFacts: Type.Record(Type.String(), Type.Any(), { description: 'What conditions may ask of the file itself' }),
  claims: Type.Array(Claim),
  vouchings: Type.Array(OwnVouching),
  equalityGiven: Type.Boolean(),
  permission: orNull(Type.Object({ signedAt: Moment, fullName: Type.String() })),
  authorised: Type.Array(Type.String(), { description: 'The bodies that may be told, by their keys' }),
  permissionText: Type.String(),
  outcomes: listOfCore<Outcome>(),
  left: Type.Array(Left),
  lastSection: orNull(Type.String()),
  /** Questions a later gate still waits for, which may be answered after sending. */
  stillAsked: Type.Array(Type.String()),
  savedAt: Moment,
  completion: CompletionLeft,
  today: Day,
})
export type Draft = Static<typeof Draft>

export const beginApplication = endpoint({
  method: 'POST',
  path: '/api/vacancies/:slug/applications',
  summary: 'Begin an application, or come back to the one already begun',
  access: 'candidate',
  params: Type.Object({ slug: Type.String() }),
  reply: Type.Object({ id: Id }),
  invalidates: ['draft', 'status'],
})

export const myApplications = endpoint({
  method: 'GET',
  path: '/api/my/applications',
  summary: 'One’s own applications',
  access: 'candidate',
  reply: Type.Array(
    Type.Object({
      id: Id,
      reference: orNull(Type.String()),
      title: Type.String(),
      place: Type.String(),
      stage: oneOf(stages),
      left: Type.Integer(),
      ball: Type.String(),
      closesAt: Moment,
      timeZone: Type.String(),
      completion: CompletionLeft,
    }),
  ),
  invalidates: ['status'],
})

export const readDraft = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id',
  summary: 'An application as it stands',
  access: 'candidate',
  behalf: true,
  params: byId,
  reply: Draft,
  invalidates: ['draft'],
})

export const saveAnswers = endpoint({
  method: 'PATCH',
  path: '/api/my/applications/:id/answers',
  summary: 'Save changed answers. An old version is refused with 409 and the answers as they are now',
  access: 'candidate',
  behalf: true,
  params: byId,
  body: Type.Object({ version: Version, changes: Answers, section: Type.Optional(Type.String()) }),
  reply: Type.Object({ version: Version, savedAt: Moment, answers: Answers, left: Type.Array(Left) }),
})

export const extendTime = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/extensions',
  summary: 'Take one more stretch of days to finish, with the reason; once',
  access: 'candidate',
  params: byId,
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['draft', 'status'],
})

export const restoreApplication = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/restore',
  summary: 'Take up again what was set aside, with all that was given',
  access: 'candidate',
  params: byId,
  reply: Done,
  invalidates: ['draft', 'status'],
})

export const confirmSection = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/sections/:section/confirm',
  summary: 'Confirm that what a section took over from before is still right',
  access: 'candidate',
  params: Type.Object({ id: Id, section: Type.String({ maxLength: 80 }) }),
  reply: Done,
  invalidates: ['draft', 'status'],
})

export const finishReopened = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/reopenings/:reopening/finish',
  summary: 'Tell the desk that what it asked to change has been changed',
  access: 'candidate',
  params: Type.Object({ id: Id, reopening: Id }),
  reply: Done,
  invalidates: ['draft', 'status'],
})

export const reopenPart = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/reopenings',
  summary: 'Let the candidate of a sent application change one section or question again, with a reason and a due date',
  access: 'applications.turn-down',
  params: byId,
  body: Type.Object({
    section: Type.String({ minLength: 1, maxLength: 80 }),
    question: orNull(Type.String({ maxLength: 80 })),
    reason: Reason,
    dueOn: Day,
  }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk', 'draft', 'status'],
})

export const settleReopened = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/reopenings/:reopening/settle',
  summary: 'Take note of what was changed, or call the question off while it is open',
  access: 'applications.turn-down',
  params: Type.Object({ id: Id, reopening: Id }),
  reply: Done,
  invalidates: ['desk', 'draft', 'status'],
})

/** A signature under something that was read, with the password given again. */
export const SignatureShape = {
  /** Typed as one's signature; not needed where it is drawn. */
  fullName: Type.String({ maxLength: 120 }),
  drawing: Type.Optional(
    Type.String({
      maxLength: 300_000,
      pattern: '^data:image/png;base64,[A-Za-z0-9+/]+=*$',
      description: 'The signature as it was drawn, PNG',
    }),
  ),
  password: Type.String({ minLength: 1, maxLength: 200 }),
  agreed: Type.Literal(true),
}

export const signPermission = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/permission',
  summary: 'Sign the permission to check by typing one’s full name or drawing it, and giving the password again',
  access: 'candidate',
  params: byId,
  body: Type.Object(SignatureShape),
  reply: Done,
  idempotent: true,
  invalidates: ['draft', 'status'],
})

export const withdrawPermission = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/permission/withdraw',
  summary: 'Withdraw the permission to check: open questions are called off, nothing more is asked',
  access: 'candidate',
  params: byId,
  reply: Type.Object({ calledOff: Type.Integer() }),
  idempotent: true,
  invalidates: ['draft', 'status'],
})

export const sendApplication = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/send',
  summary: 'Send the application. Refused with 409 while something is missing',
  access: 'candidate',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Type.Object({ reference: Type.String(), sentAt: Moment }),
  idempotent: true,
  invalidates: ['draft', 'status'],
})

export const deleteDraft = endpoint({
  method: 'DELETE',
  path: '/api/my/applications/:id',
  summary: 'Delete an application that was not sent; what the file holds stays',
  access: 'candidate',
  params: byId,
  reply: Done,
  invalidates: ['draft', 'status', 'vacancies'],
})

export const withdraw = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/withdraw',
  summary: 'Withdraw the application',
  access: 'candidate',
  params: byId,
  reply: Done,
  idempotent: true,
  invalidates: ['draft', 'status'],
})
