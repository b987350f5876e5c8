import type { Temporal } from 'temporal-polyfill'
import { v7 as uuid } from 'uuid'
import { addWorkingDays } from '#core/calendar/workingDays'
import { fieldsOf } from '#core/comparison/fields'
import { isForSource } from '#core/documents/papers'
import { isActive } from '#core/hiring/stages'
import { isMeetable, paperFor } from '#core/sources/conditions'
import { contactFor } from '#core/sources/source'
import { type Coded, coded, say, sayCoded } from '#core/words/say'
import { type StoredValue, sayStored } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { newToken } from '../platform/http/tokens'
import { queueMail } from '../platform/mail/queueMail'
import { conditionsOf } from '../readiness/claimFacts'
import { ownCalendar, sharedCalendar } from '../readiness/workCalendar'
import { candidateWithMail } from '../records/accounts/candidate'
import { sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { kindOf } from '../records/claims/kinds'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { documentsOf } from '../records/documents/documents'
import { confirmedNow } from '../records/enquiries/confirmed'
import { enquiriesOf } from '../records/enquiries/enquiries'
import { claimById } from '../records/enquiries/load'
import { Enquiry, EnquiryLink } from '../records/enquiries/model'
import { claimedStatement } from '../records/enquiries/statement'
import { permissionOf } from '../records/permissions/permissions'
import type { Source } from '../records/sources/model'
import { sourceById } from '../records/sources/sources'
import { soldBy } from '../records/sources/watchlist'
import { mayNotAsk } from './mayAsk'
import { problems } from './problems'

const linkDays = 30

/** The mail an enquiry would send and everything that keeps it from being sent. */
export async function previewEnquiry(deps: Deps, claimId: string, applicationId: string) {
  const { claim, person, source, contact, obstacles, answerBy, enclosed } = await prepare(deps, claimId, applicationId)
  const preview = letter(deps, claim, person.name, source?.name ?? '', answerBy, { code: 'mail.enquiry.linkToCome' })
  return {
    to: contact?.mail ?? null,
    source: source?.name ?? claim.details.sourceName,
    subject: sayStored(`mail.${preview.words}.subject`, preview.values),
    text: sayStored(`mail.${preview.words}.text`, preview.values),
    encloses: [permissionFile(person.name), ...enclosed.map(({ fileName }) => fileName)],
    answerBy: answerBy.toString(),
    obstacles: obstacles.map(sayCoded),
  }
}

/** Asks a source about a claim: a mail to the address in the directory, with a link that works once and expires. */
export async function raiseEnquiry(deps: Deps, actor: Account, claimId: string, applicationId: string) {
  const { claim, person, source, contact, permission, obstacles, answerBy, earlier, enclosed } = await prepare(
    deps,
    claimId,
    applicationId,
  )
  if (obstacles.length > 0 || !source || !contact || !permission) throw problems.cannotAsk(obstacles)
  const now = deps.clock.now()
  const enquiry = await Enquiry.create({
    id: uuid(),
    claimId,
    credentialVersion: claim.credentialVersion,
    applicationId,
    sourceId: source.id,
    round: earlier + 1,
    channel: 'link',
    state: 'open',
    claimed: claimedStatement(claim.details, person),
    askedAt: now,
    askedBy: actor.name,
    answerBy: answerBy.toString(),
    expiresAt: new Date(now.getTime() + linkDays * 86_400_000),
  })
  const link = await linkFor(deps, enquiry)
  await queueMail(deps, {
    to: { name: source.name, mail: contact.mail },
    ...letter(deps, claim, person.name, source.name, answerBy, link),
    attachments: [{ fileName: permissionFile(person.name), sha256: permission.sha256 }, ...enclosed],
    about: { id: applicationId, candidateId: claim.candidateId },
  })
  await compareAndSet(claim, claim.version, { rung: 'asked' })
  await recordEvent(deps, actor, {
    code: 'enquiry-raised',
    words: earlier > 0 ? 'enquiry-raised.again' : 'enquiry-raised',
    values: { source: source.name, claim: labelValue(claim.details), round: earlier + 1 },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId,
    claimId,
  })
  return { id: enquiry.id, answerBy: enquiry.answerBy }
}

/** A new secret link to an enquiry; every link to it works until it is answered or expires. */
export async function linkFor(deps: Deps, enquiry: Enquiry): Promise<string> {
  const { token, tokenHash } = newToken()
  await EnquiryLink.create({ tokenHash, enquiryId: enquiry.id, createdAt: deps.clock.now() })
  return `${deps.config.publicUrl}/reply/${token}`
}

async function prepare(deps: Deps, claimId: string, applicationId: string) {
  const claim = await claimById(claimId)
  const application = await sentApplication(applicationId)
  if (application.candidateId !== claim.candidateId) throw notFound()
  const source = claim.sourceId ? await sourceById(claim.sourceId) : null
  const contact = source ? contactFor(source.known, claim.kind) : undefined
  const permission = await permissionOf(applicationId)
  const enquiries = (await enquiriesOf([claimId])).filter(
    ({ credentialVersion }) => credentialVersion === claim.credentialVersion,
  )
  const person = await candidateWithMail(claim.candidateId)
  const wanted = source ? await askedFirst(deps, claim, source) : { obstacles: [], enclosed: [] }
  const obstacles = [
    ...(isActive(application) ? [] : [coded('enquiry.obstacle.ended')]),
    ...(source ? [] : [coded('enquiry.obstacle.notVetted')]),
    ...(source && !source.checkedAt ? [coded('enquiry.obstacle.notChecked')] : []),
    ...(source && !contact ? [coded('enquiry.obstacle.noContact')] : []),
    ...(source?.checkedAt && contact && !contact.checked ? [coded('enquiry.obstacle.contactNotChecked')] : []),
    ...(source && (await soldBy(source)) ? [coded('enquiry.obstacle.seller')] : []),
    ...(source?.retiredAt ? [coded('enquiry.obstacle.retired')] : []),
    ...(permission ? [] : [coded('enquiry.obstacle.notSigned')]),
    ...(enquiries.some(({ state, channel }) => state === 'open' && channel === 'link')
      ? [coded('enquiry.obstacle.asked')]
      : []),
    ...(await obstaclesOfClaim(deps, claim, application)),
    ...wanted.obstacles,
  ]
  const answerBy = addWorkingDays(
    deps.clock.today(),
    source?.answerWorkingDays ?? 10,
    source ? sharedCalendar(deps, { country: source.country, ...source.known }) : ownCalendar(deps),
  )
  return {
    claim,
    source,
    contact,
    permission,
    person,
    obstacles,
    answerBy,
    enclosed: wanted.enclosed,
    earlier: enquiries.filter(({ channel }) => channel === 'link').length,
  }
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
    obstacles: [
      ...asked
        .filter(({ state }) => state !== 'met')
        .map(({ kind, state }) =>
          state === 'to look at'
            ? coded('enquiry.obstacle.signatureNotSeen')
            : coded('enquiry.obstacle.askedFirst', { what: say(`condition.source.${kind}`) }),
        ),
      ...(formMissing ? [coded('enquiry.obstacle.formNotHere')] : []),
    ],
    enclosed: [...new Set(enclosed)]
      .filter(({ state, sha256 }) => (state === 'seen' || state === 'to look at') && sha256)
      .map(({ fileName, sha256 }) => ({ fileName, sha256: sha256! })),
  }
}

