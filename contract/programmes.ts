import { Type } from '@sinclair/typebox'
import { type Consulted, type ResearchedProgramme, type ResearchOutcome, researchStates } from '#core/sources/research'
import { endpoint } from './endpoint'
import { Day, Done, Id, listOfCore, Moment, ofCore, oneOf, orNull, Reason, ShortText, Version } from './shapes'

/** What is known of programmes and awards beyond a source's own entry: records of awards, and research into new programmes. */

const byId = Type.Object({ id: Id })
const changes = { invalidates: ['desk'] } as const

export const readAwards = endpoint({
  method: 'GET',
  path: '/api/desk/sources/:id/awards',
  summary: 'What an institution has told us of its awards, by number or name; the newest fifty',
  access: 'sources.keep',
  params: byId,
  query: Type.Object({ text: Type.Optional(Type.String({ maxLength: 100 })) }),
  reply: Type.Object({
    count: Type.Integer({ description: 'All there are' }),
    rows: Type.Array(
      Type.Object({
        id: Id,
        number: Type.String(),
        name: Type.String(),
        born: Type.String(),
        award: Type.String(),
        subject: Type.String(),
        awarded: Type.String(),
        enteredBy: Type.String(),
        enteredAt: Moment,
      }),
    ),
  }),
  invalidates: ['desk'],
})

export const importAwards = endpoint({
  method: 'POST',
  path: '/api/desk/sources/:id/awards/import',
  summary:
    'Take in a list an institution has sent: CSV with the columns number, name, born, award, subject, awarded. What candidates have stated and agrees is confirmed at once',
  access: 'sources.keep',
  params: byId,
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({
    kept: Type.Integer(),
    faulty: Type.Array(Type.Object({ row: Type.Integer(), message: Type.String() })),
    confirmed: Type.Integer({ description: 'Claims that are confirmed by it' }),
  }),
  ...changes,
})

export const removeAward = endpoint({
  method: 'DELETE',
  path: '/api/desk/sources/:id/awards/:award',
  summary: 'Take a record of an award out; what it has confirmed stays',
  access: 'sources.keep',
  params: Type.Object({ id: Id, award: Id }),
  reply: Done,
  ...changes,
})

const Line = Type.Object({
  id: Id,
  source: Type.Object({ id: Id, name: Type.String() }),
  programme: ofCore<ResearchedProgramme>(Type.Object({})),
  state: oneOf(researchStates),
  owner: orNull(Type.String()),
  openedAt: Moment,
  neededBy: orNull(Day),
  files: Type.Array(Type.Object({ id: Id, reference: orNull(Type.String()) })),
  recognised: orNull(Type.Boolean()),
})

export const listResearch = endpoint({
  method: 'GET',
  path: '/api/desk/researched-programmes',
  summary: 'Programmes nobody knew when somebody named them; what is needed soonest first',
  access: 'sources.keep',
  query: Type.Object({ state: Type.Optional(oneOf(researchStates)) }),
  reply: Type.Object({
    rows: Type.Array(Line),
    counts: Type.Object({ open: Type.Integer(), 'second reader': Type.Integer(), done: Type.Integer() }),
  }),
  invalidates: ['desk'],
})

export const readResearch = endpoint({
  method: 'GET',
  path: '/api/desk/researched-programmes/:id',
  summary: 'One of them: what was consulted, what came of it, who read it as the second',
  access: 'sources.keep',
  params: byId,
  reply: Type.Intersect([
    Line,
    Type.Object({
      version: Version,
      mine: Type.Boolean(),
      consulted: listOfCore<Consulted>(),
      outcome: orNull(ofCore<ResearchOutcome>(Type.Object({}))),
      concludedBy: orNull(Type.String()),
      concludedAt: orNull(Moment),
      readBy: orNull(Type.String()),
      readAt: orNull(Moment),
      note: Type.String(),
      mayRead: Type.Boolean({
        description: 'Whether the reader may be the second: not who concluded it, unless nobody else can',
      }),
      alone: Type.Boolean(),
    }),
  ]),
  invalidates: ['desk'],
})

const Year = Type.Integer({ minimum: 1800, maximum: 2200 })
const consulted = Type.Array(
  Type.Object({ what: ShortText, link: Type.String({ maxLength: 500, pattern: '^(https?://\\S+)?$' }) }),
  {
    maxItems: 30,
  },
)
const outcome = Type.Object({
  level: Type.Integer({ minimum: 0, maximum: 8, description: 'ISCED 2011' }),
  field: Type.String({ pattern: '^\\d{4}$', description: 'ISCED-F 2013' }),
  recognised: Type.Boolean(),
  comparableTo: ShortText,
  why: Type.String({ maxLength: 2000 }),
  from: Year,
  to: orNull(Year),
})
const Saved = Type.Object({ version: Version })

export const takeResearch = endpoint({
  method: 'POST',
  path: '/api/desk/researched-programmes/:id/owner',
  summary: 'Take research into a programme upon oneself, also from somebody else',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Saved,
  ...changes,
})

export const saveResearch = endpoint({
  method: 'PUT',
  path: '/api/desk/researched-programmes/:id',
  summary: 'Keep what was consulted and found so far; concluded, it goes to a second reader',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version, consulted, outcome: orNull(outcome), concluded: Type.Boolean() }),
  reply: Saved,
  ...changes,
})

export const readAsSecond = endpoint({
  method: 'POST',
  path: '/api/desk/researched-programmes/:id/check',
  summary:
    'Agree with what was found, or send it back with a reason; a recognised programme is known to its source from then on. By somebody else than who concluded it, or with a reason where there is nobody else',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({
    version: Version,
    agrees: Type.Boolean(),
    note: Type.Optional(Reason),
    alone: Type.Optional(Reason),
  }),
  reply: Saved,
  ...changes,
})

export const reopenResearch = endpoint({
  method: 'POST',
  path: '/api/desk/researched-programmes/:id/reopen',
  summary: 'Look once more into a programme that was not recognised',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version }),
  reply: Saved,
  ...changes,
})

export const askAboutProgramme = endpoint({
  method: 'POST',
  path: '/api/my/claims/:id/researched-programmes',
  summary:
    'Ask about a programme that nobody here knows, also ahead of finishing, with a link to it in place of papers',
  access: 'candidate',
  params: byId,
  reply: Done,
  invalidates: ['draft', 'status'],
})
