import { speaksFor } from '#core/enquiries/sender'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { queueMails } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { labelValue } from '../records/claims/label'
import { claimById } from '../records/enquiries/load'
import { Enquiry, EnquiryLink } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { keepStep } from '../records/enquiries/steps'
import { permissionOf } from '../records/permissions/permissions'
import { sourceById } from '../records/sources/sources'
import { currentWatchlist } from '../records/sources/watchlist'
import { openBehind } from './behindLink'
import { newLink, sourceMails } from './dispatch'
import { problems } from './problems'
import { askedAs, permissionFile, spokenBy } from './wording'

type Forward = { part?: string; toName: string; toMail: string; by: string }

/**
 * Passes a question on to a colleague, with a link of their own. Within the source's own domain it goes at once; anywhere else the
 * desk looks first who that is, since whoever answers there speaks for the source.
 */
export async function forwardEnquiry(deps: Deps, token: string, { part, toName, toMail, by }: Forward) {
  const { question } = await openBehind(deps, token, part)
  const source = await sourceById(question.sourceId)
  const { watchlist } = await currentWatchlist()
  const inside = speaksFor(toMail, source.known.contacts, new Set(watchlist.freeMail))
  const to = { toMail: toMail.trim().toLowerCase(), toName: toName.trim(), forwarded: { by: by.trim() } }
  const { row, address } = newLink(deps, question, {
    ...to,
    onlyEnquiryId: question.id,
    state: inside ? 'open' : 'to check',
  })
  await EnquiryLink.create(row)
  if (inside) await send(deps, question, to, address)
  return { state: inside ? ('sent' as const) : ('to check' as const) }
}

type To = { toMail: string; toName: string; forwarded: { by: string } }

async function send(deps: Deps, question: Enquiry, { toMail, toName, forwarded }: To, link: string) {
  const [claim, source] = [await claimById(question.claimId), await sourceById(question.sourceId)]
  const person = await candidateWithMail(claim.candidateId)
  const permission = await permissionOf(question.applicationId)
  const changes = withStanding(question, { forwardedAt: deps.clock.now() })
  if (!(await changeWhere(question, { state: 'open' }, changes))) throw problems.answered()
  const mails = await sourceMails(deps, [
    {
      to: { name: toName, mail: toMail, language: spokenBy(source) },
      words: 'enquiry.forwarded',
      values: {
        ...{ by: forwarded.by, source: source.name, operator: deps.organisation.name, candidate: person.name, link },
        ...{ claim: askedAs(claim.details), answerBy: { day: question.answerBy } },
      },
      attachments: permission ? [{ fileName: permissionFile(person.name), sha256: permission.sha256 }] : [],
      about: { id: question.applicationId, candidateId: claim.candidateId },
    },
  ])
  await queueMails(mails)
  await keepStep(question, { step: 'forwarded', at: deps.clock.now(), by: forwarded.by, details: { to: toMail } })
  await recordEvent(
    deps,
    { kind: 'bearer', name: `${forwarded.by}, ${source.name}` },
    {
      code: 'enquiry-forwarded',
      values: { claim: labelValue(claim.details), to: toMail },
      about: source.name,
      candidateId: claim.candidateId,
      applicationId: question.applicationId,
      claimId: claim.id,
    },
  )
}

/** The desk lets a question go to somebody beyond the source's own domain, or does not. Of two who decide, one does. */
export async function checkForward(deps: Deps, actor: Account, id: string, forward: string, sends: boolean) {
  const question = await Enquiry.findByPk(id)
  const waiting = await EnquiryLink.findByPk(forward)
  if (!question || !waiting || waiting.batchId !== question.batchId || waiting.onlyEnquiryId !== id) throw notFound()
  if (!(await changeWhere(waiting, { state: 'to check' }, { state: 'refused' }))) throw problems.over()
  const { toMail = '', toName = '', forwarded } = waiting
  if (!sends) {
    const note = say('enquiries.notPassedOn', { to: toMail })
    await keepStep(question, { step: 'no answer', at: deps.clock.now(), by: actor.name, details: { note } })
    return { done: true as const }
  }
  if (question.state !== 'open') throw problems.over()
  // Nobody has the address of the link that waited: another takes its place.
  const to = { toMail, toName, forwarded: forwarded ?? { by: '' } }
  const { row, address } = newLink(deps, question, { ...to, onlyEnquiryId: id })
  await EnquiryLink.create(row)
  await send(deps, question, to, address)
  return { done: true as const }
}
