import { createHash } from 'node:crypto'
import { type AddressObject, type ParsedMail, simpleParser } from 'mailparser'
import {
  answeredBy,
  type DeliveryReport,
  type IncomingKind,
  kindOfMail,
  readDeliveryReport,
} from '#core/messages/incoming'

export type GivenMail = { bytes: Uint8Array; sender: string; domain: string }

/** A mail as it is read, with nothing of its markup. */
export type ReadMail = {
  messageId: string
  fromName: string
  fromMail: string
  subject: string
  text: string
  kind: IncomingKind
  /** Mails of ours that it answers or reports on, the newest first. */
  answers: string[]
  report: DeliveryReport | undefined
  files: { fileName: string; bytes: Uint8Array }[]
}

const longest = { name: 200, mail: 254, subject: 300, text: 100_000, files: 20 }

/** Reads a mail that somebody from outside has sent; runs in a guarded thread. */
export default async function parseMail(given: GivenMail | 'get ready'): Promise<ReadMail | undefined> {
  if (given === 'get ready') return undefined
  const bytes = Buffer.from(given.bytes)
  const mail = await simpleParser(bytes, { keepDeliveryStatus: true, skipImageLinks: true })
  const headers = Object.fromEntries(
    mail.headerLines.map(({ key, line }) => [
      key,
      line
        .slice(line.indexOf(':') + 1)
        .replace(/\s+/g, ' ')
        .trim(),
    ]),
  )
  const kind = kindOfMail(headers, given.sender)
  const status = mail.attachments.find(({ contentType }) => contentType === 'message/delivery-status')
  const from = first(mail.from)
  return {
    messageId: idOf(mail, bytes),
    fromName: (from?.name ?? '').slice(0, longest.name),
    fromMail: (from?.address ?? given.sender).slice(0, longest.mail),
    subject: (mail.subject ?? '').slice(0, longest.subject),
    text: (mail.text ?? '').trim().slice(0, longest.text),
    kind,
    // A report encloses the mail that did not arrive, or its headers.
    answers:
      kind === 'bounce'
        ? answeredBy({ references: bytes.toString('latin1') }, given.domain)
        : answeredBy(headers, given.domain),
    report: status && readDeliveryReport(status.content.toString('latin1')),
    files:
      kind === 'bounce'
        ? []
        : mail.attachments
            .filter(({ related, contentType }) => !related && !contentType.startsWith('message/'))
            .slice(0, longest.files)
            .map(({ filename, content }, nth) => ({ fileName: filename ?? `${nth + 1}`, bytes: content })),
  }
}

const first = (from: AddressObject | AddressObject[] | undefined) => (Array.isArray(from) ? from[0] : from)?.value[0]

/** What a mail is known by; one without an identifier by what it says. */
const idOf = ({ messageId }: ParsedMail, bytes: Buffer) =>
  messageId && messageId.length <= 300 && /^[\x21-\x7e]+$/.test(messageId)
    ? messageId
    : `<${createHash('sha256').update(bytes).digest('hex')}@no-identifier>`
