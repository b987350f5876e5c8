import { createHash } from 'node:crypto'
import { isSent } from '#core/hiring/stages'
import { writeReference } from '#core/references/reference'
import { openAt } from '#core/requirements/evaluate'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { nextNumber } from '../platform/database/counter'
import type { Account, Deps } from '../platform/deps'
import { requireVersion } from '../platform/errors/problems'
import { inEnglish } from '../platform/http/language'
import { readinessOf } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import { Snapshot } from '../records/applications/model'
import { confirmedNow } from '../records/applications/writtenFor'
import { claimFaces } from '../records/claims/view'
import { keepBytes } from '../records/documents/bytes'
import { letterheadOf } from '../records/organisation/letterhead'
import { permissionOf } from '../records/permissions/permissions'
import { isOpen, vacancyById } from '../records/vacancies/vacancies'
import { applicationPdf } from './applicationPdf'
import { problems } from './problems'
import { leftOf } from './remaining'

/**
 * Sends an application: refuses while anything is missing by the vacancy's own requirements, gives it its reference, keeps
 * an unchanged snapshot, and mails a confirmation.
 */
export const sendApplication = (deps: Deps, actor: Account, id: string, version: number) =>
  inEnglish(() => send(deps, actor, id, version))

async function send(deps: Deps, actor: Account, id: string, version: number) {
  const application = await ownApplication(actor, id, { lock: true })
  if (isSent(application)) throw problems.sentAs(application.reference ?? '')
  requireVersion(version, application.version, { answers: application.answers })
  const vacancy = await vacancyById(application.vacancyId)
  const now = deps.clock.now()
  if (!isOpen(vacancy, now)) throw problems.closedMeanwhile()
  const readiness = await readinessOf(deps, application, { vacancy })
  const { outcomes, rules, ...file } = readiness
  const left = await leftOf(readiness, application)
  if (openAt(outcomes, 'send').length > 0 || left.length > 0) throw problems.notComplete(left)

  const number = await nextNumber(deps, 'applications')
  const reference = writeReference(deps.organisation.referencePrefix, number)
  await compareAndSet(application, version, {
    stage: 'sent',
    number,
    reference,
    sentAt: now,
    rulesVersion: vacancy.rulesVersion,
    // From now on there is as much time again for what is still theirs.
    ...{ extendedAt: null, completeReminded: null },
    ...confirmedNow(application, now),
  })
  const permission = await permissionOf(id)
  const content = {
    reference,
    sentAt: now.toISOString(),
    vacancy: {
      id: vacancy.id,
      title: vacancy.title,
      rulesVersion: vacancy.rulesVersion,
      requirements: rules.requirements,
      form: rules.form,
    },
    answers: application.answers,
    claims: await claimFaces(file.claims, file),
    permission: permission && {
      fullName: permission.fullName,
      textVersion: permission.textVersion,
      sha256: permission.sha256,
      signedAt: permission.signedAt.toISOString(),
    },
  }
  const sha256 = createHash('sha256').update(JSON.stringify(content)).digest('hex')
  const person = await candidateWithMail(application.candidateId)
  const pdf = await applicationPdf({
    from: await letterheadOf(deps),
    timeZone: deps.organisation.timeZone,
    application,
    rules,
    file,
    title: vacancy.title,
    reference,
    name: person.name,
    sentAt: now,
  })
  const pdfSha256 = await keepBytes(pdf, 'application/pdf', now)
  await Snapshot.create({ applicationId: id, content, sha256, pdfSha256, createdAt: now })
  await recordEvent(deps, actor, {
    code: 'application-sent',
    values: { vacancy: vacancy.title, reference },
    about: reference,
    candidateId: application.candidateId,
    applicationId: id,
    details: { snapshot: sha256 },
  })
  return { reference, sentAt: now.toISOString() }
}
