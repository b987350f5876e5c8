import { type TSchema, Type } from '@sinclair/typebox'
import {
  type Catalogue,
  cataloguePartKeys,
  catalogueParts,
  credentialFieldKinds,
  sensitivities,
} from '#core/catalogue/catalogue'
import { changesOfCatalogue } from '#core/catalogue/differences'
import { endpoint } from './endpoint'
import { translated } from './ruleShapes'
import { Moment, oneOf, Version } from './shapes'
import { singleLine } from './singleLine'

const strict = { additionalProperties: false }
const Line = (most: number, least = 0) => Type.String({ minLength: least, maxLength: most, pattern: singleLine })
const key = { key: Type.String({ pattern: '^[a-z0-9][a-z0-9 -]{0,39}$' }) }
const FieldKey = Type.String({ pattern: '^[a-z0-9-]{1,40}$' })
const Percent = Type.Number({ minimum: 0, maximum: 100 })

/** What everything that is named has; `texts` are those that may be written in other languages. */
const named = <Texts extends Record<string, TSchema>>(texts: Texts) => ({
  ...key,
  ...texts,
  retired: Type.Optional(Type.Boolean({ description: 'Known, and not offered any more' })),
  translations: translated(texts),
})
const name = { name: Line(120, 1) }

const CredentialField = Type.Object(
  {
    key: FieldKey,
    label: Line(120, 1),
    kind: oneOf(credentialFieldKinds),
    required: Type.Boolean(),
    help: Type.Optional(Line(300)),
    options: Type.Optional(Type.Array(Line(120, 1), { maxItems: 60, uniqueItems: true })),
    unit: Type.Optional(Line(20)),
    retired: Type.Optional(Type.Boolean()),
    translations: translated({
      label: Line(120),
      help: Line(300),
      unit: Line(20),
      options: Type.Array(Line(120), { maxItems: 60 }),
    }),
  },
  strict,
)

const ValidityRule = Type.Union([
  Type.Object({ kind: Type.Literal('printed') }, strict),
  Type.Object(
    {
      kind: Type.Literal('months'),
      months: Type.Integer({ minimum: 1, maximum: 600 }),
      toEndOfMonth: Type.Boolean(),
    },
    strict,
  ),
  Type.Object({ kind: Type.Literal('no end') }, strict),
])

const CredentialKind = Type.Object(
  {
    ...named({ ...name, papers: Line(200) }),
    claim: oneOf(['licence', 'certificate'] as const),
    validity: ValidityRule,
    leadDays: Type.Integer({ minimum: 0, maximum: 730 }),
    number: Type.Optional(Type.Object({ pattern: Line(200, 1), example: Line(80, 1) }, strict)),
    regions: Type.Optional(Type.Array(Line(120, 1), { minItems: 1, maxItems: 200, uniqueItems: true })),
    bothSides: Type.Boolean(),
    series: Type.Optional(
      Type.Object(
        {
          steps: Type.Integer({ minimum: 1, maximum: 9 }),
          gapDays: Type.Integer({ minimum: 1, maximum: 730 }),
          repeatMonths: Type.Optional(Type.Integer({ minimum: 1, maximum: 600 })),
        },
        strict,
      ),
    ),
    sensitivity: oneOf(sensitivities),
    fields: Type.Array(CredentialField, { maxItems: 20 }),
  },
  strict,
)

const classes = Type.Array(
  Type.Object({ from: Percent, name: Line(80, 1), translations: translated({ name: Line(80) }) }, strict),
  { maxItems: 20 },
)
const Scale = Type.Union([
  Type.Object(
    { kind: Type.Literal('numbers'), worst: Type.Number(), best: Type.Number(), pass: Type.Number(), classes },
    strict,
  ),
  Type.Object(
    {
      kind: Type.Literal('letters'),
      letters: Type.Array(Type.Object({ letter: Line(12, 1), percent: Percent, passes: Type.Boolean() }, strict), {
        maxItems: 40,
      }),
      classes,
    },
    strict,
  ),
])

const list = (shape: TSchema, most = 400) => Type.Array(shape, { maxItems: most })
const standard = (pattern: string) => Type.Object({ ...named(name), key: Type.String({ pattern }) }, strict)

export const CatalogueShape = Type.Unsafe<Catalogue>(
  Type.Object(
    {
      credentials: list(CredentialKind),
      levels: list(standard(cataloguePartKeys.levels), 9),
      fields: list(standard(cataloguePartKeys.fields)),
      scales: list(Type.Object({ ...named(name), scale: Scale }, strict), 60),
      documents: list(
        Type.Object({ ...named({ ...name, hint: Line(300) }), sensitivity: oneOf(sensitivities) }, strict),
      ),
      languages: list(standard(cataloguePartKeys.languages)),
    },
    strict,
  ),
)

export const readCatalogue = endpoint({
  method: 'GET',
  path: '/api/catalogue',
  summary: 'What the organisation knows by name: kinds of credentials and documents, studies, scales, languages',
  access: 'anyone',
  reply: Type.Object({ version: Version, catalogue: CatalogueShape }),
  invalidates: ['catalogue'],
})

export const readCatalogueVersions = endpoint({
  method: 'GET',
  path: '/api/desk/catalogue/versions',
  summary: 'Who changed what in the catalogue, the newest first',
  access: 'catalogue.keep',
  reply: Type.Object({
    versions: Type.Array(
      Type.Object({
        version: Version,
        changedBy: Type.String(),
        changedAt: Moment,
        changes: Type.Array(
          Type.Object({
            part: oneOf(catalogueParts),
            key: Type.String(),
            name: Type.String(),
            what: oneOf(changesOfCatalogue),
          }),
        ),
      }),
    ),
  }),
  invalidates: ['catalogue'],
})

export const saveCatalogue = endpoint({
  method: 'PUT',
  path: '/api/desk/catalogue',
  summary: 'The catalogue, changed; nothing that was named before may be left out',
  access: 'catalogue.keep',
  body: Type.Object({ version: Version, catalogue: CatalogueShape }),
  reply: Type.Object({ version: Version }),
  invalidates: ['catalogue'],
})
