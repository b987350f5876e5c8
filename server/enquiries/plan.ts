import type { Temporal } from 'temporal-polyfill'
import { isForSource } from '#core/documents/papers'
import { dueDay } from '#core/enquiries/schedule'
import { isToApprove } from '#core/enquiries/settings'
import { type AskedBy, reachOf, type Way, waysFor } from '#core/enquiries/ways'
import { isActive } from '#core/hiring/stages'
import { isMeetable, paperFor } from '#core/sources/conditions'
import { type Contact, contactFor, type Money } from '#core/sources/source'
import { type Coded, coded } from '#core/words/say'
import type { StoredText } from '#core/words/stored'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { conditionsOf } from '../readiness/claimFacts'
import { ownCalendar, sharedCalendar } from '../readiness/workCalendar'
import { candidateWithMail } from '../records/accounts/candidate'
import { sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import type { Claim } from '../records/claims/model'
import { documentsOf } from '../records/documents/documents'
import { confirmedNow } from '../records/enquiries/confirmed'
import { enquiriesOf } from '../records/enquiries/enquiries'
import { claimById } from '../records/enquiries/load'
import type { Enquiry } from '../records/enquiries/model'
import type { Permission } from '../records/permissions/model'
import { permissionOf } from '../records/permissions/permissions'
import type { Source } from '../records/sources/model'
import { sourceById } from '../records/sources/sources'
import { soldBy } from '../records/sources/watchlist'
import { mayNotAsk } from './mayAsk'

export type Choice = {
  channel?: AskedBy
  contactId?: string
  faster?: boolean
  /** Whether a register may do where no way is named; a person who asks one question has a key of its own for that. */
  byRegister?: boolean
}

type Enclosure = { fileName: string; sha256: string }
export type Handling = { answerWorkingDays: number; cost: Money | null; answerBy: Temporal.PlainDate }

/** How a claim would be asked about: by which way, with what, and what keeps it from going out. */
export type Plan = {
  claim: Claim
  application: Application
  source: Source | null
  person: Awaited<ReturnType<typeof candidateWithMail>>
  permission: Permission | null
  way: Way | undefined
  contact: Contact | undefined
  ways: Way[]
  usual: Handling
  faster: Handling | undefined
  /** The one that was chosen. */
  handling: Handling
  speed: 'usual' | 'faster'
  enclosed: Enclosure[]
  earlier: number
  toApprove: boolean
  /** What no waiting mends. */
  obstacles: Coded[]
  /** What it waits for. */
  lacks: StoredText[]
}

/** Works out how a claim would be asked about now; `live` is the enquiry it is for, where there is one already. */
export async function planFor(
  deps: Deps,
  claimId: string,
  applicationId: string,
  choice: Choice = {},
  live?: Enquiry,
): Promise<Plan> {
  const claim = await claimById(claimId)
  const application = await sentApplication(applicationId)
  if (application.candidateId !== claim.candidateId) throw notFound()
  const source = claim.sourceId ? await sourceById(claim.sourceId) : null
  const permission = await permissionOf(applicationId)
  const enquiries = (await enquiriesOf([claimId])).filter(
    ({ credentialVersion }) => credentialVersion === claim.credentialVersion,
  )
  const person = await candidateWithMail(claim.candidateId)
  const wanted = source ? await askedFirst(deps, claim, source) : { lacks: [], enclosed: [] }
  const ways = source ? waysOf(source, claim) : []
  const way = chosenWay(ways, choice)
  const contact = source?.known.contacts.find(({ id }) => id === way?.contactId)
  const handlings = handlingsOf(deps, source, way)
  // What its candidate has chosen holds where nobody at the desk chooses otherwise.
  const speed = (choice.faster ?? claim.wantsFaster) && handlings.faster ? 'faster' : 'usual'
  const handling = handlings[speed] ?? handlings.usual
  const { costLimit } = deps.organisation.enquiries
  const toApprove = isToApprove(handling.cost, costLimit, deps.organisation.currency) && !live?.costApproved
  const asked = enquiries.some(({ state, id }) => (state === 'open' || state === 'prepared') && id !== live?.id)
  const byRegister = way?.channel === 'register'
  return {
    ...{ claim, application, source, person, permission, way, contact, ways, ...handlings, handling, speed },
    enclosed: wanted.enclosed,
    earlier: enquiries.filter(
      ({ channel, state, id }) => channel !== 'register' && state !== 'prepared' && id !== live?.id,
    ).length,
    toApprove,
    obstacles: [
      ...(isActive(application) ? [] : [coded('enquiry.obstacle.ended')]),
      ...(source ? [] : [coded('enquiry.obstacle.notVetted')]),
      ...(source && (await soldBy(source)) ? [coded('enquiry.obstacle.seller')] : []),
      ...(source?.retiredAt ? [coded('enquiry.obstacle.retired')] : []),
      ...(asked ? [coded('enquiry.obstacle.asked')] : []),
      ...(await settledObstacles(deps, claim, enquiries)),
    ],
    lacks: [
      ...(source && !source.checkedAt ? [coded('enquiry.obstacle.notChecked')] : []),
      ...(source?.checkedAt && !way ? [noWay(source, claim, choice)] : []),
      ...(permission || byRegister ? [] : [coded('enquiry.obstacle.notSigned')]),
      ...(await lacksOfClaim(claim, application, byRegister)),
      ...(byRegister ? [] : wanted.lacks),
      ...(toApprove ? [coded('enquiry.obstacle.notApproved')] : []),
    ],
  }
}

function chosenWay(ways: readonly Way[], { channel, contactId, byRegister }: Choice): Way | undefined {
  const fitting = ways.filter(
    (way) => (!channel || way.channel === channel) && (!contactId || way.contactId === contactId),
  )
  return fitting.find((way) => channel || byRegister || way.channel !== 'register')
}

/** The ways a source can be asked about a claim, best first. */
export const waysOf = (source: Source, { kind, details }: Pick<Claim, 'kind' | 'details'>): Way[] =>
  waysFor(
    { contacts: source.known.contacts, channels: source.known.channels, register: source.register },
    { kind, number: 'number' in details ? details.number : '' },
  )

/** Where a way leads: a mail address, a number, an address in lines. */
export function addressOf(source: Source, { channel, contactId }: Way): string {
  if (channel === 'register') return ''
  return source.known.contacts.find(({ id }) => id === contactId)?.[reachOf(channel)] ?? ''
}

/** The days on which a source and we both work. */
export const calendarOf = (deps: Deps, source: Source) =>
  sharedCalendar(deps, { country: source.country, ...source.known })

function handlingsOf(deps: Deps, source: Source | null, way: Way | undefined) {
  const calendar = source ? calendarOf(deps, source) : ownCalendar(deps)
  const due = (answerWorkingDays: number, cost: Money | null): Handling => ({
    ...{ answerWorkingDays, cost },
    answerBy: dueDay(deps.clock.today(), { channel: way?.channel ?? 'link', answerWorkingDays }, calendar),
  })
  const faster = source?.known.faster
  return {
    usual: due(source?.answerWorkingDays ?? 10, source?.known.cost ?? null),
    faster: faster ? due(faster.answerWorkingDays, faster.cost) : undefined,
  }
}

/** Why there is no way to a source, or none of the kind that was chosen. */
function noWay(source: Source, claim: Claim, { channel = 'link' }: Choice): Coded {
  if (channel === 'register') return coded('enquiry.obstacle.noRegister')
  const known = contactFor(source.known, claim.kind, reachOf(channel))
  return known && !known.checked ? coded('enquiry.obstacle.contactNotChecked') : coded('enquiry.obstacle.noContact')
}

/** What its source asks for before it answers: what of it is not there, and the papers that go with the question. */
async function askedFirst({ clock }: Deps, claim: Claim, source: Source) {
  const documents = (await documentsOf([claim.id])).filter(
    ({ credentialVersion, live }) => credentialVersion === claim.credentialVersion && !live,
  )
  const sources = new Map([[source.id, source]])
  const facts = { sources, documents, posted: new Map(), today: clock.today() }
  const asked = conditionsOf({ ...claim.get(), sourceId: source.id }, facts).conditions ?? []
  const enclosed = asked.flatMap(({ kind }) =>
    documents.filter(({ state, part }) =>
      kind === 'copy of the paper'
        ? state === 'seen' && !isForSource(part)
        : part === paperFor[kind] && state !== 'sent back',
    ),
  )
  const formMissing = source.known.conditions.some(
    (condition) =>
      !isMeetable(condition) && (condition.claims.length === 0 || condition.claims.some((one) => one === claim.kind)),
  )
  return {
    lacks: [
      ...asked
        .filter(({ state }) => state !== 'met')
        .map(({ kind, state }) =>
          state === 'to look at'
            ? coded('enquiry.obstacle.signatureNotSeen')
            : {
                code: 'enquiry.obstacle.askedFirst' as const,
                values: { what: { code: `condition.source.${kind}` as const } },
              },
        ),
      ...(formMissing ? [coded('enquiry.obstacle.formNotHere')] : []),
    ],
    enclosed: [...new Set(enclosed)]
      .filter(({ state, sha256 }) => (state === 'seen' || state === 'to look at') && sha256)
      .map(({ fileName, sha256 }) => ({ fileName, sha256: sha256! })),
  }
}

/** What is settled already, or may never be asked. */
async function settledObstacles(deps: Deps, claim: Claim, enquiries: readonly Enquiry[]): Promise<Coded[]> {
  const { standing } = enquiries.findLast((enquiry) => enquiry.standing) ?? {}
  // A licence that was not in good standing may be asked about anew, however well it is proven.
  const stale = (await confirmedNow(deps, claim))?.stale
  if (claim.rung === 'confirmed' && !stale && (!standing || standing.state === 'good'))
    return [coded('enquiry.obstacle.confirmed')]
  const never = 'mayAsk' in claim.details && claim.details.mayAsk === 'never'
  return never ? [coded('enquiry.obstacle.neverAsk')] : []
}

async function lacksOfClaim(claim: Claim, application: Application, byRegister: boolean): Promise<Coded[]> {
  const { details } = claim
  const later = (await mayNotAsk(details, application)).filter(({ code }) => code !== 'enquiry.obstacle.neverAsk')
  if (later.length > 0 || details.kind === 'work' || byRegister) return later
  const documents = (await documentsOf([claim.id])).filter(
    ({ credentialVersion, part }) => credentialVersion === claim.credentialVersion && !isForSource(part),
  )
  if (documents.some(({ state }) => state === 'seen')) return []
  return documents.some(({ state }) => state === 'to look at')
    ? [coded('enquiry.obstacle.notSeen')]
    : [coded('enquiry.obstacle.noPaper')]
}
