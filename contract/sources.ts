import { type TSchema, Type } from '@sinclair/typebox'
import type { ContactFlag } from '#core/sources/lookalikes'
import { singleFields, sourceFields } from '#core/sources/merge'
import type { HitReason } from '#core/sources/rank'
import type { SellerMatch } from '#core/sources/sellers'
import {
  channels,
  conditionKinds,
  contactChecks,
  formValues,
  issuedClaims,
  nameUses,
  purposes,
  sourceKinds,
} from '#core/sources/source'
import type { TwinReason } from '#core/sources/twins'
import { sourceLanguages } from '#core/words/say'
import { Mail } from './accounts'
import { endpoint } from './endpoint'
import { Day, Done, Id, listOfCore, Moment, ofCore, oneOf, orNull, Reason, ShortText, Version } from './shapes'
import { singleLine } from './singleLine'

const byId = Type.Object({ id: Id })
const Name = Type.String({ minLength: 1, maxLength: 200, pattern: singleLine })
const Country = Type.String({ pattern: '^[A-Z]{2}$', description: 'ISO 3166-1' })
const Year = Type.Integer({ minimum: 800, maximum: 2200 })
const few = <S extends TSchema>(schema: S, maxItems: number) => Type.Array(schema, { maxItems })

const Accreditation = Type.Object({
  by: ShortText,
  basis: oneOf(['accredited', 'assessed'] as const),
  from: Year,
  to: orNull(Year),
})
const Programme = Type.Object({
  title: ShortText,
  award: ShortText,
  level: Type.Integer({ minimum: 0, maximum: 8, description: 'ISCED 2011' }),
  field: Type.String({ pattern: '^\\d{4}$', description: 'ISCED-F 2013' }),
  language: Type.String({ pattern: '^([a-z]{2})?$', description: 'Of instruction, ISO 639-1' }),
  link: Type.Optional(Type.String({ maxLength: 500, pattern: '^(https?://\\S+)?$' })),
  from: Type.Optional(orNull(Year)),
  to: Type.Optional(orNull(Year)),
  accreditations: Type.Optional(few(Accreditation, 20)),
})

const NumberFormat = Type.Object({
  claim: oneOf(['study', 'licence', 'certificate'] as const),
  pattern: Type.String({ minLength: 1, maxLength: 200, pattern: singleLine }),
  example: Type.String({ minLength: 1, maxLength: 80, pattern: singleLine }),
})

const Condition = {
  kind: oneOf(conditionKinds),
  claims: Type.Array(oneOf(issuedClaims), { uniqueItems: true, maxItems: issuedClaims.length }),
  reason: Type.String({ maxLength: 500 }),
}

export const SourceLine = Type.Object({
  id: Id,
  name: Type.String(),
  aliases: Type.Array(Type.String()),
  kind: oneOf(sourceKinds),
  town: Type.String(),
  country: Type.String(),
  programmes: Type.Array(Programme),
  numberFormats: Type.Array(NumberFormat),
  conditions: Type.Array(Type.Object({ id: Id, ...Condition }), { description: 'What it asks for before it answers' }),
})
export type SourceLine = typeof SourceLine.static

export const findSources = endpoint({
  method: 'GET',
  path: '/api/sources',
  summary: 'Issuing sources by any name they go by, in any spelling; the best first, each with why it is there',
  access: 'signed-in',
  query: Type.Object({
    text: Type.Optional(Type.String({ maxLength: 100 })),
    kind: Type.Optional(Type.String({ maxLength: 200 })),
    country: Type.Optional(Type.String({ pattern: '^([A-Z]{2})?$' })),
  }),
  reply: Type.Array(Type.Intersect([SourceLine, Type.Object({ why: orNull(ofCore<HitReason>(Type.Object({}))) })])),
})

/** Where a source stands: proposed by a candidate, waiting for its second person, fit to be asked, or no more. */
export const sourceStates = ['proposed', 'to check', 'checked', 'retired', 'merged'] as const
export type SourceState = (typeof sourceStates)[number]
/** Or of which there may be two. */
export const sourceFilters = [...sourceStates, 'double'] as const
export type SourceFilter = (typeof sourceFilters)[number]

const Standing = {
  state: oneOf(sourceStates),
  version: Version,
  enteredBy: Type.String(),
  checkedBy: orNull(Type.String({ description: 'Null before anybody has checked it' })),
  mayCheck: Type.Boolean({ description: 'Whether the reader may: not who entered it, unless nobody else can' }),
  alone: Type.Boolean({ description: 'Nobody else could check it: it is done with a reason' }),
  seller: orNull(ofCore<SellerMatch>(Type.Object({}))),
}

