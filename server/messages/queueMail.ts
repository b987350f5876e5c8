import { v7 as uuid } from 'uuid'
import type { Deps } from '../deps'
import { queueJob } from '../jobs/queue'
import { Message } from './model'

export type Mail = {
  to: { name: string; mail: string }
  subject: string
  text: string
  attachments?: { fileName: string; sha256: string }[]
  applicationId?: string
}

/** Leaves a mail in the outbox, in the transaction of what it tells about; a job sends it. */
export async function queueMail(deps: Deps, { to, subject, text, attachments, applicationId }: Mail) {
  const signed = `Hello ${to.name},\n\n${text}\n\n${deps.config.operator}\n${deps.config.contact}\n`
  const message = await Message.create({
    id: uuid(),
    toName: to.name,
    toMail: to.mail,
    subject,
    text: signed,
    attachments: attachments ?? [],
    applicationId: applicationId ?? null,
    createdAt: deps.clock.now(),
  })
  await queueJob('mail', { messageId: message.id })
}
