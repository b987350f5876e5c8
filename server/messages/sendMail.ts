import { type StoredText, writeValue } from '#core/words/stored'
import { changed } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { queueJob } from '../platform/jobs/queue'
import { Message } from '../platform/mail/model'
import { notHandedOver, notTakenYet, saidByServer } from '../platform/mail/refusal'
import { accountOfCandidate } from '../records/accounts/candidate'
import { readBytes } from '../records/documents/bytes'
import { stopLink } from './generalMail'

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
      ...(message.kind === 'general' && message.candidateId
        ? { stopAddress: stopLink(deps, (await accountOfCandidate(message.candidateId)).id) }
        : {}),
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

/**
 * Keeps that a message was refused for good, and why; the desk sees it in the file and in the queue. Where a mail was held back
 * for it, that one goes, and nobody has to do anything.
 */
export async function refuseMessage(deps: Deps, message: Message, because: StoredText) {
  if (await letGo(message))
    return void (await message.update({ state: 'let be', refusedBecause: because, sentAt: deps.clock.now() }))
  await message.update({ state: 'refused', refusedBecause: because, sentAt: deps.clock.now() })
  await changedByRefusal(deps, message, because)
}

/** What rests on a mail that did not arrive: the queue its application is in, and the questions it carried. */
export async function changedByRefusal(
  deps: Deps,
  { applicationId, candidateId, enquiryBatchId }: Pick<Message, 'applicationId' | 'candidateId' | 'enquiryBatchId'>,
  because: StoredText,
) {
  if (!applicationId && !enquiryBatchId) return
  await changed(deps, {
    ...{ code: 'mail-refused', actor: { kind: 'system' } },
    ...(applicationId ? { applicationId } : {}),
    ...(candidateId ? { candidateId } : {}),
    ...(enquiryBatchId ? { details: { enquiryBatchId, because: writeValue(because) } } : {}),
  })
}

/** Lets the mail go that was held back while a text message was under way. Gives whether there was one. */
export async function letGo({ insteadOf }: Message): Promise<boolean> {
  if (!insteadOf) return false
  const [gone] = await Message.update({ state: 'queued' }, { where: { id: insteadOf, state: 'held' } })
  if (gone > 0) await queueJob('mail', { messageId: insteadOf })
  return gone > 0
}
