import { changed } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { Message } from '../platform/mail/model'
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
    })
  } catch (error) {
    const { responseCode, response } = error as { responseCode?: number; response?: string }
    if (!responseCode || responseCode < 500) {
      await message.update({ refusedBecause: `Not taken yet: ${response ?? String(error)}`.slice(0, 500) })
      throw error
    }
    return refuse(deps, message, response ?? String(error))
  }
  await message.update({ state: 'accepted', sentAt: deps.clock.now(), refusedBecause: null })
}

/** No mail server took it, however often it was tried. */
export async function giveUpMail(deps: Deps, { messageId }: { messageId: string }, error: string) {
  const message = await Message.findByPk(messageId)
  if (message?.state === 'queued') await refuse(deps, message, `It could not be handed over: ${error}`)
}

async function refuse(deps: Deps, message: Message, because: string) {
  await message.update({ state: 'refused', refusedBecause: because.slice(0, 500), sentAt: deps.clock.now() })
  if (message.applicationId)
    await changed(deps, { code: 'mail-refused', actor: { kind: 'system' }, applicationId: message.applicationId })
}
