import type { Temporal } from 'temporal-polyfill'
import type { ClaimDetails, DetailsOf } from '#contract/claims'
import { credentialKind } from '#core/catalogue/catalogue'
import { seriesState } from '#core/catalogue/series'
import { partialDate } from '#core/dates/partialDate'
import type { OpenReviewState } from '#core/decisions/secondPerson'
import { isFinal, isForSource, type PaperPart } from '#core/documents/papers'
import { missingParts } from '#core/reading/letter'
import type { ClaimFacts, ConditionFact } from '#core/requirements/requirement'
import { isAskedAbout } from '#core/sources/asked'
import { conditionState, conditionsFor, isMeetable } from '#core/sources/conditions'
import { issuedClaims } from '#core/sources/source'
import type { Term } from '#core/validity/validity'
import type { Deps } from '../platform/deps'
import { kindOf } from '../records/claims/kinds'
import { labelValue } from '../records/claims/label'
import type { Claim, EarlierCredential } from '../records/claims/model'
import { namelessDetails } from '../records/claims/namelessDetails'
import type { Document } from '../records/documents/model'
import { confirmedBy, type Decided } from '../records/enquiries/confirmed'
import { sayingSo } from '../records/enquiries/licenceStanding'
import type { Enquiry } from '../records/enquiries/model'
import type { Source } from '../records/sources/model'
import { isAccredited } from '../records/sources/sources'

/** What lies behind a claim, as far as it is judged by it. */
type Behind = {
  documents: readonly Document[]
  enquiries: readonly Enquiry[]
  findings: readonly Decided[]
  /** The sources of the file, by id. */
  sources: ReadonlyMap<string, Source>
  contradicted: ReadonlySet<string>
  /** When papers were posted that have not come, by their part. */
  posted: ReadonlyMap<PaperPart, Temporal.PlainDate>
  today: Temporal.PlainDate
  organisation: Deps['organisation']
  nameless: boolean
  /** A decision about the claim that goes on. */
  review?: OpenReviewState
}

/** A claim as requirements look at it. */
export function factsOfClaim(claim: Claim, behind: Behind): ClaimFacts {
  const { documents, enquiries, findings, sources, contradicted, nameless, review } = behind
  const { details } = claim
  const told = nameless ? namelessDetails(details) : details
  const current = <T extends { credentialVersion: number }>(rows: readonly T[]) =>
    rows.filter((row) => row.credentialVersion === claim.credentialVersion)
  const asked = current(enquiries).at(-1)
  return {
    id: claim.id,
    kind: claim.kind,
    label: labelValue(told),
    rung: claim.rung,
    paper: paperOf(current(documents).filter(({ live, part }) => !live && !isForSource(part))),
    ...(review ? { review } : {}),
    ...(details.kind === 'work' ? letterFact(current(documents)) : {}),
    ...(details.kind === 'identity' && details.paper !== 'two others'
      ? { portrait: portraitOf(current(documents)) }
      : {}),
    ...interimOf(current(documents)),
    ...confirmedFact(claim, behind),
    enquiry: enquiryFact(asked),
    source: told.sourceName || undefined,
    ...conditionsOf(claim, { ...behind, documents: current(documents) }),
    ...(details.kind === 'study'
      ? {
          level: details.level,
          field: details.field,
          ...(details.second ? { second: { field: details.second.field, as: details.second.as } } : {}),
          accredited: isAccredited(sources, claim.sourceId, details),
        }
      : {}),
    ...('credential' in details ? { credential: details.credential, term: termOf(details), ...ofKind(details) } : {}),
    ...(details.kind === 'language'
      ? { language: { key: details.language, level: details.level }, term: termOf(details) }
      : {}),
    ...(details.kind === 'attestation' ? { attests: { of: details.of, form: details.form } } : {}),
    ...(details.kind === 'identity' && details.through ? { term: { through: partialDate(details.through) } } : {}),
    ...(details.kind === 'paper' ? { question: details.question } : {}),
    ...standingFact(current(enquiries), findings),
    ...(contradicted.has(thingOf(details) ?? '') ? { contradictedBefore: true } : {}),
    ...entryOf(claim.id, details),
  }
}

/** What the newest letter that somebody has looked at lacks. */
function letterFact(documents: readonly Document[]): Pick<ClaimFacts, 'letterLacks'> {
  const seen = documents.filter(({ state, letter }) => state === 'seen' && letter).at(-1)
  return seen ? { letterLacks: missingParts(seen.letter!) } : {}
}

/** What its source asks for before it answers; nothing where its candidate does not want it asked. */
export function conditionsOf(
  { sourceId, kind, details }: Pick<Claim, 'sourceId' | 'kind' | 'details'>,
  { sources, documents, posted, today }: Pick<Behind, 'sources' | 'documents' | 'posted' | 'today'>,
): { conditions?: ConditionFact[] } {
  const source = sources.get(sourceId ?? '')
  const issued = issuedClaims.find((one) => one === kind)
  if (!source || !issued || source.retiredAt || !isAskedAbout(details)) return {}
  if ('mayAsk' in details && details.mayAsk === 'never') return {}
  const asked = conditionsFor(issued, source.known.conditions.filter(isMeetable))
  if (asked.length === 0) return {}
  const claim = {
    number: 'number' in details ? details.number : '',
    language: details.kind === 'study' ? details.language : undefined,
    papers: documents.map(({ id, part, pages, state, translationOf = null }) => ({
      id,
      part,
      pages,
      state,
      translationOf,
    })),
    posted,
  }
  return {
    conditions: asked.map(({ id, kind: of, reason, language }) => ({
      ...{ id, kind: of, reason },
      state: conditionState({ kind: of, language }, claim, today),
    })),
  }
}

