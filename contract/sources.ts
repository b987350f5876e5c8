import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Id, oneOf } from './shapes'

export const sourceKinds = ['university', 'school', 'licensing body', 'certifier', 'employer'] as const

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
        register: Type.Boolean(),
        asked: Type.Integer(),
        open: Type.Integer(),
        medianDays: Type.Union([Type.Number(), Type.Null()]),
      }),
    ]),
  ),
  invalidates: ['desk'],
})
