import { enquiryReferencesIn } from '#core/tray/coverSheet'
import { say } from '#core/words/say'
import { questionFor, takePaper } from '../../enquiries/paperCame'
import { recordEvent } from '../../platform/audit/record'
import { changed } from '../../platform/changes'
import { changeWhere } from '../../platform/database/compareAndSet'
import type { Account, Deps } from '../../platform/deps'
import { changedMeanwhile, invalidField, notFound } from '../../platform/errors/problems'
import { applicationsById, sentApplication } from '../../records/applications/find'
import { Application } from '../../records/applications/model'
import { IncomingMail } from '../../records/mails/model'
import { hidesName } from '../../records/scoring/find'
import { problems } from '../problems'
import { keepMailText } from './answerInMail'

const most = 200

/** Mails that wait for somebody, the oldest first: those that found their thread, and those that did not. */
export async function readIncomingMails() {
  const mails = await IncomingMail.findAll({
    where: { state: 'waiting' },
    order: ['receivedAt', 'id'],
    limit: most,
  })
  const applications = await applicationsById(mails.flatMap(({ applicationId }) => applicationId ?? []))
  return Promise.all(
    mails.map(async (mail) => {
      const application = applications.find(({ id }) => id === mail.applicationId)
      const hides = application !== undefined && (await hidesName(application))
      return {
        ...mailLine(mail),
        // Where names are hidden the reference stands instead of who wrote, and what they wrote waits as well.
        ...(hides ? { from: application.reference ?? '', subject: '', text: '', encloses: [] } : {}),
        application: application?.reference ? { id: application.id, reference: application.reference } : null,
      }
    }),
  )
}

export const countIncomingMails = (): Promise<number> => IncomingMail.count({ where: { state: 'waiting' } })

/** What was written to us about an application, newest first. */
export async function readMailsAbout(applicationId: string) {
  const application = await sentApplication(applicationId)
  if (await hidesName(application)) return []
  const mails = await IncomingMail.findAll({ where: { applicationId }, order: [['receivedAt', 'DESC']], limit: most })
  return mails.map(mailLine)
}

const mailLine = ({ id, fromName, fromMail, subject, text, encloses, kind, state, receivedAt }: IncomingMail) => ({
  id,
  from: fromName ? `${fromName} <${fromMail}>` : fromMail,
  subject,
  text,
  encloses,
  kind,
  state,
  receivedAt: receivedAt.toISOString(),
})

/** Settles a mail: it was answered, done, or needs nothing. */
export async function settleIncomingMail(deps: Deps, actor: Account, id: string) {
  const mail = await IncomingMail.findByPk(id)
  if (!mail) throw notFound()
  const settled = { state: 'settled' as const, settledBy: actor.name, settledAt: deps.clock.now() }
  if (!(await changeWhere(mail, { state: 'waiting' }, settled))) throw problems.alreadySettled()
  await recordEvent(deps, actor, {
    code: 'mail-settled',
    values: { subject: mail.subject },
    ...(mail.applicationId ? { applicationId: mail.applicationId, candidateId: mail.candidateId ?? undefined } : {}),
  })
  return { done: true as const }
}

/**
 * Puts a mail that found no thread, or the wrong one, into the file it belongs to; or, by the reference of a question to a source, to
 * that question as its answer, which settles it.
 */
export async function fileIncomingMail(deps: Deps, actor: Account, id: string, reference: string) {
  if (enquiryReferencesIn(reference).length > 0) return layMailWithQuestion(deps, actor, id, reference)
  const [mail, application] = await Promise.all([
    IncomingMail.findByPk(id),
    Application.findOne({ where: { reference: reference.trim().toUpperCase() } }),
  ])
  if (!mail) throw notFound()
  if (!application) throw invalidField('/body/reference', say('problem.noApplicationHasThisReference'))
  const before = mail.applicationId
  const { candidateId } = application
  // Of two who put it into different files at once one is told; else the other's file would keep waiting for it.
  const still = { state: 'waiting' as const, applicationId: before }
  if (!(await changeWhere(mail, still, { applicationId: application.id, candidateId }))) throw problems.alreadySettled()
  if (before && before !== application.id) await changed(deps, { code: 'mail-settled', actor, applicationId: before })
  await recordEvent(deps, actor, {
    code: 'mail-filed',
    values: { subject: mail.subject },
    about: application.reference ?? undefined,
    applicationId: application.id,
    candidateId,
  })
  return { done: true as const }
}

async function layMailWithQuestion(deps: Deps, actor: Account, id: string, reference: string) {
  const mail = await IncomingMail.findByPk(id)
  if (!mail) throw notFound()
  const enquiry = await questionFor(actor, reference)
  const now = deps.clock.now()
  const { applicationId } = enquiry
  const { candidateId } = await sentApplication(applicationId)
  const settled = { state: 'settled' as const, settledBy: actor.name, settledAt: now, applicationId, candidateId }
  if (!(await changeWhere(mail, { state: 'waiting' }, settled))) throw problems.alreadySettled()
  const came = { ...(await keepMailText(mail, enquiry.reference ?? '', now)), from: mail.fromMail, actor }
  if (!(await takePaper(deps, enquiry, came))) throw changedMeanwhile()
  return { done: true as const }
}
