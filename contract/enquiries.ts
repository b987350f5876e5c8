import { type Static, Type } from '@sinclair/typebox'
import type { Field } from '#core/comparison/compareClaim'
import { callChecks, enquiryStates, enquirySteps, stages, turns } from '#core/enquiries/enquiry'
import { askedBy } from '#core/enquiries/ways'
import { channels } from '#core/sources/source'
import { endpoint } from './endpoint'
import { EnquiryReply } from './reply'
import { Day, Done, Id, Ids, Moment, ofCore, oneOf, orNull, Version } from './shapes'
import { Money } from './sources'

const byId = Type.Object({ id: Id })
const ContactId = Type.String({ maxLength: 64 })

/** By which way somebody is to be asked; what is not said follows from the directory. */
const Chosen = {
  channel: Type.Optional(oneOf(askedBy)),
  contactId: Type.Optional(ContactId),
  /** Where it is not said, as the candidate has chosen. */
  faster: Type.Optional(Type.Boolean()),
}

const Way = Type.Object({
  channel: oneOf(askedBy),
  contactId: orNull(ContactId),
  /** Whom it goes to: a mail address, a number, an address in lines; empty for a register. */
  to: Type.String(),
})

const Handling = Type.Object({ answerWorkingDays: Type.Integer(), cost: orNull(Money), answerBy: Day })

export const previewEnquiry = endpoint({
  method: 'GET',
  path: '/api/desk/claims/:id/enquiries/preview',
  summary: 'What an enquiry would send by which way, what keeps it from being sent, and what it would wait for',
  access: 'proof.settle',
  params: byId,
  query: Type.Object({
    applicationId: Id,
    channel: Chosen.channel,
    contactId: Chosen.contactId,
    faster: Type.Optional(oneOf(['yes', 'no'] as const)),
  }),
  reply: Type.Object({
    way: orNull(Way),
    ways: Type.Array(Way),
    source: Type.String(),
    language: Type.String(),
    subject: Type.String(),
    text: Type.String(),
    encloses: Type.Array(Type.String()),
    answerBy: Day,
    usual: Handling,
    faster: orNull(Handling),
    speed: oneOf(['usual', 'faster'] as const),
    wished: Type.Boolean({ description: 'The candidate wants it handled faster' }),
    toApprove: Type.Boolean({ description: 'Its cost has to be approved before it goes out' }),
    /** What nobody can mend by waiting. */
    obstacles: Type.Array(Type.String()),
    /** What it waits for; it goes out by itself once that is there. */
    lacks: Type.Array(Type.String()),
  }),
  invalidates: ['desk'],
})

export const raiseEnquiry = endpoint({
  method: 'POST',
  path: '/api/desk/claims/:id/enquiries',
  summary: 'Ask the source about a claim; what is missing is waited for, and the enquiry then goes out by itself',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ applicationId: Id, ...Chosen }),
  reply: Type.Object({ id: Id, state: oneOf(['prepared', 'open'] as const), answerBy: Day }),
  idempotent: true,
  invalidates: ['desk'],
})

const Item = Type.Object({ claimId: Id, applicationId: Id })
export const mostAtOnce = 100

const Planned = Type.Object({
  claimId: Id,
  applicationId: Id,
  candidate: Type.String(),
  claim: Type.String(),
  source: Type.String(),
  channel: orNull(oneOf(askedBy)),
  to: Type.String(),
  cost: orNull(Money),
  outcome: oneOf(['goes', 'waits', 'not'] as const),
  because: Type.Array(Type.String()),
  /** Those that go in one letter or mail bear one number. */
  together: orNull(Type.Integer()),
})
export type Planned = Static<typeof Planned>

export const planEnquiries = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/plan',
  summary: 'What goes where, what waits and what does not go, before many are asked; nothing is sent',
  access: 'proof.settle',
  body: Type.Object({ items: Type.Array(Item, { minItems: 1, maxItems: mostAtOnce }) }),
  reply: Type.Array(Planned),
})