export const sourceDirectory = endpoint({
  method: 'GET',
  path: '/api/desk/sources',
  summary: 'The source directory page by page, or what was searched for, with how each answers',
  access: 'sources.keep',
  query: Type.Object({
    text: Type.Optional(Type.String({ maxLength: 100 })),
    kind: Type.Optional(oneOf(sourceKinds)),
    country: Type.Optional(Type.String({ pattern: '^([A-Z]{2})?$' })),
    state: Type.Optional(oneOf(sourceFilters)),
    after: Type.Optional(Type.String({ maxLength: 300 })),
  }),
  reply: Type.Object({
    rows: Type.Array(
      Type.Intersect([
        SourceLine,
        Type.Object({
          ...Standing,
          mail: Type.String({ description: 'Of the contact that is asked most' }),
          register: orNull(Type.String()),
          asked: Type.Integer(),
          open: Type.Integer(),
          medianDays: Type.Union([Type.Number(), Type.Null()]),
          why: orNull(ofCore<HitReason>(Type.Object({}))),
        }),
      ]),
    ),
    next: orNull(Type.String()),
    waiting: Type.Object({
      proposed: Type.Integer(),
      toCheck: Type.Integer(),
      doubles: Type.Integer(),
      research: Type.Integer(),
    }),
  }),
  invalidates: ['desk'],
})

const Contact = Type.Object({
  id: Id,
  purposes: Type.Array(oneOf(purposes), { uniqueItems: true, maxItems: 4 }),
  name: ShortText,
  mail: Type.Union([Type.Literal(''), Mail]),
  phone: Type.String({ maxLength: 40, pattern: '^[+0-9 ()/.-]*$' }),
  address: Type.String({ maxLength: 600 }),
})

export const Money = Type.Object({
  amount: Type.Integer({ minimum: 0, maximum: 100_000_00, description: 'In minor units' }),
  currency: Type.String({ pattern: '^[A-Z]{3}$', description: 'ISO 4217' }),
})
const WorkingDays = Type.Integer({ minimum: 1, maximum: 120, description: 'After how many it is reminded' })
const Coordinate = Type.String({ pattern: '^[A-Za-z0-9_-]{43}$', description: '32 bytes, base64url' })
const PublicKey = Type.Object(
  {
    kid: Type.String({ minLength: 1, maxLength: 300, pattern: singleLine }),
    kty: oneOf(['OKP', 'EC'] as const),
    crv: oneOf(['Ed25519', 'P-256'] as const),
    x: Coordinate,
    y: Type.Optional(Coordinate),
  },
  { additionalProperties: false, description: 'A public key as a JWK (RFC 7517); never a private one' },
)

export const SourceGiven = Type.Object({
  name: Name,
  names: few(Type.Object({ name: Name, use: oneOf(nameUses), until: Type.Optional(Year) }), 40),
  kind: oneOf(sourceKinds),
  town: ShortText,
  region: Type.String({ pattern: '^[A-Z0-9]{0,3}$', description: 'ISO 3166-2 without the country' }),
  country: Country,
  existedFrom: orNull(Year),
  existedTo: orNull(Year),
  successors: few(Type.Object({ name: Name, year: orNull(Year) }), 20),
  contacts: few(Contact, 20),
  channels: Type.Array(oneOf(channels), { uniqueItems: true, maxItems: channels.length }),
  register: orNull(ShortText),
  closures: few(Type.Object({ from: Day, to: Day, why: ShortText }), 60),
  conditions: few(
    Type.Object({
      id: Id,
      ...Condition,
      language: Type.Optional(Type.String({ pattern: '^[a-z]{2}$', description: 'ISO 639-1' })),
      form: Type.Optional(
        Type.Object({
          sha256: Type.String({ pattern: '^[0-9a-f]{64}$' }),
          fileName: ShortText,
          fill: Type.Record(Type.String({ maxLength: 200 }), oneOf(formValues), { maxProperties: 200 }),
        }),
      ),
    }),
    20,
  ),
  cost: orNull(Money),
  answerWorkingDays: WorkingDays,
  faster: Type.Optional(orNull(Type.Object({ answerWorkingDays: WorkingDays, cost: Money }))),
  together: Type.Optional(Type.Boolean({ description: 'It wants several people in one letter or mail' })),
  language: Type.Optional(oneOf([...sourceLanguages, ''] as const)),
  issuer: Type.Optional(
    orNull(
      Type.Object({
        id: Type.String({ minLength: 1, maxLength: 300, pattern: singleLine, description: 'A URL or DID' }),
        keys: Type.Array(PublicKey, { minItems: 1, maxItems: 10 }),
        statusLists: few(Type.String({ maxLength: 500, pattern: '^https?://\\S+$' }), 10),
      }),
    ),
  ),
  numberFormats: few(NumberFormat, 20),
  programmes: few(Programme, 300),
  notes: Type.String({ maxLength: 4000 }),
})
export type SourceGiven = typeof SourceGiven.static

