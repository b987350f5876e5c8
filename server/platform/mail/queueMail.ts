import { v7 as uuid } from 'uuid'
import type { NoticeKind } from '#core/messages/notices'
import { textIn } from '#core/organisation/organisation'
import type english from '#core/words/catalogue/mail.en'
import { type NamesIn, type SpokenLanguage, say } from '#core/words/say'
import { type StoredValue, sayStored } from '#core/words/stored'
import { insertRows } from '../database/insertRows'
import type { Deps } from '../deps'
import { inLanguage } from '../http/language'
import { queueJob, queueJobs } from '../jobs/queue'
import { Message } from './model'

type Texts = typeof english
type MailOf<Said> = Said extends `mail.${infer Mail}.${'subject' | 'text' | 'text_one' | 'text_other'}` ? Mail : never
type Needs = {
  [Said in keyof Texts as MailOf<Said>]: NamesIn<Texts[Said]> | (Said extends `${string}_one` ? 'count' : never)
}

/** The mails there are: each has a subject and a text by its name. */
export type MailWords = keyof Needs
/** What the words of a mail need. */
export type MailValues<Words extends MailWords> = { [Name in Needs[Words]]: StoredValue }

export type Envelope = {
  /** Whom it goes to, and the language they are written to in; without one, English. */
  to: { name: string; mail: string; language?: SpokenLanguage }
  attachments?: { fileName: string; sha256: string }[]
  /** The application it is about. */
  about?: { id: string; candidateId: string }
  batchId?: string
  /** The questions to a source it carries. */
  enquiryBatchId?: string
  /** What kind of notice to a candidate it is. */
  kind?: NoticeKind
}

type Written = { subject: string; text: string }

type Mail<Words extends MailWords> = Envelope & { words: Words; values: MailValues<Words> }

/** Leaves a mail in the outbox, in the transaction of what it tells about; a job sends it. Gives the mail’s identifier. */
export const queueMail = async <Words extends MailWords>(
  deps: Deps,
  { words, values, ...envelope }: Mail<Words>,
): Promise<string> =>
  queueRow(
    inLanguage(envelope.to.language ?? 'en', () =>
      writtenRow(deps, {
        ...envelope,
        subject: sayStored(`mail.${words}.subject`, values),
        text: sayStored(`mail.${words}.text`, values),
      }),
    ),
  )

/** The same with words that somebody wrote, in the language of whoever gets them. One that is held goes once it is let go. */
export const queueWritten = async (deps: Deps, mail: Envelope & Written & { held?: boolean }): Promise<string> =>
  queueRow(writtenRow(deps, mail))

/** A mail as it lies in the outbox. */
export type MailRow = ReturnType<typeof writtenRow>

/** A mail as it will lie in the outbox, in the language of the moment; nothing is written yet. */
export function writtenRow(deps: Deps, mail: Envelope & Written & { held?: boolean }) {
  const { to, subject, text, attachments, about, batchId, enquiryBatchId, kind, held } = mail
  const hello = inLanguage(to.language ?? 'en', () => say('mail.hello', { name: to.name }))
  return {
    id: uuid(),
    toName: to.name,
    toMail: to.mail,
    subject,
    text: `${hello}\n\n${text}\n\n${footerOf(deps, to.language ?? 'en')}\n`,
    attachments: attachments ?? [],
    applicationId: about?.id ?? null,
    candidateId: about?.candidateId ?? null,
    batchId: batchId ?? null,
    enquiryBatchId: enquiryBatchId ?? null,
    kind: kind ?? null,
    state: held ? ('held' as const) : ('queued' as const),
    createdAt: deps.clock.now(),
  }
}

async function queueRow(row: MailRow): Promise<string> {
  await queueMails([row])
  return row.id
}

/** Leaves many mails in the outbox. */
export async function queueMails(rows: readonly MailRow[]) {
  if (rows.length === 0) return
  await insertRows(Message, rows)
  await queueJobs(
    'mail',
    rows.filter(({ state }) => state === 'queued').map(({ id: messageId }) => ({ messageId })),
  )
}

/** What stands under a mail: who writes and where they are reached, and what the organisation has added. */
function footerOf({ organisation }: Deps, language: string): string {
  const { name, contact, footer, languages } = organisation
  return [name, contact, textIn(footer, language, languages).replace(/^/, '\n')].join('\n').trimEnd()
}

type TextEnvelope = Omit<Envelope, 'to' | 'attachments'> & {
  to: { name: string; phone: string }
  /** The file it belongs to, where it is about no application. */
  candidateId?: string
  /** The mail that is held back meanwhile. */
  insteadOf?: string
}

/** Leaves a text message in the outbox; a job hands it to the gateway. */
export async function queueText(
  deps: Deps,
  { to, subject, text, about, batchId, kind, insteadOf, candidateId }: TextEnvelope & Written,
): Promise<void> {
  const message = await Message.create({
    id: uuid(),
    channel: 'text',
    toName: to.name,
    toMail: '',
    toPhone: to.phone,
    subject,
    text,
    attachments: [],
    applicationId: about?.id ?? null,
    candidateId: about?.candidateId ?? candidateId ?? null,
    batchId: batchId ?? null,
    kind: kind ?? null,
    insteadOf: insteadOf ?? null,
    createdAt: deps.clock.now(),
  })
  await queueJob('text', { messageId: message.id })
}
