import type { StoredText } from '#core/words/stored'
import { changed } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { Message } from '../platform/mail/model'
import { notHandedOver, notTakenYet, saidByServer } from '../platform/mail/refusal'
import { readBytes } from '../records/documents/bytes'

/**
 * Sends a queued mail over SMTP. A mail already sent is left alone, so the job may run twice. One that the mail server
 * refuses for good (SMTP 5xx) is not tried again: what it said is kept, and the desk sees it in the file.
 */
export async function sendMail(deps: Deps, { messageId }: { messageId: string }) {
  const message = await Message.findByPk(messageId)
  if (message?.state !== 'queued') return
  const attachments = await Promise.all(
    message.attachments.map(async ({ fileName, sha256 }) => ({ fileName, ...(await readBytes(sha256)) })),
  )
  try {
    await deps.mailer.send({
      id: message.id,
      to: { name: message.toName, mail: message.toMail },
      subject: message.subject,
      text: message.text,
      attachments,
      from: deps.organisation.name,
      replyTo: deps.organisation.contact,
    })
  } catch (error) {
    const { responseCode, response } = error as { responseCode?: number; response?: string }
    if (!responseCode || responseCode < 500) {
      await message.update({ refusedBecause: notTakenYet(response ?? String(error)) })
      throw error
    }
    return refuseMessage(deps, message, saidByServer(response ?? String(error)))
  }
  await message.update({ state: 'accepted', sentAt: deps.clock.now(), refusedBecause: null })
}

/** No mail server took it, however often it was tried. */
export async function giveUpMail(deps: Deps, { messageId }: { messageId: string }, error: string) {
  const message = await Message.findByPk(messageId)
  if (message?.state === 'queued') await refuseMessage(deps, message, notHandedOver(error))
}

/** Keeps that a message was refused for good, and why; the desk sees it in the file and in the queue. */
export async function refuseMessage(deps: Deps, message: Message, because: StoredText) {
  await message.update({ state: 'refused', refusedBecause: because, sentAt: deps.clock.now() })
  if (message.applicationId)
    await changed(deps, { code: 'mail-refused', actor: { kind: 'system' }, applicationId: message.applicationId })
}