async function obstaclesOfClaim(deps: Deps, claim: Claim, application: Application): Promise<Coded[]> {
  const { details } = claim
  const { standing } = (await enquiriesOf([claim.id])).findLast((enquiry) => enquiry.standing) ?? {}
  // A licence that was not in good standing may be asked about anew, however well it is proven.
  const stale = (await confirmedNow(deps, claim))?.stale
  if (claim.rung === 'confirmed' && !stale && (!standing || standing.state === 'good'))
    return [coded('enquiry.obstacle.confirmed')]
  const refused = mayNotAsk(details, application)
  if (refused.length > 0 || details.kind === 'work') return refused
  const documents = await documentsOf([claim.id])
  const seen = documents.some(
    ({ state, credentialVersion }) => state === 'seen' && credentialVersion === claim.credentialVersion,
  )
  return seen ? [] : [coded('enquiry.obstacle.notSeen')]
}

const permissionFile = (name: string) => `${say('mail.enquiry.permission', { name })}.pdf`

/** What a mail to a source says; in the language of whoever reads it. */
function letter(
  { organisation }: Deps,
  claim: Claim,
  candidate: string,
  source: string,
  answerBy: Temporal.PlainDate,
  link: StoredValue,
) {
  const fields = fieldsOf(claim.kind, kindOf(claim.details).statement(claim.details)).map(({ key }) => ({
    code: `field.${key}` as const,
  }))
  return {
    words: claim.kind === 'work' ? ('enquiry.work' as const) : ('enquiry.issued' as const),
    values: {
      claim: labelValue(claim.details),
      candidate,
      operator: organisation.name,
      source,
      fields: { list: fields },
      answerBy: { day: answerBy.toString() },
      link,
    },
  }
}