const ShownContact = Type.Intersect([
  Type.Omit(Contact, []),
  Type.Object({
    enteredBy: Type.String(),
    checked: orNull(Type.Object({ how: orNull(oneOf(contactChecks)), by: Type.String(), at: Moment })),
    flags: listOfCore<ContactFlag>(),
  }),
])

const OtherSource = Type.Object({ id: Id, name: Type.String(), town: Type.String(), country: Type.String() })

export const readSource = endpoint({
  method: 'GET',
  path: '/api/desk/sources/:id',
  summary: 'All that is known of a source: what it is, who can be asked there, its likely twins, its history',
  access: 'sources.keep',
  params: byId,
  reply: Type.Object({
    id: Id,
    ...Standing,
    source: ofCore<SourceGiven>(Type.Object({})),
    contacts: Type.Array(ShownContact),
    origin: oneOf(['desk', 'candidate', 'import'] as const),
    mergedInto: orNull(OtherSource),
    retiredBecause: orNull(Type.String()),
    claims: Type.Integer({ description: 'How many claims name it' }),
    said: Type.Array(
      Type.Object({
        file: orNull(Id),
        who: Type.String(),
        claim: Type.String(),
        town: Type.String(),
        country: Type.String(),
        mail: Type.String(),
        phone: Type.String(),
        site: Type.String(),
      }),
      { description: 'What candidates say of it, who proposed it' },
    ),
    twins: Type.Array(
      Type.Intersect([
        OtherSource,
        Type.Object({
          version: Version,
          score: Type.Number(),
          reasons: listOfCore<TwinReason>(),
          lost: Type.Array(oneOf(singleFields)),
          source: ofCore<SourceGiven>(Type.Object({})),
          claims: Type.Integer(),
          state: oneOf(sourceStates),
        }),
      ]),
    ),
    merges: Type.Array(
      Type.Object({ id: Id, name: Type.String(), by: Type.String(), at: Moment, claims: Type.Integer() }),
    ),
    history: Type.Array(
      Type.Object({ version: Version, by: Type.String(), at: Moment, changed: Type.Array(oneOf(sourceFields)) }),
    ),
  }),
  invalidates: ['desk'],
})

const Saved = Type.Object({ version: Version })
const changes = { invalidates: ['desk', 'settings'] } as const

export const saveSource = endpoint({
  method: 'PUT',
  path: '/api/desk/sources/:id',
  summary: 'Enter a source (version 0) or change it; where it is asked has to be checked again by a second person',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version, source: SourceGiven }),
  reply: Saved,
  ...changes,
})

export const uploadSourceForm = endpoint({
  method: 'POST',
  path: '/api/desk/source-forms',
  summary: 'Keep a form that a source answers on, a PDF; its fields can then be filled from a file',
  access: 'sources.keep',
  query: Type.Object({ fileName: Type.String({ minLength: 1, maxLength: 200 }) }),
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({
    sha256: Type.String(),
    fileName: Type.String(),
    pages: Type.Integer(),
    fields: Type.Array(Type.String()),
  }),
})

export const readSourceForm = endpoint({
  method: 'GET',
  path: '/api/desk/source-forms/:sha256',
  summary: 'Such a form as it was sent, with the names of its fields where it is tried out',
  access: 'sources.keep',
  params: Type.Object({ sha256: Type.String({ pattern: '^[0-9a-f]{64}$' }) }),
  query: Type.Object({ tried: Type.Optional(oneOf(['yes'] as const)) }),
  reply: Type.Any(),
  file: true,
})

