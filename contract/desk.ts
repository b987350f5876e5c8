import { type Static, Type } from '@sinclair/typebox'
import { blanks } from '#core/form/form'
import { stages } from '#core/hiring/stages'
import { gates, type Outcome, type Requirement, type Step } from '#core/requirements/requirement'
import { languages } from '#core/words/say'
import { Difference, ReopenedPart } from './applications'
import { waysToTell } from './behalf'
import { Claim } from './claims'
import { endpoint } from './endpoint'
import { HiddenPart } from './privacy'
import { StandingSchema } from './reply'
import { Day, Done, Id, listOfCore, Moment, ofCore, oneOf, orNull, Reason, Version } from './shapes'
import { vacancyStates } from './vacancySetUp'
import { Proof } from './verification'
import { ReadVouching } from './vouching'

export const queues = ['today', 'applications', 'verification', 'skills', 'validity', 'hiring'] as const
export type Queue = (typeof queues)[number]
/** People of a queue are counted up to here; one more says that there are more. */
export const mostCountedInQueue = 999

const Counted = Type.Integer({
  maximum: mostCountedInQueue + 1,
  description: `Counted up to ${mostCountedInQueue}; one more says that there are more`,
})

/** Somebody who works here. */
const Person = Type.Object({ id: Id, name: Type.String() })

/** `mine`: one’s own files, those of whom one stands in for, those one watches, and those that are nobody’s yet. */
export const whoseFiles = ['mine', 'all'] as const
export type Whose = (typeof whoseFiles)[number]

export const QueueLine = Type.Object({
  id: Id,
  candidate: Type.String(),
  vacancy: Type.String(),
  slack: Type.Integer(),
  why: Type.String(),
  marks: Type.Array(Type.String()),
  owner: orNull(Person),
})
export type QueueLine = Static<typeof QueueLine>

export const readQueue = endpoint({
  method: 'GET',
  path: '/api/desk/queues/:queue',
  summary: 'The people in a queue, least slack first, a page at a time',
  access: 'files.read',
  params: Type.Object({ queue: oneOf(queues) }),
  query: Type.Object({
    after: Type.Optional(Type.String({ pattern: '^-?\\d+_[0-9a-f-]{36}$' })),
    vacancy: Type.Optional(Type.String()),
    whose: Type.Optional(oneOf(whoseFiles)),
  }),
  reply: Type.Object({ people: Type.Array(QueueLine), next: orNull(Type.String()), late: Counted }),
  invalidates: ['desk'],
})

export const readCounts = endpoint({
  method: 'GET',
  path: '/api/desk/counts',
  summary: 'How many of one’s own people are in each queue, how many mails were refused, and how many came in and wait',
  access: 'files.read',
  reply: Type.Object({
    counts: Type.Record(Type.String(), Counted),
    refusedMails: Type.Integer(),
    incomingMails: Type.Integer(),
    redFlags: Type.Integer(),
    fees: Type.Integer({ description: 'Late, to look at or to give back; nothing for who may not see money' }),
    today: Day,
  }),
  invalidates: ['desk', 'clock'],
})

export const find = endpoint({
  method: 'GET',
  path: '/api/desk/find',
  summary: 'Find a person by name, reference or a number on a paper',
  access: 'files.read',
  query: Type.Object({ text: Type.String({ minLength: 1, maxLength: 80 }) }),
  reply: Type.Object({
    people: Type.Array(
      Type.Object({
        id: Id,
        candidate: Type.String(),
        vacancy: Type.String(),
        reference: orNull(Type.String()),
        because: Type.String(),
      }),
    ),
    /** Who came with an import and has not applied. */
    imported: Type.Array(Type.Object({ candidateId: Id, name: Type.String(), because: Type.String() })),
    likely: orNull(Type.String()),
  }),
})

/** A claim in a file. What stands behind it is read when it is chosen. */
const FileClaim = Type.Intersect([
  Claim,
  Type.Object({
    wants: Type.String(),
    by: Type.String(),
    /** The question to its source that is not answered. */
    asked: orNull(Type.Object({ askedAt: Moment, answerBy: Day })),
    /** What its issuer says beyond its dates, where that stands against it now. */
    restricted: orNull(StandingSchema),
    flags: Type.Integer({ description: 'Red flags about it that nobody has dismissed' }),
  }),
])

