import { v7 as uuid } from 'uuid'
import { retell } from '#core/words/retell'
import { type Language, say } from '#core/words/say'
import type { Deps } from '../deps'
import { inLanguage } from '../http/language'
import { queueJob } from '../jobs/queue'
import { Message } from './model'

export type Mail = {
  /** Whom it goes to, and the language they are written to in; without one, English. */
  to: { name: string; mail: string; language?: Language }
  subject: string
  text: string
  attachments?: { fileName: string; sha256: string }[]
  /** The application it is about. */
  about?: { id: string; candidateId: string }
  batchId?: string
  /** The words are in the language of whoever gets them already. */
  asWritten?: boolean
}

/** Leaves a mail in the outbox, in the transaction of what it tells about; a job sends it. */
export async function queueMail(deps: Deps, { to, subject, text, attachments, about, batchId, asWritten }: Mail) {
  const retold = asWritten ? (line: string) => line : retell
  const said = inLanguage(to.language ?? 'en', () => ({
    subject: retold(subject),
    hello: say('Hello {{name}},', { name: to.name }),
    text: text
      .split('\n')
      .map((line) => (line === '' ? '' : retold(line)))
      .join('\n'),
  }))
  const signed = `${said.hello}\n\n${said.text}\n\n${deps.config.operator}\n${deps.config.contact}\n`
  const message = await Message.create({
    id: uuid(),
    toName: to.name,
    toMail: to.mail,
    subject: said.subject,
    text: signed,
    attachments: attachments ?? [],
    applicationId: about?.id ?? null,
    candidateId: about?.candidateId ?? null,
    batchId: batchId ?? null,
    createdAt: deps.clock.now(),
  })
  await queueJob('mail', { messageId: message.id })
}
