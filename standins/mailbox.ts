import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'

export type ReceivedMail = {
  id: string
  to: string
  from: string
  subject: string
  text: string
  html: string
  headers: Record<string, string>
  /** How often it was handed over. */
  copies: number
  receivedAt: string
  attachments: { fileName: string; mediaType: string; bytes: Buffer }[]
}

export type Mailbox = { mails: ReceivedMail[]; close: () => void }

/** A mail server that takes everything, keeps each message as a file, and has it again after a restart. */
export async function openMailbox(folder: string, port: number): Promise<Mailbox> {
  mkdirSync(folder, { recursive: true })
  const mails: ReceivedMail[] = []
  for (const name of readdirSync(folder)
    .filter((file) => file.endsWith('.eml'))
    .sort()) {
    mails.push(await parsed(name.replace('.eml', ''), readFileSync(join(folder, name))))
  }
  let received = 0
  const smtp = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    size: 40 * 1024 * 1024,
    // So that refusals can be watched: nobody at this domain is taken.
    onRcptTo: ({ address }, _session, done) =>
      done(
        address.toLowerCase().endsWith('@refuses.example')
          ? Object.assign(new Error('No such mailbox here'), { responseCode: 550 })
          : undefined,
      ),
    onData(stream, _session, done) {
      const chunks: Buffer[] = []
      stream.on('data', (chunk: Buffer) => chunks.push(chunk))
      stream.on('end', () => {
        const bytes = Buffer.concat(chunks)
        // Whoever never heard that a message was taken hands it over again; it is the same message (RFC 5322, 3.6.4).
        const messageId = /^message-id:\s*(<[^>]+>)/im.exec(bytes.subarray(0, 8192).toString('latin1'))?.[1]
        const again = messageId && mails.find(({ headers }) => headers['message-id'] === messageId)
        if (again) {
          again.copies += 1
          return done()
        }
        received += 1
        const id = `${Date.now()}-${String(received).padStart(5, '0')}`
        writeFileSync(join(folder, `${id}.eml`), bytes)
        parsed(id, bytes).then(
          (mail) => {
            mails.push(mail)
            done()
          },
          (error: Error) => done(error),
        )
      })
    },
  })
  await new Promise<void>((ready, fail) => {
    smtp.on('error', fail)
    smtp.listen(port, '127.0.0.1', ready)
  })
  return { mails, close: () => smtp.close() }
}

async function parsed(id: string, bytes: Buffer): Promise<ReceivedMail> {
  const mail = await simpleParser(bytes)
  const addressed = Array.isArray(mail.to) ? mail.to[0] : mail.to
  return {
    id,
    to: addressed?.value[0]?.address ?? '',
    from: mail.from?.text ?? '',
    subject: mail.subject ?? '',
    text: mail.text ?? '',
    html: mail.html || '',
    headers: Object.fromEntries(
      mail.headerLines.map(({ key, line }) => [key, line.slice(line.indexOf(':') + 1).trim()]),
    ),
    copies: 1,
    receivedAt: new Date(Number(id.split('-')[0])).toISOString(),
    attachments: mail.attachments.map(({ filename, contentType, content }) => ({
      fileName: filename ?? 'attachment',
      mediaType: contentType,
      bytes: content,
    })),
  }
}
