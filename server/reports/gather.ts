import { Temporal } from 'temporal-polyfill'
import { compareClaim, type FieldFinding } from '#core/comparison/compareClaim'
import { fieldsOf } from '#core/comparison/fields'
import { dayAt } from '#core/dates/zoned'
import { isForSource } from '#core/documents/papers'
import { questionsOf } from '#core/form/form'
import { isSent } from '#core/hiring/stages'
import { hiddenKindOfClaim } from '#core/privacy/hidden'
import { type ClaimAsAt, claimAsAt } from '#core/report/claimAsAt'
import type { Stated } from '#core/report/overtaken'
import type { Audience, ClaimToReport, ReportedField, ReportedFlag, ToReport } from '#core/report/report'
import { answerWords } from '#core/words/form'
import { requirementTitle } from '#core/words/requirementTitle'
import { type Language, say } from '#core/words/say'
import { translated } from '#core/words/translations'
import type { Deps } from '../platform/deps'
import { readinessOfAll } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import { applicationsOf } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { labelOf } from '../records/claims/label'
import { Claim, type EarlierCredential } from '../records/claims/model'
import { earlierOfCandidates } from '../records/claims/view'
import { documentsOfCandidates } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { confirmedBy } from '../records/enquiries/confirmed'
import { enquiriesOfCandidates } from '../records/enquiries/enquiries'
import { bySourceId, findingsOf } from '../records/enquiries/load'
import type { Enquiry, EnquiryStepRow, Finding } from '../records/enquiries/model'
import { claimedStatement } from '../records/enquiries/statement'
import { stepsOf } from '../records/enquiries/steps'
import { flagsOf, settlementsOf } from '../records/redFlags/flags'
import type { Flag, FlagSettlement } from '../records/redFlags/model'
import type { Source } from '../records/sources/model'
import { sourcesOfCandidates } from '../records/sources/sources'

type History = {
  claims: Claim[]
  earlier: EarlierCredential[]
  documents: Document[]
  enquiries: Enquiry[]
  steps: EnquiryStepRow[]
  findings: Finding[]
  sources: ReadonlyMap<string, Source>
}
type Behind = {
  enquiry: Enquiry
  version: number
  askedAt: number
  answeredAt: number | null
  calledOffAt: number | null
}
type Decided = {
  row: Finding
  version: number
  decision: Finding['decision']
  decidedAt: number
  undoneAt: number | null
}
type Seen = { document: Document; version: number; seenAt: number | null }
type Stood = ClaimAsAt<Behind, Decided, Seen>

/** All that has happened to the claims of a person, also to those that were removed since. */
async function historyOf(candidateId: string): Promise<History> {
  const [claims, earlier, documents, enquiries, findings, sources] = await Promise.all([
    Claim.findAll({ where: { candidateId }, order: ['kind', 'place', 'id'] }),
    earlierOfCandidates([candidateId]),
    documentsOfCandidates([candidateId]),
    enquiriesOfCandidates([candidateId]),
    findingsOf(candidateId),
    sourcesOfCandidates([candidateId]),
  ])
  const steps = await stepsOf(enquiries.map(({ id }) => id))
  return { claims, earlier, documents, enquiries, steps, findings, sources: bySourceId(sources) }
}

