import type { Way } from '#core/enquiries/ways'
import type { Deps } from '../platform/deps'
import { newToken } from '../platform/http/tokens'
import { queueJobs } from '../platform/jobs/queue'
import { type MailRow, mailRow, queueMails } from '../platform/mail/queueMail'
import { type Enquiry, EnquiryLink } from '../records/enquiries/model'
import type { Source } from '../records/sources/model'
import { type Asked, directMail, permissionFile, questionMail, reminderMail, spokenBy } from './wording'

/** One question as it goes out: what it is about, and what goes with it. */
export type Outgoing = Asked & {
  enquiry: Enquiry
  permission: { sha256: string } | null
  enclosed: readonly { fileName: string; sha256: string }[]
}
/** The questions of one letter or mail. */
export type Batch = readonly [Outgoing, ...Outgoing[]]

type Link = Pick<EnquiryLink, 'tokenHash' | 'batchId' | 'createdAt'> &
  Partial<Pick<EnquiryLink, 'toMail' | 'toName' | 'onlyEnquiryId' | 'forwarded' | 'state'>>

/** What leaves the house for some questions; nothing has left before it is written. */
export type Leaving = { links: Link[]; mails: MailRow[]; lookUps: { enquiryId: string }[] }

const nothing: Leaving = { links: [], mails: [], lookUps: [] }

/** A new secret link to the questions of a letter; every link to them works until they are answered or end. */
export function newLink(
  deps: Deps,
  { batchId }: Pick<Enquiry, 'batchId'>,
  to: Omit<Link, 'tokenHash' | 'batchId' | 'createdAt'> = {},
): { row: Link; address: string } {
  const { token, tokenHash } = newToken()
  return {
    row: { tokenHash, batchId, createdAt: deps.clock.now(), ...to },
    address: `${deps.config.publicUrl}/reply/${token}`,
  }
}

/** Writes what leaves, in the transaction of what it is for: a mail and the question it carries are there both or neither. */
export async function letLeave(leaving: readonly Leaving[]) {
  const links = leaving.flatMap((one) => one.links)
  if (links.length > 0) await EnquiryLink.bulkCreate(links)
  await queueMails(leaving.flatMap((one) => one.mails))
  await queueJobs(
    'look up',
    leaving.flatMap((one) => one.lookUps),
  )
}

/** How questions are taken to their source by each way. A letter waits for the printer and a call for somebody to make it. */
export const ask: Record<Way['channel'], (deps: Deps, batch: Batch, source: Source, to: string) => Leaving> = {
  link: (deps, batch, source, mail) => {
    const [{ enquiry }] = batch
    const { row, address } = newLink(deps, enquiry, { toMail: mail, toName: source.name })
    const written = questionMail(deps, batch, source.name, enquiry.answerBy, address)
    return { ...nothing, links: [row], mails: [mailOf(deps, batch, source, mail, written)] }
  },
  'direct issue': (deps, batch, source, mail) => ({
    ...nothing,
    mails: batch.map((one) =>
      mailOf(deps, [one], source, mail, directMail(deps, one, source.name, one.enquiry.answerBy)),
    ),
  }),
  letter: () => nothing,
  telephone: () => nothing,
  register: (_deps, batch) => ({ ...nothing, lookUps: batch.map(({ enquiry }) => ({ enquiryId: enquiry.id })) }),
}

/** Reminds a source of what it was asked, by the way it was asked. A letter is printed once more. */
export function remind(deps: Deps, batch: Batch, source: Source, to: string): Leaving {
  const [{ enquiry }] = batch
  if (enquiry.channel === 'direct issue') return ask['direct issue'](deps, batch, source, to)
  if (enquiry.channel !== 'link') return nothing
  const { row, address } = newLink(deps, enquiry, { toMail: to, toName: source.name })
  return { ...nothing, links: [row], mails: [mailOf(deps, batch, source, to, reminderMail(deps, batch, address))] }
}

type Written = ReturnType<typeof questionMail> | ReturnType<typeof directMail> | ReturnType<typeof reminderMail>

function mailOf(deps: Deps, batch: Batch, source: Source, mail: string, written: Written): MailRow {
  const [{ claim, enquiry }] = batch
  return mailRow(deps, {
    to: { name: source.name, mail, language: spokenBy(source) },
    ...(written as ReturnType<typeof directMail>),
    attachments: batch.flatMap(({ candidate, permission, enclosed }) => [
      ...(permission ? [{ fileName: permissionFile(candidate), sha256: permission.sha256 }] : []),
      ...enclosed,
    ]),
    // A mail about several people belongs to no single file.
    ...(batch.length === 1 ? { about: { id: enquiry.applicationId, candidateId: claim.candidateId } } : {}),
    enquiryBatchId: enquiry.batchId,
  })
}
