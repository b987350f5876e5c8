import { Type } from '@sinclair/typebox'
import { Mail } from './accounts'
import { endpoint } from './endpoint'
import { Id, oneOf, orNull, Reason, ShortText, Version } from './shapes'
import { singleLine } from './singleLine'

export const sourceKinds = ['university', 'school', 'licensing body', 'certifier', 'insurer', 'employer'] as const

export const SourceLine = Type.Object({
  id: Id,
  name: Type.String(),
  aliases: Type.Array(Type.String()),
  kind: oneOf(sourceKinds),
  town: Type.String(),
  country: Type.String(),
  programmes: Type.Array(
    Type.Object({
      title: Type.String(),
      award: Type.String(),
      level: Type.Integer({ description: 'ISCED 2011' }),
      field: Type.String({ description: 'ISCED-F 2013' }),
      language: Type.String({ description: 'Of instruction, ISO 639-1' }),
      link: Type.Optional(Type.String()),
    }),
  ),
})
export type SourceLine = typeof SourceLine.static

export const findSources = endpoint({
  method: 'GET',
  path: '/api/sources',
  summary: 'Issuing sources by any name they go by, in any spelling',
  access: 'signed-in',
  query: Type.Object({
    text: Type.Optional(Type.String({ maxLength: 100 })),
    kind: Type.Optional(Type.String()),
    country: Type.Optional(Type.String({ pattern: '^([A-Z]{2})?$' })),
  }),
  reply: Type.Array(SourceLine),
})

export const sourceDirectory = endpoint({
  method: 'GET',
  path: '/api/desk/sources',
  summary: 'The source directory with how each answers',
  access: 'sources.keep',
  reply: Type.Array(
    Type.Intersect([
      SourceLine,
      Type.Object({
        mail: Type.String(),
        register: orNull(Type.String({ description: 'The register it keeps, as the register service knows it' })),
        answerWorkingDays: Type.Integer(),
        version: Version,
        enteredBy: Type.String(),
        checkedBy: orNull(
          Type.String({ description: 'Null before anybody has checked it; nobody is asked there until then' }),
        ),
        mayCheck: Type.Boolean({ description: 'Whether the reader may: not who entered it, unless nobody else can' }),
        alone: Type.Boolean({ description: 'Nobody else could check it: it is done with a reason' }),
        retired: Type.Boolean(),
        asked: Type.Integer(),
        open: Type.Integer(),
        medianDays: Type.Union([Type.Number(), Type.Null()]),
      }),
    ]),
  ),
  invalidates: ['desk'],
})

const byId = Type.Object({ id: Id })
const Name = Type.String({ minLength: 1, maxLength: 200, pattern: singleLine })

export const SourceGiven = Type.Object({
  name: Name,
  aliases: Type.Array(Name, { maxItems: 30, uniqueItems: true }),
  kind: oneOf(sourceKinds),
  town: ShortText,
  country: Type.String({ pattern: '^[A-Z]{2}$', description: 'ISO 3166-1' }),
  mail: Mail,
  register: orNull(ShortText),
  answerWorkingDays: Type.Integer({ minimum: 1, maximum: 120, description: 'After how many it is reminded' }),
})
export type SourceGiven = typeof SourceGiven.static

export const saveSource = endpoint({
  method: 'PUT',
  path: '/api/desk/sources/:id',
  summary: 'Enter a source (version 0) or change it; where it is asked has to be checked again by a second person',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version, source: SourceGiven }),
  reply: Type.Object({ version: Version }),
  invalidates: ['desk', 'settings'],
})

export const checkSource = endpoint({
  method: 'POST',
  path: '/api/desk/sources/:id/check',
  summary:
    'Say that a source is what it says; by somebody else than who entered it, or with a reason where there is nobody else',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version, alone: Type.Optional(Reason) }),
  reply: Type.Object({ version: Version }),
  invalidates: ['desk', 'settings'],
})

export const retireSource = endpoint({
  method: 'POST',
  path: '/api/desk/sources/:id/retire',
  summary: 'Offer a source no more, or again; what it has confirmed stays',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version, retired: Type.Boolean() }),
  reply: Type.Object({ version: Version }),
  invalidates: ['desk', 'settings'],
})