export const checkSource = endpoint({
  method: 'POST',
  path: '/api/desk/sources/:id/check',
  summary:
    'Say that a source is what it says and how each contact was made sure of; by somebody else than who entered it, or with a reason where there is nobody else',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({
    version: Version,
    how: Type.Optional(Type.Record(Type.String(), oneOf(contactChecks), { maxProperties: 20 })),
    note: Type.Optional(Reason),
    alone: Type.Optional(Reason),
  }),
  reply: Saved,
  ...changes,
})

export const retireSource = endpoint({
  method: 'POST',
  path: '/api/desk/sources/:id/retire',
  summary: 'Offer a source no more, or again; what it has confirmed stays. A proposed one is turned down with a reason',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ version: Version, retired: Type.Boolean(), because: Type.Optional(Reason) }),
  reply: Saved,
  ...changes,
})

export const mergeSources = endpoint({
  method: 'POST',
  path: '/api/desk/sources/:id/merges',
  summary:
    'Merge another source into this one: claims and enquiries follow, every name stays findable; it can be undone',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({
    goneId: Id,
    version: Version,
    goneVersion: Version,
    take: Type.Array(oneOf(singleFields), { uniqueItems: true, maxItems: singleFields.length }),
  }),
  reply: byId,
  idempotent: true,
  ...changes,
})

export const undoSourceMerge = endpoint({
  method: 'POST',
  path: '/api/desk/source-merges/:id/undo',
  summary: 'Take two merged sources apart again, each with the claims it brought',
  access: 'sources.keep',
  params: byId,
  reply: Done,
  ...changes,
})

export const setSourcesApart = endpoint({
  method: 'POST',
  path: '/api/desk/sources/:id/set-apart',
  summary: 'Record that two sources are two; they are not shown together again',
  access: 'sources.keep',
  params: byId,
  body: Type.Object({ otherId: Id }),
  reply: Done,
  ...changes,
})

export const readSourceFile = endpoint({
  method: 'GET',
  path: '/api/desk/source-exports',
  summary: 'The directory as a file that can be read in again: JSON has everything, CSV what fits a row',
  access: 'sources.keep',
  query: Type.Object({ format: oneOf(['json', 'csv'] as const) }),
  reply: Type.Any(),
  file: true,
})

export const importSources = endpoint({
  method: 'POST',
  path: '/api/desk/sources/import',
  summary: 'Read sources from such a file: first dry, to see what each row becomes, then for good',
  access: 'sources.keep',
  query: Type.Object({
    fileName: Type.String({ minLength: 1, maxLength: 200 }),
    dry: oneOf(['yes', 'no'] as const),
  }),
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({
    rows: Type.Array(
      Type.Object({
        row: Type.Integer(),
        name: Type.String(),
        becomes: oneOf(['new', 'changed', 'same', 'faulty'] as const),
        message: Type.String({ description: 'What is wrong with it' }),
        twin: orNull(Type.String({ description: 'A source that is there and may be the same' })),
      }),
    ),
    written: Type.Integer(),
  }),
  ...changes,
})

export const Watchlist = Type.Object({
  sellers: Type.Array(
    Type.Object({
      id: Id,
      names: Type.Array(Name, { minItems: 1, maxItems: 20 }),
      domains: Type.Array(Type.String({ maxLength: 200, pattern: '^[a-z0-9.-]+$' }), { maxItems: 20 }),
      note: Type.String({ maxLength: 500 }),
    }),
    { maxItems: 2000 },
  ),
  freeMail: Type.Array(Type.String({ maxLength: 200, pattern: '^[a-z0-9.-]+$' }), {
    maxItems: 5000,
    uniqueItems: true,
  }),
})
export type Watchlist = typeof Watchlist.static

export const readWatchlist = endpoint({
  method: 'GET',
  path: '/api/desk/source-watchlist',
  summary: 'Known sellers of degrees, and domains at which anybody gets an address',
  access: 'sources.keep',
  reply: Type.Object({ version: Version, watchlist: Watchlist }),
  invalidates: ['desk'],
})

export const saveWatchlist = endpoint({
  method: 'PUT',
  path: '/api/desk/source-watchlist',
  summary: 'Change the list of sellers and of free domains',
  access: 'sources.keep',
  body: Type.Object({ version: Version, watchlist: Watchlist }),
  reply: Saved,
  ...changes,
})

export const importSellers = endpoint({
  method: 'POST',
  path: '/api/desk/source-watchlist/import',
  summary:
    'Add sellers from a CSV file with the columns name, other names, domains, note; those known already are left',
  access: 'sources.keep',
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({ version: Version, added: Type.Integer() }),
  ...changes,
})
