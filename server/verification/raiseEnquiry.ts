import { v7 as uuid } from 'uuid'
import { addWorkingDays } from '#core/calendar/workingDays'
import { fieldsOf } from '#core/comparison/fields'
import { writeDay } from '#core/dates/write'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { conflict, notFound } from '../platform/errors/problems'
import { newToken } from '../platform/http/tokens'
import { queueMail } from '../platform/mail/queueMail'
import { ownCalendar, sharedCalendar } from '../readiness/workCalendar'
import { candidateWithMail } from '../records/accounts/candidate'
import { isActive, sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { labelOf } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { documentsOf } from '../records/documents/documents'
import { enquiriesOf } from '../records/enquiries/enquiries'
import { claimById } from '../records/enquiries/load'
import { Enquiry, EnquiryLink } from '../records/enquiries/model'
import { claimedStatement } from '../records/enquiries/statement'
import { permissionOf } from '../records/permissions/permissions'
import { Source } from '../records/sources/model'

const linkDays = 30

/** The mail an enquiry would send and everything that keeps it from being sent. */
export async function previewEnquiry(deps: Deps, claimId: string, applicationId: string) {
  const { claim, person, source, obstacles, answerBy } = await prepare(deps, claimId, applicationId)
  return {
    to: source?.mail ?? null,
    source: source?.name ?? claim.details.sourceName,
    ...letter(deps, claim, person.name, source?.name ?? '', answerBy, '(a link made for this question)'),
    encloses: [`Permission to check, ${person.name}.pdf`],
    answerBy: answerBy.toString(),
    obstacles,
  }
}

/** Asks a source about a claim: a mail to the address in the directory, with a link that works once and expires. */
export async function raiseEnquiry(deps: Deps, actor: Account, claimId: string, applicationId: string) {
  const { claim, person, source, permission, obstacles, answerBy, earlier } = await prepare(
    deps,
    claimId,
    applicationId,
  )
  if (obstacles.length > 0 || !source || !permission)
    throw conflict('cannot-ask', obstacles[0] ?? 'The source cannot be asked.', { obstacles })
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
    to: { name: source.name, mail: source.mail },
    ...letter(deps, claim, person.name, source.name, answerBy, link),
    attachments: [{ fileName: `Permission to check, ${person.name}.pdf`, sha256: permission.sha256 }],
    about: { id: applicationId, candidateId: claim.candidateId },
  })
  await compareAndSet(claim, claim.version, { rung: 'asked' })
  await recordEvent(deps, actor, {
    code: 'enquiry-raised',
    what: `Asked ${source.name} about ${labelOf(claim.details)}${earlier > 0 ? ` again (round ${earlier + 1})` : ''}`,
    forCandidate: `We asked ${source.name} about ${labelOf(claim.details)}.`,
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
  const source = claim.sourceId ? await Source.findByPk(claim.sourceId) : null
  const permission = await permissionOf(applicationId)
  const enquiries = (await enquiriesOf([claimId])).filter(
    ({ credentialVersion }) => credentialVersion === claim.credentialVersion,
  )
  const person = await candidateWithMail(claim.candidateId)
  const obstacles = [
    ...(isActive(application) ? [] : ['This application has ended; nobody is asked for it any more.']),
    ...(source ? [] : ['This source is not in the directory yet; it has to be vetted before anyone writes to it.']),
    ...(permission ? [] : ['The candidate has not signed the permission to check.']),
    ...(enquiries.some(({ state, channel }) => state === 'open' && channel === 'link')
      ? ['This source has been asked and still has time to answer.']
      : []),
    ...(await obstaclesOfClaim(claim, application)),
  ]
  const answerBy = addWorkingDays(
    deps.clock.today(),
    source?.answerWorkingDays ?? 10,
    source ? sharedCalendar(deps, source.country) : ownCalendar(deps),
  )
  return {
    claim,
    source,
    permission,
    person,
    obstacles,
    answerBy,
    earlier: enquiries.filter(({ channel }) => channel === 'link').length,
  }
}

async function obstaclesOfClaim(claim: Claim, application: Application): Promise<string[]> {
  const { details } = claim
  const { standing } = (await enquiriesOf([claim.id])).findLast((enquiry) => enquiry.standing) ?? {}
  // A licence that was not in good standing may be asked about anew, however well it is proven.
  if (claim.rung === 'confirmed' && (!standing || standing.state === 'good')) return ['This is confirmed already.']
  if (details.kind === 'work') {
    if (details.mayAsk === 'never')
      return ['The candidate does not want this employer to be asked. Ask for other evidence, or talk to them.']
    const beforeOffer = application.stage === 'sent' || application.stage === 'shortlisted'
    return details.mayAsk === 'after an offer' && beforeOffer ? ['This employer may be asked only after an offer.'] : []
  }
  const documents = await documentsOf([claim.id])
  const seen = documents.some(
    ({ state, credentialVersion }) => state === 'seen' && credentialVersion === claim.credentialVersion,
  )
  return seen ? [] : ['Look at the document first: nobody has seen a readable one yet.']
}

function letter(
  { config }: Deps,
  claim: Claim,
  candidate: string,
  source: string,
  answerBy: Parameters<typeof writeDay>[0],
  link: string,
) {
  const label = labelOf(claim.details)
  const asked = fieldsOf(claim.kind).map((field) => field.label.toLowerCase())
  return {
    subject: `Please confirm: ${label}, ${candidate}`,
    text: `${candidate} has applied to ${config.operator} and states that ${source} ${claim.kind === 'work' ? 'employed them' : 'issued this'}: ${label}.\n\nPlease tell us whether that is right. It takes about two minutes and needs no account:\n${link}\n\nWe ask about: ${asked.join(', ')}. ${candidate} has signed a permission to check, which is attached. The link is meant for you, works once, and expires.\n\nWe would be glad of an answer by ${writeDay(answerBy)}.`,
  }
}
