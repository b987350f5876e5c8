import { speaksFor, speaksOf } from '#core/enquiries/sender'
import { enquiryReferencesIn } from '#core/tray/coverSheet'
import { awaitingPaper, takePaper } from '../../enquiries/paperCame'
import type { Deps } from '../../platform/deps'
import type { Message } from '../../platform/mail/model'
import { candidateNames } from '../../records/accounts/candidate'
import { Claim } from '../../records/claims/model'
import { keepBytes } from '../../records/documents/bytes'
import { Enquiry } from '../../records/enquiries/model'
import { sourceById } from '../../records/sources/sources'
import { currentWatchlist } from '../../records/sources/watchlist'
import { readPagesApart } from '../tray/readPagesApart'
import type { ReadMail } from './parseMail'

type EnclosedFile = ReadMail['files'][number]

/** The words of the papers of a mail, for whoever looks whom it speaks of; what cannot be read has none. */
export async function wordsEnclosed(files: readonly EnclosedFile[]): Promise<Map<EnclosedFile, string>> {
  const words = new Map<EnclosedFile, string>()
  for (const file of files.filter(isPdf))
    words.set(
      file,
      await readPagesApart(Buffer.from(file.bytes)).then(
        (pages) => pages.map((page) => page.words).join(' '),
        () => '',
      ),
    )
  return words
}

const isPdf = ({ bytes }: EnclosedFile) => Buffer.from(bytes.subarray(0, 5)).toString('latin1') === '%PDF-'

/** Whether a mail may be the answer to a question to a source at all: so that papers are only read where it may. */
export const mayAnswer = (mail: ReadMail, answered: Message | undefined): boolean =>
  mail.kind === 'written' && (Boolean(answered?.enquiryBatchId) || referencesIn(mail).length > 0)

const referencesIn = ({ subject, text }: ReadMail) => enquiryReferencesIn(`${subject}\n${text}`)

/**
 * Lays a mail of a source with the question it answers: by our code or by the mail of ours that it answers, by a sender who speaks for
 * the source, and because it speaks of the person. Where any of it is not so, it waits for somebody like any other mail.
 *
 * @returns the question and the file that was taken for its answer, if it was a file
 */
export async function takeAnswerInMail(
  deps: Deps,
  mail: ReadMail,
  answered: Message | undefined,
  words: ReadonlyMap<EnclosedFile, string>,
): Promise<{ enquiry: Enquiry; candidateId: string; file?: EnclosedFile } | undefined> {
  const enquiry = await askedIn(mail, answered)
  if (!enquiry || enquiry.paper) return undefined
  const [claim, source, { watchlist }] = await Promise.all([
    Claim.findByPk(enquiry.claimId, { rejectOnEmpty: true }),
    sourceById(enquiry.sourceId),
    currentWatchlist(),
  ])
  if (!speaksFor(mail.fromMail, source.known.contacts, new Set(watchlist.freeMail))) return undefined
  const name = (await candidateNames([claim.candidateId])).get(claim.candidateId) ?? ''
  const file = [...words].find(([, said]) => speaksOf(said, name))?.[0]
  const about = file ?? (speaksOf(`${mail.subject}\n${mail.text}`, name) ? mail.files.find(isPdf) : undefined)
  if (!file && !speaksOf(`${mail.subject}\n${mail.text}`, name)) return undefined
  const now = deps.clock.now()
  const paper = about
    ? {
        sha256: await keepBytes(Buffer.from(about.bytes), 'application/pdf', now),
        fileName: about.fileName.slice(0, 200),
      }
    : await keepMailText(mail, enquiry.reference ?? '', now)
  if (!(await takePaper(deps, enquiry, { ...paper, from: mail.fromMail }))) return undefined
  return { enquiry, candidateId: claim.candidateId, ...(about ? { file: about } : {}) }
}

/** What a mail says, kept as the paper of an answer. */
export const keepMailText = async (
  { fromMail, subject, text }: { fromMail: string; subject: string; text: string },
  reference: string,
  now: Date,
) => ({
  sha256: await keepBytes(Buffer.from(`${fromMail}\n${subject}\n\n${text}`), 'text/plain; charset=utf-8', now),
  fileName: `${reference}.txt`,
})

/** The one question that a mail answers; where it could be several, a person looks. */
async function askedIn(mail: ReadMail, answered: Message | undefined): Promise<Enquiry | undefined> {
  const references = referencesIn(mail)
  const named = await Promise.all(references.map(awaitingPaper))
  const open = named.flatMap((enquiry) => enquiry ?? [])
  if (open.length === 1) return open[0]
  if (open.length > 1 || !answered?.enquiryBatchId) return undefined
  const asked = await Enquiry.findAll({ where: { batchId: answered.enquiryBatchId, state: 'open' }, limit: 2 })
  return asked.length === 1 ? asked[0] : undefined
}
