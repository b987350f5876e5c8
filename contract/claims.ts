import { type Static, Type } from '@sinclair/typebox'
import { cefrLevels } from '#core/catalogue/cefr'
import { attestationForms } from '#core/documents/attestation'
import { videoLimits } from '#core/documents/limits'
import { rungs } from '#core/requirements/requirement'
import { DocumentLine } from './documents'
import { endpoint } from './endpoint'
import { Day, Done, Id, Moment, oneOf, orNull, PartialDay, ShortText, Version } from './shapes'

const SourceChoice = { sourceId: orNull(Id), sourceName: ShortText }
/** What a candidate says of a source that is not in the directory; nobody is written to by it. */
const SourceSaid = Type.Object({
  town: ShortText,
  country: Type.String({ pattern: '^([A-Z]{2})?$', description: 'ISO 3166-1' }),
  mail: ShortText,
  phone: Type.String({ maxLength: 40 }),
  site: ShortText,
})
export const askingWhen = ['now', 'after an offer', 'never'] as const
/** Whether its source may be asked, and why not; where nothing is said, it may. */
const IssuerChoice = {
  ...SourceChoice,
  sourceSaid: Type.Optional(SourceSaid),
  mayAsk: Type.Optional(oneOf(askingWhen)),
  mayNotBecause: Type.Optional(ShortText),
}
const Country = Type.String({ pattern: '^([A-Z]{2})?$', description: 'ISO 3166-1' })
export const studyOutcomes = ['finished', 'in progress', 'left'] as const
const End = Type.Union([PartialDay, Type.Literal('present')])

export const StudyDetails = Type.Object({
  kind: Type.Literal('study'),
  ...IssuerChoice,
  award: ShortText,
  subject: ShortText,
  level: Type.Integer({ minimum: 0, maximum: 8, description: 'ISCED 2011' }),
  field: Type.String({ pattern: '^\\d{4}$', description: 'ISCED-F 2013' }),
  number: ShortText,
  from: PartialDay,
  to: End,
  /** The name of a programme known at the institution. */
  programme: Type.Optional(ShortText),
  country: Type.Optional(Country),
  language: Type.Optional(Type.String({ pattern: '^[a-z]{2}$', description: 'Of instruction, ISO 639-1' })),
  outcome: Type.Optional(oneOf(studyOutcomes)),
  /** When something in progress is expected to be finished. */
  expected: Type.Optional(Type.Union([PartialDay, Type.Literal('')])),
  /** What was studied beside it. */
  second: Type.Optional(
    Type.Object({
      subject: ShortText,
      field: Type.String({ pattern: '^\\d{4}$', description: 'ISCED-F 2013' }),
      as: oneOf(['second field', 'minor'] as const),
    }),
  ),
  /** The programme's own page. */
  link: Type.Optional(Type.String({ maxLength: 500, pattern: '^(https?://\\S+)?$' })),
  marks: Type.Optional(
    Type.Object({
      scale: Type.String({ maxLength: 40 }),
      terms: Type.Array(
        Type.Object({
          name: ShortText,
          courses: Type.Array(
            Type.Object({
              title: ShortText,
              credits: Type.Number({ minimum: 0, maximum: 400 }),
              mark: Type.String({ maxLength: 12 }),
            }),
            { maxItems: 60 },
          ),
        }),
        { maxItems: 24 },
      ),
    }),
  ),
})

export const activities = [
  'employment',
  'self-employment',
  'study or training',
  'military or civilian service',
  'care',
  'travel',
  'without work',
] as const

export const WorkDetails = Type.Object({
  kind: Type.Literal('work'),
  ...IssuerChoice,
  activity: oneOf(activities),
  position: ShortText,
  from: PartialDay,
  to: End,
  fullTimeShare: Type.Integer({ minimum: 0, maximum: 100, description: 'Per cent of full time' }),
  tags: Type.Array(Type.String({ maxLength: 40 }), { maxItems: 8 }),
  confirmBy: ShortText,
  mayAsk: oneOf(askingWhen),
})

/** What the kind asks beyond number and days, by the keys of its fields; amounts in hundredths, days in ISO form. */
const CredentialFields = Type.Record(Type.String({ pattern: '^[a-z0-9-]{1,40}$' }), Type.String({ maxLength: 200 }), {
  maxProperties: 20,
})