export const File = Type.Object({
  id: Id,
  version: Version,
  candidate: Type.Object({
    id: Id,
    name: Type.String(),
    mail: Type.String(),
    born: orNull(Type.String()),
    language: oneOf(languages),
  }),
  /** What a first look asks; its requirements by their keys. */
  firstLook: Type.Object({
    eligible: oneOf(['yes', 'no', 'undecided'] as const),
    because: Type.Array(Type.String()),
    blanks: Type.Array(Type.Object({ label: Type.String(), blank: oneOf(blanks), because: Type.String() })),
    settled: Type.Object({ done: Type.Integer(), of: Type.Integer() }),
  }),
  /** How many reviewers have scored, and what it comes to once enough have; null where nothing is scored. */
  scoring: orNull(Type.Object({ handedIn: Type.Integer(), of: Type.Integer(), percent: orNull(Type.Integer()) })),
  /** Other files that may be of the same person. */
  duplicates: Type.Array(Type.Object({ oneId: Id, otherId: Id, name: Type.String() })),
  /** Begun at the desk for somebody who wrote on paper or rang. */
  onBehalf: orNull(Type.Object({ how: oneOf(waysToTell), by: Type.String(), confirmedAt: orNull(Moment) })),
  /** What is hidden from the reader, and whether they may have it shown. */
  hidden: Type.Array(HiddenPart),
  owner: orNull(Person),
  watching: Type.Boolean(),
  reference: orNull(Type.String()),
  vacancy: Type.Object({ id: Id, slug: Type.String(), title: Type.String(), place: Type.String() }),
  stage: oneOf(stages),
  today: Day,
  targetStart: Day,
  likely: Type.Object({
    ...{ early: Day, likely: Day, late: Day },
    chance: Type.Integer({ description: 'Of being ready by the target start, in per cent' }),
  }),
  slack: Type.Integer(),
  heldUpBy: orNull(
    Type.Object({
      title: Type.String(),
      share: Type.Integer({ description: 'In how many of a hundred futures it is the step that takes longest' }),
    }),
  ),
  /** What alone would bring the likely day forward most. */
  help: orNull(
    Type.Object({
      how: oneOf(['telephone', 'now', 'tomorrow'] as const),
      what: ofCore<Step['what']>(Type.String()),
      title: Type.String(),
      source: orNull(Type.String()),
      claim: orNull(Id),
      days: Type.Integer({ minimum: 1 }),
      chance: Type.Integer({ description: 'Of being ready by the target start with it, in per cent' }),
    }),
  ),
  nextGate: orNull(oneOf(gates)),
  met: Type.Object({ done: Type.Integer(), of: Type.Integer() }),
  claims: Type.Array(FileClaim),
  answers: Type.Array(
    Type.Object({
      section: Type.String(),
      label: Type.String(),
      answer: Type.String(),
      links: Type.Array(Type.String({ description: 'In it, to what lies elsewhere' })),
      hidden: orNull(Type.String({ description: 'The subject to have it shown by' })),
    }),
  ),
  /** What was changed since the application was sent. */
  changes: Type.Array(Difference),
  reopened: Type.Array(ReopenedPart),
  vouchings: Type.Array(ReadVouching),
  /** What can be opened again: sections of questions, with their questions. */
  parts: Type.Array(
    Type.Object({
      section: Type.String(),
      title: Type.String(),
      questions: Type.Array(Type.Object({ key: Type.String(), label: Type.String() })),
    }),
  ),
  requirements: listOfCore<Requirement>(),
  outcomes: listOfCore<Outcome>(),
  words: Type.Record(Type.String(), Type.Object({ why: Type.String(), ball: Type.String() })),
  historyYears: Type.Integer(),
  toleratedGapDays: Type.Integer(),
  checks: Type.Array(
    Type.Object({
      check: Type.String(),
      title: Type.String(),
      state: oneOf(['not begun', 'under way', 'marked'] as const),
      percent: orNull(Type.Integer()),
      passed: orNull(Type.Boolean()),
      passPercent: Type.Integer(),
      finishedAt: orNull(Moment),
      /** The latest attempt, how many there may be, and earlier results. */
      attempt: Type.Integer(),
      attempts: Type.Integer(),
      waitDays: Type.Integer(),
      earlier: Type.Array(Type.Object({ percent: Type.Integer(), finishedAt: Moment })),
      /** Leave to sit it again that has not been used. */
      resit: orNull(Type.Object({ notBefore: Day, by: Type.String() })),
      wrong: Type.Array(
        Type.Object({ topic: Type.String(), text: Type.String(), given: Type.String(), right: Type.String() }),
      ),
    }),
  ),
  waivers: Type.Array(
    Type.Object({ requirement: Type.String(), by: Type.String(), reason: Type.String(), at: Moment }),
  ),
  offer: orNull(Type.Object({ salary: Type.Integer(), startsOn: Day, answerBy: Day, answer: orNull(Type.String()) })),
  gatesPassed: Type.Array(Type.Object({ gate: oneOf(gates), by: Type.String(), at: Moment })),
  trail: Type.Array(Type.Object({ at: Moment, who: Type.String(), what: Type.String() })),
})
export type File = Static<typeof File>
export type FileClaim = Static<typeof FileClaim>