/** How a claim stood at a moment. */
function stoodAt(claim: Claim, history: History, at: number): Stood | undefined {
  if (claim.removedAt && claim.removedAt.getTime() <= at) return undefined
  const own = <T extends { claimId: string }>(rows: readonly T[]) => rows.filter(({ claimId }) => claimId === claim.id)
  const before = own(history.earlier)
  const ends = before.map(({ replacedAt }) => replacedAt.getTime())
  return claimAsAt<Behind, Decided, Seen>(
    {
      versions: [...before.map(({ credentialVersion }) => credentialVersion), claim.credentialVersion].map(
        (version, nth) => ({ version, since: nth === 0 ? claim.createdAt.getTime() : ends[nth - 1]! }),
      ),
      papers: own(history.documents)
        .filter(({ part, seenAt }) => seenAt && !isForSource(part))
        .map((document) => ({ document, version: document.credentialVersion, seenAt: document.seenAt!.getTime() })),
      enquiries: own(history.enquiries)
        .filter(({ state }) => state !== 'prepared')
        .map((enquiry) => ({
          ...{ enquiry, version: enquiry.credentialVersion, askedAt: enquiry.askedAt.getTime() },
          answeredAt: enquiry.state === 'answered' ? (enquiry.answeredAt?.getTime() ?? null) : null,
          calledOffAt: enquiry.state === 'withdrawn' ? calledOff(enquiry, history.steps) : null,
        })),
      findings: own(history.findings).map((row) => ({
        ...{ row, version: row.credentialVersion, decision: row.decision, decidedAt: row.decidedAt.getTime() },
        undoneAt: row.undoneAt?.getTime() ?? null,
      })),
    },
    at,
  )
}

const calledOff = ({ id, askedAt }: Enquiry, steps: readonly EnquiryStepRow[]): number =>
  (steps.findLast(({ enquiryId, step }) => enquiryId === id && step === 'withdrawn')?.at ?? askedAt).getTime()

/** What the body says of the licence by then: by the newest answer that says anything of it. */
const standingIn = ({ version }: Pick<Stood, 'version'>, enquiries: readonly Enquiry[], claimId: string, at: number) =>
  enquiries
    .filter((one) => one.claimId === claimId && one.credentialVersion === version && one.state === 'answered')
    .findLast(({ standing, answeredAt }) => standing && answeredAt!.getTime() <= at)?.standing ?? null

/** What could turn out otherwise of what a report states of a person's claims, as it stands at a moment. */
export async function statedNow(candidateId: string, at: Date): Promise<Stated[]> {
  const history = await historyOf(candidateId)
  return history.claims.flatMap((claim) => {
    const versions = [...history.earlier.filter(({ claimId }) => claimId === claim.id), claim]
    // A renewal does not make untrue what was stated of the paper before it.
    return versions.flatMap(({ credentialVersion: version }) => statedOf(claim, history, version, at.getTime()) ?? [])
  })
}

function statedOf(claim: Claim, history: History, version: number, at: number): Stated {
  const finding = history.findings
    .filter((one) => one.claimId === claim.id && one.credentialVersion === version && !one.undoneAt)
    .findLast(({ decidedAt }) => decidedAt.getTime() <= at)
  return {
    ...{ claimId: claim.id, version },
    finding: finding ? { id: finding.id, decision: finding.decision } : null,
    standing: standingIn({ version }, history.enquiries, claim.id, at),
  }
}

/** The last moment of a day that has begun: its end, or now. */
export function momentOf(deps: Deps, day: string): number {
  const end = Temporal.PlainDate.from(day)
    .add({ days: 1 })
    .toZonedDateTime({ timeZone: deps.organisation.timeZone, plainTime: '00:00' }).epochMilliseconds
  return Math.min(end - 1, deps.clock.now().getTime())
}

type Asked = {
  candidateId: string
  /** Of these applications: their waivers and declarations, and, where it is one, its post. */
  applications: readonly Application[]
  audience: Audience
  recipient?: string
  language: Language
  reference: string
  asAt: string
}