export const raiseEnquiries = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries',
  summary: 'Ask about many claims; each by itself, and together where a source wants it so',
  access: 'proof.settle',
  body: Type.Object({ items: Type.Array(Item, { minItems: 1, maxItems: mostAtOnce }) }),
  reply: Type.Object({ asked: Type.Integer(), prepared: Type.Integer(), not: Type.Integer() }),
  idempotent: true,
  invalidates: ['desk'],
})

/** What of files or for a source nobody has asked about yet. */
export const listToAsk = endpoint({
  method: 'GET',
  path: '/api/desk/open-questions',
  summary: `The claims of applications, or about one source, that are still to be asked about; at most ${mostAtOnce}, the most pressing first`,
  access: 'proof.settle',
  query: Type.Object({
    applicationIds: Type.Optional(Ids),
    sourceId: Type.Optional(Id),
  }),
  reply: Type.Array(Item),
  invalidates: ['desk'],
})

/** What lookUp asks. */
export const askRegister = endpoint({
  method: 'POST',
  path: '/api/desk/claims/:id/look-up',
  summary:
    'Look a licence or certificate up in its issuer’s register; one that does not answer is asked again by itself',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ applicationId: Id }),
  reply: Type.Object({ found: orNull(Type.Boolean({ description: 'Null where the register did not answer' })) }),
  idempotent: true,
  invalidates: ['desk'],
})

/** What the queue shows: everything that goes on, what is answered and to compare, and what stays silent. */
export const queueStages = [...stages, 'answered', 'declined', 'silent'] as const
export type QueueStage = (typeof queueStages)[number]

export const EnquiryRow = Type.Object({
  id: Id,
  reference: orNull(Type.String()),
  applicationId: Id,
  claimId: Id,
  candidate: Type.String(),
  vacancy: Type.String(),
  slack: Type.Integer(),
  claim: Type.String(),
  source: Type.Object({ id: Id, name: Type.String(), country: Type.String() }),
  channel: oneOf(channels),
  stage: oneOf(queueStages),
  turn: oneOf(turns),
  askedAt: Moment,
  answerBy: Day,
  overdue: Type.Boolean(),
  dueOn: orNull(Day),
  lacks: Type.Array(Type.String()),
  cost: orNull(Money),
  toApprove: Type.Boolean(),
})
export type EnquiryRow = Static<typeof EnquiryRow>

const QueueFilter = {
  turn: Type.Optional(oneOf(turns)),
  channel: Type.Optional(oneOf(channels)),
  country: Type.Optional(Type.String({ pattern: '^[A-Z]{2}$' })),
  sourceId: Type.Optional(Id),
  overdue: Type.Optional(oneOf(['yes'] as const)),
  whose: Type.Optional(oneOf(['mine', 'all'] as const)),
}

export const listEnquiries = endpoint({
  method: 'GET',
  path: '/api/desk/enquiries',
  summary: 'What is asked of whom, by the slack of the person and then by age; whose turn it is with each',
  access: 'proof.settle',
  query: Type.Object({ ...QueueFilter, after: Type.Optional(Type.String({ maxLength: 120 })) }),
  reply: Type.Object({
    rows: Type.Array(EnquiryRow),
    next: orNull(Type.String()),
    /** Up to a thousand of each. */
    counts: Type.Object({ desk: Type.Integer(), source: Type.Integer(), candidate: Type.Integer() }),
    /** The sources that most of what is listed waits for: one call settles several. */
    most: Type.Array(Type.Object({ id: Id, name: Type.String(), open: Type.Integer() })),
  }),
  invalidates: ['desk'],
})

export const EnquiryStepLine = Type.Object({
  step: oneOf(enquirySteps),
  channel: oneOf(channels),
  at: Moment,
  by: Type.String(),
  to: Type.String(),
  note: Type.String(),
})