/** How far its source has come with the newest question. */
const enquiryFact = (asked: Enquiry | undefined): ClaimFacts['enquiry'] =>
  !asked || asked.state === 'withdrawn' ? 'none' : asked.state

function confirmedFact(claim: Claim, { findings, organisation, today }: Behind): Pick<ClaimFacts, 'confirmed'> {
  const confirmed = confirmedBy(claim, findings, { organisation, today })
  return confirmed ? { confirmed } : {}
}

const thingOf = (details: ClaimDetails) => kindOf(details).thing(details)

/** The things of a file that somebody has found contradicted and nobody has confirmed since, also before a renewal. */
export function contradictedThings(
  claims: readonly Pick<Claim, 'id' | 'details' | 'rung'>[],
  earlier: ReadonlyMap<string, readonly EarlierCredential[]>,
): Set<string> {
  return new Set(
    claims.flatMap((claim) => {
      const versions = [...(earlier.get(claim.id) ?? []), claim]
      const last = versions.findLastIndex(({ rung }) => rung === 'contradicted')
      const since = versions.slice(last + 1).some(({ rung }) => rung === 'confirmed' || rung === 'waived')
      return last < 0 || since ? [] : (thingOf(versions[last]!.details) ?? [])
    }),
  )
}

/** A standing counts as decided where somebody has confirmed the claim after it was known. */
function standingFact(enquiries: readonly Enquiry[], findings: readonly Decided[]): Pick<ClaimFacts, 'standing'> {
  const said = sayingSo(enquiries)
  if (!said?.standing) return {}
  const decided = findings.some(
    ({ decision, decidedAt, undoneAt }) =>
      !undoneAt && decision.startsWith('confirmed') && decidedAt >= said.answeredAt!,
  )
  return { standing: { ...said.standing, decided } }
}

function paperOf(documents: readonly Document[]): ClaimFacts['paper'] {
  const states = documents.map(({ state }) => state)
  if (states.includes('to look at')) return 'to look at'
  if (states.includes('seen')) return 'seen'
  return states.includes('sent back') ? 'sent back' : 'none'
}

/** The newest live portrait counts. */
function portraitOf(documents: readonly Document[]): NonNullable<ClaimFacts['portrait']> {
  const newest = documents.filter(({ live, state }) => live && state !== 'replaced' && state !== 'discarded').at(-1)
  if (!newest) return 'none'
  if (newest.state === 'sent back') return 'sent back'
  return newest.state === 'seen' ? (newest.holder ?? 'to look at') : 'to look at'
}

/** The newest paper that stands in for a time, unless a final one that came later has been looked at. */
function interimOf(documents: readonly Document[]): Pick<ClaimFacts, 'interim'> {
  const counting = documents.filter(({ state }) => state === 'to look at' || state === 'seen')
  const newest = counting.filter(({ finalBy }) => finalBy).at(-1)
  if (!newest) return {}
  const finals = counting.filter(({ part, uploadedAt }) => isFinal(part) && uploadedAt >= newest.uploadedAt)
  if (finals.some(({ state }) => state === 'seen')) return {}
  const since = newest.uploadedAt.toISOString().slice(0, 10)
  return {
    interim: {
      seen: newest.state === 'seen',
      since,
      finalBy: newest.finalBy!,
      ...(finals.length > 0 ? { finalToLookAt: true } : {}),
    },
  }
}

/** What the kind of a credential asks beyond its days: amounts it is for, and steps that are left of its series. */
function ofKind({ credential, fields = {}, steps = [] }: DetailsOf<'licence'>): Partial<ClaimFacts> {
  const kind = credentialKind(credential)
  const amounts = (kind?.fields ?? []).flatMap(({ key, kind: of }): [string, number][] =>
    (of === 'money' || of === 'number') && fields[key] ? [[key, Number(fields[key])]] : [],
  )
  const series = kind?.series && seriesState(kind.series, steps)
  return {
    ...(amounts.length > 0 ? { amounts: Object.fromEntries(amounts) } : {}),
    ...(series && !series.complete ? { seriesOpen: { given: series.given, of: series.of, next: series.next } } : {}),
  }
}

function termOf(details: Pick<DetailsOf<'licence'>, 'issued' | 'through'>): Term {
  const through =
    details.through === 'does not expire' || details.through === 'unknown'
      ? details.through
      : partialDate(details.through)
  return { from: details.issued ? partialDate(details.issued) : undefined, through }
}

function entryOf(id: string, details: ClaimDetails): Pick<ClaimFacts, 'entry'> {
  if (!('from' in details)) return {}
  const to = details.to === 'present' ? details.to : partialDate(details.to)
  const tags = details.kind === 'work' ? [details.activity, ...details.tags] : [details.kind]
  return { entry: { id, from: partialDate(details.from), to, tags } }
}