/** Everything a report could say of a person as at a day, in the language that is spoken, and what of it could turn out otherwise. */
export async function gather(deps: Deps, asked: Asked): Promise<{ known: ToReport; stated: Stated[] }> {
  const { candidateId, applications, audience, recipient, language, reference, asAt } = asked
  const at = momentOf(deps, asAt)
  const [person, history, flags] = await Promise.all([
    candidateWithMail(candidateId),
    historyOf(candidateId),
    flagsOf([candidateId]),
  ])
  const settlements = await settlementsOf(flags.map(({ id }) => id))
  const reported = flags.filter(({ raisedAt }) => raisedAt.getTime() <= at)
  const flagOf = (flag: Flag) => reportedFlag(deps, flag, settlements, at)
  const stood = history.claims.flatMap((claim) => {
    const state = stoodAt(claim, history, at)
    return state ? [{ claim, state }] : []
  })
  const claims = stood.map(({ claim, state }) => {
    const own = reported.filter(({ claimId }) => claimId === claim.id)
    return claimToReport(deps, { claim, state, history, person, asAt, at, flags: own.map(flagOf) })
  })
  const [only, ...more] = applications
  const ofApplications = await declaredAndWaived(deps, applications, at)
  return {
    known: {
      ...{
        reference,
        language,
        audience,
        asAt,
        madeAt: deps.clock.now().toISOString(),
        issuer: deps.organisation.name,
      },
      ...(recipient ? { recipient } : {}),
      person: { name: person.name, ...(person.born ? { born: person.born } : {}) },
      ...(only && more.length === 0
        ? { application: { reference: only.reference ?? '', post: ofApplications.posts[0]! } }
        : {}),
      claims,
      flags: reported.filter(({ claimId }) => claimId === null).map(flagOf),
      ...{ waived: ofApplications.waived, declared: ofApplications.declared },
      missing: (['identity', 'study', 'work'] as const)
        .filter((kind) => stood.every(({ claim }) => claim.kind !== kind))
        .map((kind) => say(`report.missing.${kind}`)),
    },
    stated: stood.map(({ claim, state }) => statedOf(claim, history, state.version, at)),
  }
}

type Reporting = {
  claim: Claim
  state: Stood
  history: History
  person: { name: string; born: string | null }
  asAt: string
  at: number
  flags: ReportedFlag[]
}

function claimToReport(deps: Deps, { claim, state, history, person, asAt, at, flags }: Reporting): ClaimToReport {
  const { asked, answered, finding, seen, version, rung } = state
  const details =
    history.earlier.find((one) => one.claimId === claim.id && one.credentialVersion === version)?.details ??
    claim.details
  const source = history.sources.get((answered ?? asked)?.enquiry.sourceId ?? claim.sourceId ?? '')
  const day = (moment: Date | number) => dayAt(new Date(moment), deps.organisation.timeZone).toString()
  const enquiry = (answered ?? asked)?.enquiry
  const counted = confirmedBy(
    { ...{ id: claim.id, kind: claim.kind, details, rung }, credentialVersion: version },
    history.findings.filter(({ claimId, decidedAt }) => claimId === claim.id && decidedAt.getTime() <= at),
    { organisation: deps.organisation, today: Temporal.PlainDate.from(asAt) },
  )
  const standing = standingIn(state, history.enquiries, claim.id, at)
  const named = source?.name ?? details.sourceName
  const lastSeen = seen.at(-1)?.seenAt
  return {
    id: claim.id,
    ...(hiddenKindOfClaim(details) ? { hidden: hiddenKindOfClaim(details)! } : {}),
    ...('mayAsk' in details && details.mayAsk === 'never' ? { neverAsk: true } : {}),
    ...(counted?.stale ? { stale: true } : {}),
    ...{ kind: claim.kind, title: labelOf(details), rung },
    fields: fieldsIn({ claim, details, state, person }),
    ...(named ? { source: { name: named, country: source?.country ?? '' } } : {}),
    saidOn: day(claim.createdAt),
    ...(lastSeen ? { paperSeenOn: day(lastSeen) } : {}),
    ...(enquiry
      ? {
          asked: {
            ...{ channel: enquiry.channel, on: day(enquiry.askedAt) },
            ...(answered ? { answeredOn: day(answered.answeredAt!) } : {}),
            ...(answered && enquiry.respondent ? { respondent: enquiry.respondent } : {}),
            ...(enquiry.reference ? { reference: enquiry.reference } : {}),
          },
        }
      : {}),
    ...(finding && rung !== 'asked' ? { finding: findingOf(finding.row, day(finding.decidedAt)) } : {}),
    ...(standing
      ? {
          standing: {
            ...{ state: standing.state, terms: standing.terms, termsSaid: standing.termsSaid },
            ...(standing.from ? { from: standing.from } : {}),
            ...(standing.through ? { to: standing.through } : {}),
          },
        }
      : {}),
    ...('through' in details && details.through && details.through !== 'unknown' ? { through: details.through } : {}),
    ...(counted?.until ? { confirmedUntil: counted.until } : {}),
    flags,
  }
}

