import { type Static, Type } from '@sinclair/typebox'
import { type ScheduleKind, scheduleKinds, scheduleLimits } from '#core/enquiries/schedule'
import { type IssuedClaim, issuedClaims } from '#core/sources/source'
import { languages } from '#core/words/say'
import { endpoint } from './endpoint'
import { Done, oneOf, orNull, Version } from './shapes'
import { singleLine } from './singleLine'

const Line = (most: number, least = 0) => Type.String({ minLength: least, maxLength: most, pattern: singleLine })

/** A text in the languages there are; a language without one is left out. */
const byLanguage = (most: number) =>
  Type.Object(
    Object.fromEntries(languages.map((language) => [language, Type.Optional(Type.String({ maxLength: most }))])) as {
      en: ReturnType<typeof optionalText>
      de: ReturnType<typeof optionalText>
    },
  )
const optionalText = () => Type.Optional(Type.String())

const months = () => orNull(Type.Integer())
const days = (most: number) => Type.Integer({ minimum: 1, maximum: most })

const Schedule = Type.Object({
  reminders: Type.Integer({ minimum: scheduleLimits.reminders.least, maximum: scheduleLimits.reminders.most }),
  everyWorkingDays: Type.Integer({
    minimum: scheduleLimits.everyWorkingDays.least,
    maximum: scheduleLimits.everyWorkingDays.most,
  }),
})

export const Organisation = Type.Object({
  name: Line(120, 1),
  street: Line(120),
  postcode: Line(20),
  town: Line(80),
  country: Type.String({ pattern: '^[A-Z]{2}$', description: 'ISO 3166-1' }),
  region: Type.String({ pattern: '^[A-Z0-9]{0,3}$', description: 'ISO 3166-2 without the country' }),
  contact: Type.Union([Type.Literal(''), Type.String({ format: 'email', maxLength: 200 })]),
  phone: Line(40),
  timeZone: Type.String({ minLength: 1, maxLength: 60, description: 'IANA' }),
  languages: Type.Array(oneOf(languages), { minItems: 1, uniqueItems: true, description: 'The usual one first' }),
  currency: Type.String({ pattern: '^[A-Z]{3}$', description: 'ISO 4217' }),
  accent: Type.String({ pattern: '^#[0-9a-f]{6}$' }),
  referencePrefix: Type.String({ pattern: '^[A-HJKMNP-TV-Y]{2}$', description: 'What references begin with' }),
  closedDays: Type.Array(
    Type.Object({
      day: Type.String({ pattern: '^(\\d{4}-)?(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' }),
      name: Line(80, 1),
    }),
    { maxItems: 200 },
  ),
  families: Type.Array(Line(80, 1), { maxItems: 100, uniqueItems: true }),
  places: Type.Array(Line(120, 1), { maxItems: 200, uniqueItems: true }),
  welcome: byLanguage(120),
  footer: byLanguage(600),
  keeping: Type.Object({
    notSentDays: days(3650),
    endedDays: days(3650),
    clearedYears: days(50),
    trailYears: days(50),
  }),
  freshMonths: Type.Object(
    Object.fromEntries(issuedClaims.map((kind) => [kind, orNull(days(600))])) as Record<
      IssuedClaim,
      ReturnType<typeof months>
    >,
    { description: 'For how long what was confirmed is not asked again; null for good' },
  ),
  bank: Type.Object(
    {
      holder: Type.String({ maxLength: 70 }),
      iban: Type.String({ maxLength: 42 }),
      bic: Type.String({ maxLength: 11 }),
    },
    { description: 'Where transfers go; empty where none are taken' },
  ),
  hearingDays: Type.Integer({
    minimum: 1,
    maximum: 60,
    description: 'Days somebody has to answer before a contradiction about them is final',
  }),
  enquiries: Type.Object({
    schedules: Type.Object(
      Object.fromEntries(scheduleKinds.map((kind) => [kind, Schedule])) as Record<ScheduleKind, typeof Schedule>,
      { description: 'Reminders by way, and for what is handled faster' },
    ),
    costLimit: orNull(
      Type.Integer({ minimum: 0, maximum: 100_000_00, description: 'Above it a cost is approved by somebody else' }),
    ),
    againIn: Type.Array(Type.String({ pattern: '^[A-Z]{2}$' }), {
      maxItems: 250,
      uniqueItems: true,
      description: 'Where a former employer may be asked whether they would employ somebody again',
    }),
  }),
})

