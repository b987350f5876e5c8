import type { Way } from '#core/enquiries/ways'
import type { SourceLanguage } from '#core/words/say'
import { insertRows } from '../platform/database/insertRows'
import type { Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { newToken } from '../platform/http/tokens'
import { queueJobs } from '../platform/jobs/queue'
import { type Envelope, type MailRow, queueMails, writtenRow } from '../platform/mail/queueMail'
import { type Enquiry, EnquiryLink } from '../records/enquiries/model'
import type { Source } from '../records/sources/model'
import { readOwnTexts, saySourceText } from './ownTexts'
import { type Asked, directMail, permissionFile, questionMail, reminderMail, spokenBy, type Written } from './wording'

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

/** A mail to a source, whose words are said when it leaves. */
type SourceMail = Written & Envelope & { to: { name: string; mail: string; language: SourceLanguage } }

/** What leaves the house for some questions; nothing has left before it is written. */
export type Leaving = { links: Link[]; mails: SourceMail[]; lookUps: { enquiryId: string }[] }

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

/** The same with its words said, as it is written. */
export type Packed = { links: Link[]; mails: MailRow[]; lookUps: Leaving['lookUps'] }

/** Says what is to leave; nothing is written, and nothing held meanwhile. */
export const pack = async (deps: Deps, leaving: readonly Leaving[]): Promise<Packed> => ({
  links: leaving.flatMap(({ links }) => links),
  mails: await sourceMails(
    deps,
    leaving.flatMap(({ mails }) => mails),
  ),
  lookUps: leaving.flatMap(({ lookUps }) => lookUps),
})

/** Writes what leaves, in the transaction of what it is for: a mail and the question it carries are there both or neither. */
export async function letLeave({ links, mails, lookUps }: Packed) {
  await insertRows(EnquiryLink, links)
  await queueMails(mails)
  await queueJobs('look up', lookUps)
}

/** Mails to sources as they will lie in the outbox, in the words of the house where it has its own. */
export async function sourceMails(deps: Deps, mails: readonly SourceMail[]): Promise<MailRow[]> {
  if (mails.length === 0) return []
  const own = await readOwnTexts()
  return mails.map(({ words, values, ...envelope }) => {
    const { language } = envelope.to
    const said = saySourceText(own, { name: `mail.${words}`, language }, values)
    return inLanguage(language, () => writtenRow(deps, { ...envelope, ...said }))
  })
}

/** How questions are taken to their source by each way. A letter waits for the printer and a call for somebody to make it. */
export const ask: Record<Way['channel'], (deps: Deps, batch: Batch, source: Source, to: string) => Leaving> = {
  link: (deps, batch, source, mail) => {
    const [{ enquiry }] = batch
    const { row, address } = newLink(deps, enquiry, { toMail: mail, toName: source.name })
    const written = questionMail(deps, batch, source.name, enquiry.answerBy, address)
    return { ...nothing, links: [row], mails: [mailOf(batch, source, mail, written)] }
  },
  'direct issue': (deps, batch, source, mail) => ({
    ...nothing,
    mails: batch.map((one) => mailOf([one], source, mail, directMail(deps, one, source.name, one.enquiry.answerBy))),
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
  return { ...nothing, links: [row], mails: [mailOf(batch, source, to, reminderMail(deps, batch, address))] }
}

function mailOf(batch: Batch, source: Source, mail: string, written: Written): SourceMail {
  const [{ claim, enquiry }] = batch
  return {
    to: { name: source.name, mail, language: spokenBy(source) },
    ...written,
    attachments: batch.flatMap(({ candidate, permission, enclosed }) => [
      ...(permission ? [{ fileName: permissionFile(candidate), sha256: permission.sha256 }] : []),
      ...enclosed,
    ]),
    // A mail about several people belongs to no single file.
    ...(batch.length === 1 ? { about: { id: enquiry.applicationId, candidateId: claim.candidateId } } : {}),
    enquiryBatchId: enquiry.batchId,
  }
}
