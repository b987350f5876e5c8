import { Temporal } from 'temporal-polyfill'
import type { Stage } from '#contract/applications'
import type { ClaimDetails } from '#contract/claims'
import { mondayToFriday } from '#core/calendar/workingDays'
import { partialDate } from '#core/dates/partialDate'
import { type Forecast, likelyReady, slackOf } from '#core/forecast/likelyReady'
import { evaluate } from '#core/requirements/evaluate'
import type { ClaimFacts, FileFacts, Gate, Outcome, Requirement } from '#core/requirements/requirement'
import type { Term } from '#core/validity/validity'
import type { Application } from '../applications/model'
import { claimsOf } from '../claims/face'
import { labelOf } from '../claims/label'
import type { Claim } from '../claims/model'
import type { Deps } from '../deps'
import { documentsOf } from '../documents/documents'
import type { Document } from '../documents/model'
import { permissionOf } from '../permissions/permissions'
import { sittingsOf } from '../skills/checks'
import type { Vacancy } from '../vacancies/model'
import { requirementsOf, vacancyById } from '../vacancies/vacancies'
import { enquiriesOf } from '../verification/enquiries'
import type { Enquiry } from '../verification/model'
import { Offer, OnboardingTask, Waiver } from './model'

/** Everything an application is judged by, loaded once, and the judgement. */
export type Readiness = {
  vacancy: Vacancy
  claims: Claim[]
  documents: Document[]
  enquiries: Enquiry[]
  facts: FileFacts
  requirements: Requirement[]
  outcomes: Outcome[]
  forecast: Forecast
  slack: number
}

export async function readinessOf(deps: Deps, application: Application): Promise<Readiness> {
  const vacancy = await vacancyById(application.vacancyId)
  const claims = await claimsOf(application.candidateId)
  const ids = claims.map(({ id }) => id)
  const [documents, enquiries, sittings, waivers, permission, offer, tasks] = await Promise.all([
    documentsOf(ids),
    enquiriesOf(ids),
    sittingsOf(application.id),
    Waiver.findAll({ where: { applicationId: application.id } }),
    permissionOf(application.id),
    Offer.findByPk(application.id),
    OnboardingTask.findAll({ where: { applicationId: application.id } }),
  ])
  const facts: FileFacts = {
    today: deps.clock.today(),
    targetStart: Temporal.PlainDate.from(application.targetStart),
    claims: claims.map((claim) => factsOfClaim(claim, documents, enquiries)),
    answers: application.answers,
    skills: sittings.map(({ check, state, percent, passed }) => ({
      check,
      state,
      percent: percent ?? undefined,
      passed: passed ?? undefined,
    })),
    permissionSigned: permission !== null,
    offer: !offer ? 'none' : (offer.answer ?? 'open'),
    onboarding: tasks.map(({ key, doneAt }) => ({ task: key, done: Boolean(doneAt) })),
    waivers: waivers.map(({ requirement, givenBy, reason }) => ({ requirement, by: givenBy, reason })),
  }
  const requirements = requirementsOf(vacancy)
  const outcomes = evaluate(requirements, facts)
  const forecast = likelyReady(outcomes, facts.today, mondayToFriday)
  return {
    vacancy,
    claims,
    documents,
    enquiries,
    facts,
    requirements,
    outcomes,
    forecast,
    slack: slackOf(forecast, facts.targetStart),
  }
}

export function factsOfClaim(claim: Claim, documents: readonly Document[], enquiries: readonly Enquiry[]): ClaimFacts {
  const { details } = claim
  const current = <T extends { claimId: string; credentialVersion: number }>(rows: readonly T[]) =>
    rows.filter((row) => row.claimId === claim.id && row.credentialVersion === claim.credentialVersion)
  const asked = current(enquiries).at(-1)
  return {
    id: claim.id,
    kind: claim.kind,
    label: labelOf(details),
    rung: claim.rung,
    paper: paperOf(current(documents)),
    enquiry: asked?.state === 'open' || asked?.state === 'answered' ? asked.state : 'none',
    source: details.sourceName || undefined,
    ...(details.kind === 'study' ? { level: details.level, field: details.field } : {}),
    ...('credential' in details ? { credential: details.credential, term: termOf(details) } : {}),
    ...entryOf(claim.id, details),
  }
}

function paperOf(documents: readonly Document[]): ClaimFacts['paper'] {
  const states = documents.map(({ state }) => state)
  if (states.includes('to look at')) return 'to look at'
  if (states.includes('seen')) return 'seen'
  return states.includes('sent back') ? 'sent back' : 'none'
}

export function termOf(details: Extract<ClaimDetails, { credential: string }>): Term {
  const through =
    details.through === 'does not expire' || details.through === 'unknown'
      ? details.through
      : partialDate(details.through)
  return { from: details.issued ? partialDate(details.issued) : undefined, through }
}

function entryOf(id: string, details: ClaimDetails): Pick<ClaimFacts, 'entry'> {
  if (details.kind !== 'work' && details.kind !== 'study') return {}
  const to = details.to === 'present' ? details.to : partialDate(details.to)
  const tags = details.kind === 'work' ? [details.activity, ...details.tags] : ['study']
  return { entry: { id, from: partialDate(details.from), to, tags } }
}

/** The gate an application in a stage stands before. */
export const nextGate: Record<Stage, Gate | null> = {
  'being written': 'send',
  sent: 'shortlist',
  shortlisted: 'offer',
  offered: 'start',
  cleared: null,
  withdrawn: null,
  declined: null,
}
