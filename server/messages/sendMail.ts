import type { Deps } from '../deps'
import { readBytes } from '../documents/bytes'
import { Message } from './model'

/** Sends a queued mail over SMTP. A mail already sent is left alone, so the job may run twice. */
export async function sendMail(deps: Deps, { messageId }: { messageId: string }) {
  const message = await Message.findByPk(messageId, { rejectOnEmpty: true })
  if (message.sentAt) return
  const attachments = await Promise.all(
    message.attachments.map(async ({ fileName, sha256 }) => ({ fileName, ...(await readBytes(sha256)) })),
  )
  await deps.mailer.send({
    id: message.id,
    to: { name: message.toName, mail: message.toMail },
    subject: message.subject,
    text: message.text,
    attachments,
  })
  await message.update({ sentAt: deps.clock.now() })
}
