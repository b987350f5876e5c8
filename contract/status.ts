import { type Static, Type } from '@sinclair/typebox'
import type { Question } from '#core/form/form'
import { stages } from '#core/hiring/stages'
import { matterOutcomes } from '#core/requirements/matter'
import { gates } from '#core/requirements/requirement'
import type { AskedBySource } from '#core/requirements/sourceCondition'
import type { KnownStudy } from '#core/sources/knownStudy'
import { Answers } from './answers'
import { CompletionLeft, ReopenedPart } from './applications'
import { Claim } from './claims'
import { endpoint } from './endpoint'
import { Day, Done, Id, listOfCore, Moment, oneOf, orNull, Version } from './shapes'

const byId = Type.Object({ id: Id })

/** What happened to a sent application, who has the ball, and what its candidate does from there. */
const Happening = Type.Object({ at: Moment, text: Type.String() })

const Status = Type.Object({
  id: Id,
  reference: orNull(Type.String()),
  title: Type.String(),
  stage: oneOf(stages),
  targetStart: Day,
  ball: Type.String(),
  completion: CompletionLeft,
  /** The day by which they are promised a decision, while they wait for one. */
  decidesOn: orNull(Day),
  likely: orNull(Type.Object({ early: Day, likely: Day, late: Day })),
  gates: Type.Array(
    Type.Object({
      gate: oneOf(gates),
      name: Type.String(),
      state: oneOf(['passed', 'next', 'later'] as const),
      passedAt: orNull(Moment),
    }),
  ),
  toDo: Type.Array(
    Type.Object({
      key: Type.String(),
      title: Type.String(),
      why: Type.String(),
      act: oneOf([
        'upload',
        'be heard',
        'portrait',
        'certify',
        'renew',
        'sit check',
        'answer offer',
        'do task',
        'pay',
        'source paper',
        'finish',
        'go',
      ] as const),
      target: Type.String({ description: 'The claim, check, task or section it is about' }),
      label: Type.String({ description: 'What the button says' }),
      minutes: orNull(Type.Integer()),
    }),
  ),
  askedBySources: listOfCore<AskedBySource>(),
  studies: listOfCore<KnownStudy>(),
  matters: Type.Array(
    Type.Object({
      title: Type.String(),
      state: oneOf(['waiting', ...matterOutcomes] as const),
      on: orNull(Day),
      reason: Type.String({ description: 'Why it was decided so, where that was' }),
    }),
    { description: 'What they declared that a person decides' },
  ),
  owed: Type.Array(
    Type.Object({ claim: Id, title: Type.String(), finalBy: Day }, { description: 'Final papers still to come' }),
  ),
  withOthers: Type.Array(Type.Object({ title: Type.String(), why: Type.String(), who: Type.String() })),
  done: Type.Array(Type.Object({ title: Type.String(), why: Type.String() })),
  claims: Type.Array(Claim),
  /** Contact details, which may be corrected at any time. */
  contact: Type.Object({ version: Version, questions: listOfCore<Question>(), answers: Answers }),
  reopened: Type.Array(ReopenedPart),
  permission: orNull(
    Type.Object({ signedAt: Moment, asked: Type.Integer({ description: 'Questions open with sources' }) }),
  ),
  offer: orNull(
    Type.Object({
      salary: Type.Integer(),
      startsOn: Day,
      answerBy: Day,
      answer: orNull(oneOf(['accepted', 'declined'] as const)),
    }),
  ),
  tasks: Type.Array(
    Type.Object({ key: Type.String(), title: Type.String(), text: Type.String(), doneAt: orNull(Moment) }),
  ),
  happenings: Type.Array(Happening),
  /** The vacancy, where it was withdrawn and can be applied for again. */
  again: orNull(Type.String()),
  today: Day,
})
export type Status = Static<typeof Status>

export const readStatus = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/status',
  summary: 'What happened, who has the ball, what to do next',
  access: 'candidate',
  params: byId,
  reply: Status,
  invalidates: ['status'],
})

export const readApplicationPdf = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/application.pdf',
  summary: 'One’s application as it was sent, as PDF',
  access: 'candidate',
  params: byId,
  reply: Type.Any(),
  file: true,
})

export const readPermissionPdf = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/permission.pdf',
  summary: 'The permission to check as one signed it, as PDF',
  access: 'candidate',
  params: byId,
  reply: Type.Any(),
  file: true,
})

export const answerOffer = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/offer',
  summary: 'Accept or decline the offer',
  access: 'candidate',
  params: byId,
  body: Type.Object({ answer: oneOf(['accepted', 'declined'] as const) }),
  reply: Done,
  idempotent: true,
  invalidates: ['status'],
})

export const doOnboardingTask = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/tasks/:task',
  summary: 'Acknowledge an onboarding task as read and understood',
  access: 'candidate',
  params: Type.Object({ id: Id, task: Type.String() }),
  body: Type.Object({ acknowledged: Type.Literal(true) }),
  reply: Done,
  idempotent: true,
  invalidates: ['status'],
})