export const EnquiryLine = Type.Object({
  id: Id,
  reference: orNull(Type.String()),
  round: Type.Integer(),
  channel: oneOf(channels),
  state: oneOf(enquiryStates),
  source: Type.String(),
  askedAt: Moment,
  askedBy: Type.String(),
  answerBy: Day,
  answeredAt: orNull(Moment),
  respondent: orNull(Type.String()),
  note: orNull(Type.String()),
  /** What it waits for while it is prepared. */
  lacks: Type.Array(Type.String()),
  paper: Type.Boolean({ description: 'A paper came with the answer' }),
  steps: Type.Array(EnquiryStepLine),
})

export const readEnquiryAtDesk = endpoint({
  method: 'GET',
  path: '/api/desk/enquiries/:id',
  summary: 'One enquiry with what was tried, what is asked in words, and the ways that are left',
  access: 'proof.settle',
  params: byId,
  reply: Type.Object({
    row: EnquiryRow,
    kind: Type.String(),
    version: Version,
    born: orNull(Type.String()),
    claimed: Type.Record(Type.String(), Type.String()),
    fields: ofCore<Field[]>(Type.Array(Type.Object({}))),
    asks: Type.Object({ standing: Type.Boolean(), hours: Type.Boolean(), again: Type.Boolean() }),
    /** Whom it goes to now. */
    contact: Type.String(),
    phone: Type.String({ description: 'Of the directory, never of the file' }),
    paper: orNull(Type.Object({ fileName: Type.String(), cameAt: Moment, mediaType: Type.String() })),
    answer: orNull(EnquiryReply),
    second: orNull(Type.Object({ by: Type.String(), mayCheck: Type.Boolean() })),
    ways: Type.Array(Way),
    steps: Type.Array(EnquiryStepLine),
    forwards: Type.Array(
      Type.Object({ id: Type.String(), toMail: Type.String(), toName: Type.String(), by: Type.String() }),
    ),
  }),
  invalidates: ['desk'],
})

export const readEnquiryPaper = endpoint({
  method: 'GET',
  path: '/api/desk/enquiries/:id/paper',
  summary: 'The paper that came as an answer',
  access: 'documents.read',
  params: byId,
  reply: Type.Any(),
  file: true,
})

export const enterReply = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/:id/answer',
  summary: 'Type in what a source has answered on paper or by telephone',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({
    version: Version,
    reply: EnquiryReply,
    /** By telephone: how it was made sure who was at the other end. */
    sure: Type.Optional(oneOf(callChecks)),
  }),
  reply: Type.Object({ state: oneOf(['answered', 'open'] as const) }),
  idempotent: true,
  invalidates: ['desk'],
})

export const checkReply = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/:id/answers/check',
  summary: 'Take or put back, as a second person, what somebody has heard on the telephone',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ version: Version, right: Type.Boolean(), note: Type.String({ maxLength: 1000 }) }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const logCall = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/:id/calls',
  summary: 'Note a call in which nobody could answer',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ version: Version, note: Type.String({ maxLength: 1000 }) }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

const some = Type.Object({ ids: Type.Array(Id, { minItems: 1, maxItems: 200, uniqueItems: true }) })

export const remindEnquiries = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/remind',
  summary: 'Remind those who have been asked and have not answered, now and not by the schedule',
  access: 'proof.settle',
  body: some,
  reply: Type.Object({ reminded: Type.Integer(), not: Type.Integer() }),
  idempotent: true,
  invalidates: ['desk'],
})

export const escalateEnquiry = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/:id/escalate',
  summary: 'Ask the same by another way',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ version: Version, channel: oneOf(askedBy), contactId: Type.Optional(ContactId) }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const withdrawEnquiry = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/:id/withdraw',
  summary: 'Call off a question; its links then tell nothing',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const approveCost = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/:id/approve',
  summary: 'Approve what an enquiry costs; it goes out by itself once nothing else is missing',
  access: 'proof.settle',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const checkForward = endpoint({
  method: 'POST',
  path: '/api/desk/enquiries/:id/forwards/:forward',
  summary: 'Let a question go to somebody beyond the source’s own domain, or not',
  access: 'proof.settle',
  params: Type.Object({ id: Id, forward: Type.String({ pattern: '^[0-9a-f]{64}$' }) }),
  body: Type.Object({ send: Type.Boolean() }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