const findingOf = ({ decision, decidedBy, basis, note }: Finding, on: string) => ({
  ...{ decision, on, by: decidedBy, byRule: Boolean(basis) },
  ...(note ? { note } : {}),
})

/** What was compared: as it was kept with the decision, or else as claim, paper and answer stood. */
function fieldsIn({
  claim,
  details,
  state,
  person,
}: Pick<Reporting, 'claim' | 'state' | 'person'> & { details: Claim['details'] }) {
  const { finding, answered, seen, rung } = state
  if (finding && rung !== 'asked') return finding.row.comparison.fields.map(fieldOf)
  const claimed = answered?.enquiry.claimed ?? claimedStatement(details, person)
  const read = seen.length > 0 ? Object.assign({}, ...seen.map(({ document }) => document.reads)) : undefined
  const reply = answered ? (answered.enquiry.statement ?? {}) : undefined
  return compareClaim(fieldsOf(claim.kind, claimed), claimed, read, reply).fields.map((field) =>
    // While nobody has answered, it is what the paper says against what is claimed.
    fieldOf(answered ? field : { ...field, verdict: field.byDocument.verdict }),
  )
}

const fieldOf = ({ key, claimed, document, source, verdict }: FieldFinding): ReportedField => ({
  ...{ field: key, claimed, verdict },
  ...(document ? { onPaper: document } : {}),
  ...(source ? { bySource: source } : {}),
})

function reportedFlag(deps: Deps, flag: Flag, settlements: readonly FlagSettlement[], at: number): ReportedFlag {
  const day = (moment: Date) => dayAt(moment, deps.organisation.timeZone).toString()
  const last = settlements.findLast(({ flagId, settledAt }) => flagId === flag.id && settledAt.getTime() <= at)
  const settled = last && last.outcome !== 'reopened' ? last : undefined
  return {
    ...{ kind: flag.kind, raisedOn: day(flag.raisedAt) },
    ...(settled
      ? {
          settled: {
            outcome: settled.outcome as 'upheld' | 'dismissed',
            by: settled.settledBy,
            on: day(settled.settledAt),
            reason: settled.reason,
          },
        }
      : {}),
  }
}

/** What was waived in applications and declared in them, by a moment, and the posts they are for. */
async function declaredAndWaived(deps: Deps, applications: readonly Application[], at: number) {
  const judged = await readinessOfAll(deps, applications)
  const day = (moment: Date) => dayAt(moment, deps.organisation.timeZone).toString()
  const all = applications.map(({ id }) => judged.get(id)!)
  return {
    posts: all.map(({ vacancy }) => vacancy.title),
    waived: all.flatMap(({ waivers, requirements }) =>
      waivers
        .filter(({ givenAt }) => givenAt.getTime() <= at)
        .map(({ requirement: key, reason, givenBy: by, givenAt }) => {
          const requirement = requirements.find((one) => one.key === key)
          return { requirement: requirement ? requirementTitle(requirement) : key, reason, by, on: day(givenAt) }
        }),
    ),
    declared: all.flatMap(({ matters, rules }, nth) =>
      matters
        .filter(({ applicationId, createdAt }) => applicationId === applications[nth]!.id && createdAt.getTime() <= at)
        .map(({ question: key, answer, outcome, decidedAt }) => {
          const question = questionsOf(rules.form).find((one) => one.key === key)
          const decided = decidedAt && decidedAt.getTime() <= at
          return {
            question: question ? translated(question).label : key,
            answer: question ? answerWords(question, answer) : answer,
            ...{ outcome: decided ? (outcome ?? null) : null, ...(decided ? { decidedOn: day(decidedAt) } : {}) },
          }
        }),
    ),
  }
}

/** The applications of a person that were sent. */
export const sentOf = async (candidateId: string): Promise<Application[]> =>
  (await applicationsOf(candidateId)).filter(isSent)
