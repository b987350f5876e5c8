import { type Static, Type } from '@sinclair/typebox'
import { fieldKeys } from '#core/comparison/compareClaim'
import { verdicts } from '#core/comparison/verdict'
import { hiddenKinds } from '#core/privacy/hidden'
import { flagKinds } from '#core/redFlags/redFlag'
import { audiences, type Report as ReportContent, uncheckedReasons } from '#core/report/report'
import { matterOutcomes } from '#core/requirements/matter'
import { rungs } from '#core/requirements/requirement'
import { restrictionTerms, standingStates } from '#core/validity/validity'
import { languages } from '#core/words/say'
import { endpoint } from './endpoint'
import { Day, Done, Id, LinkToken, Moment, oneOf, orNull, Reason, Version } from './shapes'

const Text = Type.String()
const decisions = ['confirmed', 'confirmed with a note', 'contradicted', 'unconfirmable'] as const
const channels = ['link', 'register', 'letter', 'telephone', 'direct issue', 'credential'] as const

const Flag = Type.Object({
  kind: oneOf(flagKinds),
  raisedOn: Day,
  settled: Type.Optional(
    Type.Object({ outcome: oneOf(['upheld', 'dismissed'] as const), by: Text, on: Day, reason: Type.Optional(Text) }),
  ),
})

const ReportedClaim = Type.Object({
  kind: Type.String({
    description: 'study, work, licence, certificate, language, residence, identity, paper, attestation',
  }),
  title: Text,
  rung: oneOf(rungs),
  fields: Type.Array(
    Type.Object({
      field: oneOf(fieldKeys),
      claimed: Text,
      onPaper: Type.Optional(Text),
      bySource: Type.Optional(Text),
      verdict: oneOf(verdicts),
    }),
    { description: 'What was compared, field by field' },
  ),
  source: Type.Optional(Type.Object({ name: Text, country: Type.String({ description: 'ISO 3166-1, or empty' }) })),
  saidOn: Day,
  paperSeenOn: Type.Optional(Day),
  asked: Type.Optional(
    Type.Object({
      channel: oneOf(channels),
      on: Day,
      answeredOn: Type.Optional(Day),
      respondent: Type.Optional(Text),
      reference: Type.Optional(Text),
    }),
  ),
  finding: Type.Optional(
    Type.Object({
      decision: oneOf(decisions),
      on: Day,
      by: Type.String({ description: 'Who decided; empty where it was by rule' }),
      byRule: Type.Boolean(),
      note: Type.Optional(Text),
    }),
  ),
  standing: Type.Optional(
    Type.Object({
      state: oneOf(standingStates),
      terms: Type.Optional(Type.Array(oneOf(restrictionTerms))),
      termsSaid: Type.Optional(Text),
      from: Type.Optional(Day),
      to: Type.Optional(Day),
    }),
  ),
  through: Type.Optional(Type.String({ description: 'A day, a part of one, or "does not expire"' })),
  confirmedUntil: Type.Optional(Day),
  flags: Type.Array(Flag),
})

/** What a report says, as it is signed: the published schema. */
export const ReportSchema = Type.Object({
  shape: Type.Literal(1),
  reference: Text,
  language: Text,
  audience: oneOf(audiences),
  recipient: Type.Optional(Type.String({ description: 'Whom outside it is for' })),
  asAt: Day,
  madeAt: Moment,
  issuer: Text,
  person: Type.Object({ name: Text, born: Type.Optional(Day) }),
  application: Type.Optional(Type.Object({ reference: Text, post: Text })),
  claims: Type.Array(ReportedClaim),
  flags: Type.Array(Flag),
  waived: Type.Array(Type.Object({ requirement: Text, reason: Text, by: Text, on: Day })),
  declared: Type.Array(
    Type.Object({
      question: Text,
      answer: Text,
      outcome: orNull(oneOf(matterOutcomes)),
      decidedOn: Type.Optional(Day),
    }),
  ),
  notChecked: Type.Array(Type.Object({ what: Text, because: oneOf(uncheckedReasons) })),
  withheld: Type.Array(
    Type.Object({ what: oneOf([...hiddenKinds, 'not chosen'] as const), count: Type.Integer({ minimum: 1 }) }),
    { description: 'How much there is that the reader may not see, or was not meant to be sent' },
  ),
})
// What core makes is what the schema says, and the other way round.
const _made = (report: ReportContent): Static<typeof ReportSchema> => report
const _read = (report: Static<typeof ReportSchema>): ReportContent => report
void _made
void _read

export const reportForms = ['pdf', 'json', 'jwt', 'sd-jwt'] as const