const Logo = Type.Object({
  address: Type.String(),
  width: Type.Integer(),
  height: Type.Integer(),
})

export const readOrganisation = endpoint({
  method: 'GET',
  path: '/api/desk/organisation',
  summary: 'Whose application this is, and what holds in all of it',
  access: 'organisation.keep',
  reply: Type.Object({
    organisation: Organisation,
    version: Version,
    logo: orNull(Logo),
    referencesGiven: Type.Boolean({ description: 'Their beginning is fixed from then on' }),
    countries: Type.Array(
      Type.Object({
        code: Type.String(),
        regions: Type.Array(Type.Object({ code: Type.String(), name: Type.String() })),
      }),
    ),
    holidays: Type.Array(Type.Object({ day: Type.String(), name: Type.String() }), {
      description: 'Public holidays of the coming twelve months where the organisation is',
    }),
  }),
  invalidates: ['organisation'],
})

export const saveOrganisation = endpoint({
  method: 'PUT',
  path: '/api/desk/organisation',
  summary: 'Change what holds for the whole organisation; the version before is kept',
  access: 'organisation.keep',
  body: Type.Object({ version: Version, organisation: Organisation }),
  reply: Type.Object({ version: Version }),
  invalidates: ['organisation', 'session', 'vacancies', 'settings'],
})

export const saveLogo = endpoint({
  method: 'PUT',
  path: '/api/desk/organisation/logo',
  summary: 'Give the organisation a logo: PNG, JPEG, WebP or SVG, drawn anew as PNG',
  access: 'organisation.keep',
  bytes: true,
  reply: Logo,
  invalidates: ['organisation', 'session'],
})

export const removeLogo = endpoint({
  method: 'DELETE',
  path: '/api/desk/organisation/logo',
  summary: 'Take the logo away',
  access: 'organisation.keep',
  reply: Done,
  invalidates: ['organisation', 'session'],
})

export const readLogo = endpoint({
  method: 'GET',
  path: '/api/organisation/logo.png',
  summary: 'The logo of the organisation',
  access: 'anyone',
  query: Type.Object({ of: Type.Optional(Type.String({ maxLength: 64 })) }),
  file: true,
  reply: Type.Object({}),
})

const PermissionTexts = Type.Object(
  Object.fromEntries(languages.map((language) => [language, Type.String({ minLength: 40, maxLength: 6000 })])) as {
    en: ReturnType<typeof longText>
    de: ReturnType<typeof longText>
  },
)
const longText = () => Type.String()

export const readPermissionText = endpoint({
  method: 'GET',
  path: '/api/desk/permission-text',
  summary: 'What candidates sign before anybody is asked about them, with its versions',
  access: 'organisation.keep',
  reply: Type.Object({
    version: Version,
    texts: PermissionTexts,
    versions: Type.Array(
      Type.Object({
        version: Version,
        name: Type.String({ description: 'As it is kept with a signature' }),
        changedBy: Type.String(),
        changedAt: orNull(Type.String()),
        signed: Type.Integer({ description: 'Signatures under it' }),
      }),
    ),
  }),
  invalidates: ['organisation'],
})

export const savePermissionText = endpoint({
  method: 'PUT',
  path: '/api/desk/permission-text',
  summary: 'Write the permission anew; what was signed stays as it was signed',
  access: 'organisation.keep',
  body: Type.Object({ version: Version, texts: PermissionTexts }),
  reply: Type.Object({ version: Version }),
  invalidates: ['organisation', 'draft'],
})

export type PermissionTexts = Static<typeof PermissionTexts>