export const readFile = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id',
  summary: 'Everything known about an application and its candidate',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  reply: File,
  invalidates: ['desk'],
})

export const readProof = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/claims/:claimId/proof',
  summary: 'What stands behind a claim in a file: the papers and answers compared, what was asked and decided',
  access: 'files.read',
  params: Type.Object({ id: Id, claimId: Id }),
  reply: Proof,
  invalidates: ['desk'],
})

export const setOwner = endpoint({
  method: 'PUT',
  path: '/api/desk/applications/:id/owner',
  summary:
    'Take a file, give it to somebody, or leave it to nobody. Refused with 409 where it is somebody else’s meanwhile',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  body: Type.Object({ from: orNull(Id), to: orNull(Id) }),
  reply: Type.Object({ owner: orNull(Person) }),
  invalidates: ['desk'],
})

export const watchFile = endpoint({
  method: 'PUT',
  path: '/api/desk/applications/:id/watch',
  summary: 'Have a file among one’s own without its being one’s own, or no more',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  body: Type.Object({ watching: Type.Boolean() }),
  reply: Type.Object({ watching: Type.Boolean() }),
  invalidates: ['desk'],
})

export const sayOpen = endpoint({
  method: 'PUT',
  path: '/api/desk/applications/:id/readers',
  summary: 'Say that one has a file open, every half a minute, and be told who else has',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  body: Type.Object({ place: Type.String({ maxLength: 60 }) }),
  reply: Type.Object({ others: Type.Array(Type.Object({ name: Type.String(), place: Type.String() })) }),
})

export const listNames = endpoint({
  method: 'GET',
  path: '/api/desk/colleague-names',
  summary: 'Those a file can be given to',
  access: 'files.read',
  reply: Type.Object({ colleagues: Type.Array(Person) }),
  invalidates: ['colleagues'],
})

export const passGate = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/gates/:gate',
  summary: 'Move an application through a gate. Refused with 409 while a requirement is open',
  access: 'applications.move',
  params: Type.Object({ id: Id, gate: oneOf(gates) }),
  body: Type.Object({
    version: Version,
    salary: Type.Optional(Type.Integer({ minimum: 0, description: 'Cents a year, with an offer' })),
    answerBy: Type.Optional(Day),
  }),
  reply: Type.Object({ stage: oneOf(stages) }),
  passwordAgain: { with: 'salary' },
  idempotent: true,
  invalidates: ['desk'],
})

export const changeStart = endpoint({
  method: 'PUT',
  path: '/api/desk/applications/:id/target-start',
  summary: 'Change the target start of one application, also in its offer; the candidate is told by mail',
  access: 'applications.move',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, targetStart: Day, reason: Reason }),
  reply: Type.Object({ version: Version }),
  idempotent: true,
  invalidates: ['desk'],
})

export const extendOffer = endpoint({
  method: 'PATCH',
  path: '/api/desk/applications/:id/offer',
  summary: 'Give more time to answer an offer; one that has expired stands again',
  access: 'offers.make',
  params: Type.Object({ id: Id }),
  body: Type.Object({ answerBy: Day }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const withdrawOffer = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/offer/withdraw',
  summary: 'Take back an offer nobody has answered; another can be made',
  access: 'offers.make',
  params: Type.Object({ id: Id }),
  body: Type.Object({ reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const waive = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/waivers',
  summary: 'Waive a requirement, with a reason, by somebody who has that right',
  access: 'requirements.waive',
  params: Type.Object({ id: Id }),
  body: Type.Object({ requirement: Type.String({ maxLength: 80 }), reason: Reason }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})

export const deskVacancies = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies',
  summary: 'All vacancies with how many people stand where',
  access: 'files.read',
  reply: Type.Array(
    Type.Object({
      id: Id,
      slug: Type.String(),
      title: Type.String(),
      place: Type.String(),
      closesAt: Moment,
      timeZone: Type.String(),
      targetStart: Day,
      open: Type.Boolean(),
      state: oneOf(vacancyStates),
      group: orNull(Type.String()),
      changed: Type.Boolean({ description: 'Rules are being edited that are not published yet' }),
      headcount: Type.Integer(),
      byStage: Type.Record(Type.String(), Type.Integer()),
    }),
  ),
  invalidates: ['desk', 'vacancies'],
})