export const ReportLine = Type.Object({
  id: Id,
  version: Version,
  reference: Type.String(),
  audience: oneOf(audiences),
  language: oneOf(languages),
  asAt: Day,
  madeAt: Moment,
  madeBy: Type.String(),
  endsAt: Moment,
  revoked: orNull(Type.Object({ at: Moment, because: Type.String() })),
  opens: Type.Boolean({ description: 'Whether its reader may see what it says' }),
  claims: Type.Array(Type.String(), { description: 'What it tells of, in its order; none where it may not be opened' }),
  sentTo: Type.Array(Type.Object({ name: Type.String(), at: Moment })),
})
export type ReportLine = Static<typeof ReportLine>

const scopes = ['application', 'file'] as const
const ReportWish = {
  language: oneOf(languages),
  asAt: Type.Optional(Day),
  scope: oneOf(scopes),
}

export const listReports = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/reports',
  summary: 'Reports that were made of the file of an application',
  access: 'reports.make',
  params: Type.Object({ id: Id }),
  reply: Type.Array(ReportLine),
  invalidates: ['desk'],
})

export const makeReport = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/reports',
  summary: 'Make a report of what has been proven, signed, as at a day; for us, or for the candidate, who is sent it',
  access: 'reports.make',
  params: Type.Object({ id: Id }),
  body: Type.Object({ ...ReportWish, audience: oneOf(['inside', 'candidate'] as const) }),
  reply: ReportLine,
  idempotent: true,
  invalidates: ['desk', 'status'],
})

export const revokeReport = endpoint({
  method: 'POST',
  path: '/api/desk/reports/:id/revoke',
  summary: 'Revoke a report, with the reason; whoever received it is told',
  access: 'proof.settle',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, reason: Reason }),
  reply: Done,
  invalidates: ['desk', 'status'],
})

export const readReport = endpoint({
  method: 'GET',
  path: '/api/desk/reports/:id/:form',
  summary: 'A report as PDF, as JSON, as a credential, or as one whose claims can be shown one by one',
  access: 'reports.make',
  params: Type.Object({ id: Id, form: oneOf(reportForms) }),
  reply: Type.Any(),
  file: true,
})

export const listOwnReports = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/reports',
  summary: 'Reports of what has been proven of oneself, that one may keep',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  reply: Type.Array(ReportLine),
  invalidates: ['status'],
})

export const makeOwnReport = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/reports',
  summary: 'Make a report of what has been proven of oneself, to keep and to show',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({ language: oneOf(languages) }),
  reply: ReportLine,
  idempotent: true,
  invalidates: ['status', 'desk'],
})

export const readOwnReport = endpoint({
  method: 'GET',
  path: '/api/my/reports/:id/:form',
  summary: 'A report of oneself as PDF, as JSON, as a credential, or as one whose claims can be shown one by one',
  access: 'candidate',
  params: Type.Object({ id: Id, form: oneOf(reportForms) }),
  query: Type.Object({
    claims: Type.Optional(
      Type.String({
        pattern: '^\\d{1,3}(,\\d{1,3})*$',
        maxLength: 400,
        description: 'As SD-JWT: these claims alone, by their place',
      }),
    ),
  }),
  reply: Type.Any(),
  file: true,
})

export const checkFaults = [
  'nothing-found',
  'unknown-issuer',
  'bad-signature',
  'file-changed',
  'revoked',
  'suspended',
  'status-unknown',
  'ended',
  'not-yet-valid',
  'wrong-version',
] as const

/** What a check comes to. What stands in a file that is not genuine is not shown. */
export const CheckResult = Type.Object({
  fault: orNull(oneOf(checkFaults)),
  issuer: orNull(Type.String({ description: 'By the directory, never by what it says of itself' })),
  own: Type.Boolean({ description: 'Whether we have signed it' }),
  kind: orNull(oneOf(['report', 'credential', 'open badge'] as const)),
  signedAt: orNull(Moment),
  endsAt: orNull(Moment),
  report: orNull(Type.Unsafe<Partial<ReportContent>>(Type.Object({}))),
  says: Type.Record(Type.String(), Type.String(), { description: 'Of a credential of somebody else, what it says' }),
  byCode: Type.Boolean({ description: 'A code led to it: the paper that bears it has to be compared' }),
  hidden: Type.Integer({ description: 'Parts that whoever shows it has left out' }),
})
export type CheckResult = Static<typeof CheckResult>

export const checkCredential = endpoint({
  method: 'POST',
  path: '/api/checks',
  summary:
    'Check a report or credential, as text, file, or picture of its code. Nothing is kept of it, and no address inside it is used',
  access: 'anyone',
  body: Type.Any(),
  bytes: true,
  reply: CheckResult,
})

export const checkByLink = endpoint({
  method: 'GET',
  path: '/api/checks/:token',
  summary: 'Check the report that the code on its paper leads to',
  access: 'bearer-of-link',
  params: Type.Object({ token: LinkToken }),
  reply: CheckResult,
  tries: { most: 60, seconds: 3600 },
})