const Steps = Type.Array(Day, { maxItems: 30, uniqueItems: true })

export const CredentialDetails = Type.Object({
  kind: oneOf(['licence', 'certificate'] as const),
  ...IssuerChoice,
  credential: Type.String({ maxLength: 40 }),
  number: ShortText,
  /** Where it holds, for kinds that are given for a region. */
  region: Type.Optional(ShortText),
  issued: Type.Union([PartialDay, Type.Literal('')]),
  through: Type.Union([PartialDay, Type.Literal('does not expire'), Type.Literal('unknown')]),
  fields: Type.Optional(CredentialFields),
  /** When each step of its series was given, where its kind has one: issue and last day follow from them. */
  steps: Type.Optional(Steps),
})

/** A language somebody speaks, and the certificate of it where there is one. */
const LanguageDetails = Type.Object({
  kind: Type.Literal('language'),
  ...IssuerChoice,
  language: Type.String({ pattern: '^[a-z]{2}$', description: 'ISO 639-1' }),
  level: oneOf(cefrLevels),
  number: ShortText,
  issued: Type.Union([PartialDay, Type.Literal('')]),
  through: Type.Union([PartialDay, Type.Literal('does not expire'), Type.Literal('unknown')]),
})

/** That somebody entitled to it, the source, vouches for the paper of another claim. */
const AttestationDetails = Type.Object({
  kind: Type.Literal('attestation'),
  ...IssuerChoice,
  form: oneOf(attestationForms),
  /** As whom: notary, sworn translator, embassy. */
  capacity: ShortText,
  on: Type.Union([PartialDay, Type.Literal('')]),
  number: ShortText,
  /** The claim whose paper it is, and what that is called. */
  of: Id,
  title: ShortText,
  /** What that claim is of, as it stands there: its paper is as sensitive here. */
  paper: Type.Optional(
    Type.Object({
      kind: Type.String({ maxLength: 20 }),
      credential: Type.Optional(Type.String({ maxLength: 40 })),
      documentKind: Type.Optional(Type.String({ maxLength: 40 })),
    }),
  ),
})

/** A paper that a question of a form asks for; nobody is asked about it, somebody looks at it. */
export const PaperDetails = Type.Object({
  kind: Type.Literal('paper'),
  ...SourceChoice,
  question: Type.String({ maxLength: 80 }),
  title: ShortText,
  /** Its kind, by its key in the catalogue. */
  documentKind: Type.Optional(Type.String({ maxLength: 40 })),
  /** What is asked for is a video of at most so many seconds. */
  videoSeconds: Type.Optional(Type.Integer({ minimum: 5, maximum: videoLimits.seconds })),
})

/** Where somebody lived. */
const ResidenceDetails = Type.Object({
  kind: Type.Literal('residence'),
  ...SourceChoice,
  address: ShortText,
  /** What it was written from; homes given in one line have none. */
  place: Type.Optional(
    Type.Object({
      street: Type.Optional(ShortText),
      postcode: Type.Optional(Type.String({ maxLength: 12 })),
      town: ShortText,
      region: Type.Optional(ShortText),
    }),
  ),
  country: Country,
  from: PartialDay,
  to: End,
})

export const identityPapers = ['passport', 'identity card', 'residence permit', 'two others'] as const

/** The paper that shows who somebody is; `two others` is for those who have none: two other papers and a portrait. */
const IdentityDetails = Type.Object({
  kind: Type.Literal('identity'),
  ...SourceChoice,
  paper: oneOf(identityPapers),
  number: ShortText,
  issuer: Type.String({ pattern: '^([A-Z]{1,3})?$', description: 'As in the machine-readable zone' }),
  familyName: ShortText,
  givenNames: ShortText,
  born: Type.Union([Day, Type.Literal('')]),
  through: Type.Union([Day, Type.Literal('')]),
  /** The machine-readable zone as it was captured; empty where the fields were typed. */
  zone: Type.String({ maxLength: 140 }),
})

