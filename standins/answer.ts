import { createTransport } from 'nodemailer'
import type { ReceivedMail } from './mailbox'

const mailInPort = () => Number(process.env.MAIL_IN_PORT ?? 4104)

/** Answers a mail as whoever got it, over SMTP, with the headers that every mail program sets (RFC 5322, 3.6.4). */
export async function answerByMail({ to, from, subject, text: before, headers }: ReceivedMail, text: string) {
  const transport = createTransport({ host: '127.0.0.1', port: mailInPort(), secure: false, ignoreTLS: true })
  const quoted = before
    .trim()
    .split('\n')
    .map((line) => `> ${line}`)
    .join('\n')
  await transport.sendMail({
    from: to,
    to: headers['reply-to'] ?? from,
    subject: /^re:/i.test(subject) ? subject : `Re: ${subject}`,
    inReplyTo: headers['message-id'],
    references: headers['message-id'],
    text: `${text}\n\n${quoted}\n`,
  })
  transport.close()
}