export const ClaimDetails = Type.Union([
  StudyDetails,
  WorkDetails,
  ResidenceDetails,
  CredentialDetails,
  LanguageDetails,
  AttestationDetails,
  IdentityDetails,
  PaperDetails,
])
export type ClaimDetails = Static<typeof ClaimDetails>
export type ClaimKind = ClaimDetails['kind']
/** The details of one kind of claim. */
export type DetailsOf<Kind extends ClaimKind> = Kind extends 'licence' | 'certificate'
  ? Static<typeof CredentialDetails>
  : Extract<ClaimDetails, { kind: Kind }>

export const Claim = Type.Object({
  id: Id,
  version: Version,
  credentialVersion: Type.Integer({ minimum: 1, description: 'Grows with every renewal' }),
  details: ClaimDetails,
  label: Type.String(),
  rung: oneOf(rungs),
  /** Since when its source has confirmed it and until when that serves; stale where it has to be asked again. */
  confirmed: orNull(Type.Object({ since: Day, until: orNull(Day), stale: Type.Optional(Type.Literal(true)) })),
  /** When the candidate last gave or confirmed it. */
  saidAt: Moment,
  documents: Type.Array(DocumentLine),
  earlier: Type.Array(
    Type.Object({
      credentialVersion: Type.Integer(),
      details: ClaimDetails,
      rung: oneOf(rungs),
      replacedAt: Moment,
      documents: Type.Array(DocumentLine),
    }),
  ),
})
export type Claim = Static<typeof Claim>

export const addClaim = endpoint({
  method: 'POST',
  path: '/api/my/claims',
  summary: 'Add a claim to one’s own file',
  access: 'candidate',
  behalf: true,
  body: Type.Object({ details: ClaimDetails }),
  reply: Claim,
  idempotent: true,
  invalidates: ['draft', 'status'],
})

export const changeClaim = endpoint({
  method: 'PUT',
  path: '/api/my/claims/:id',
  summary: 'Correct a claim that nobody has confirmed yet',
  access: 'candidate',
  behalf: true,
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, details: ClaimDetails }),
  reply: Claim,
  invalidates: ['draft', 'status'],
})

export const orderClaims = endpoint({
  method: 'PUT',
  path: '/api/my/claim-order',
  summary: 'Put claims of one’s own in an order, such as studies from the lowest to the highest',
  access: 'candidate',
  behalf: true,
  body: Type.Object({ claims: Type.Array(Id, { minItems: 1, maxItems: 100, uniqueItems: true }) }),
  reply: Done,
  invalidates: ['draft', 'status'],
})

const AskingBody = { mayAsk: oneOf(askingWhen), because: ShortText }
export type Asking = { mayAsk: (typeof askingWhen)[number]; because: string }

export const setAsking = endpoint({
  method: 'PUT',
  path: '/api/my/claims/:id/permission',
  summary: 'Say whether and when the source of one claim may be asked; what is asked already is called off',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, ...AskingBody }),
  reply: Claim,
  invalidates: ['draft', 'status'],
})

export const stateAward = endpoint({
  method: 'POST',
  path: '/api/my/claims/:id/confirm',
  summary:
    'Say that the paper of an award says the same as was written, and that one finished: what is known is confirmed at once',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, paperSaysTheSame: Type.Literal(true), finished: Type.Literal(true) }),
  reply: Claim,
  invalidates: ['draft', 'status'],
})

export const removeClaim = endpoint({
  method: 'DELETE',
  path: '/api/my/claims/:id',
  summary: 'Take a claim out of the file; what was sent before keeps it',
  access: 'candidate',
  behalf: true,
  params: Type.Object({ id: Id }),
  query: Type.Object({ version: Type.String({ pattern: '^\\d+$' }) }),
  reply: Done,
  invalidates: ['draft', 'status'],
})

export const renewCredential = endpoint({
  method: 'POST',
  path: '/api/my/claims/:id/renew',
  summary: 'Give a licence or certificate its renewal: a new version of the same credential, with its history kept',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({
    version: Version,
    number: ShortText,
    issued: PartialDay,
    through: Type.Union([PartialDay, Type.Literal('does not expire')]),
    fields: Type.Optional(CredentialFields),
    steps: Type.Optional(Steps),
  }),
  reply: Claim,
  idempotent: true,
  invalidates: ['draft', 'status'],
})
