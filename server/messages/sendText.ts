import { coded } from '#core/words/say'
import { inTransaction } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { queueJob } from '../platform/jobs/queue'
import { Message } from '../platform/mail/model'
import { notHandedOver, saidByServer } from '../platform/mail/refusal'
import type { TextAnswer } from '../platform/outside/textMessages'
import { refuseMessage } from './sendMail'

/** Hands a text message to the gateway; one already handed over is left alone, so the job may run twice. */
export async function sendText(deps: Deps, { messageId }: { messageId: string }) {
  const message = await Message.findByPk(messageId)
  if (message?.state !== 'queued') return
  const answer = await deps.texts.send({ id: message.id, to: message.toPhone ?? '', text: message.text })
  await inTransaction(deps.sequelize, async () => {
    await keepAnswer(deps, message, answer)
    if (answer.state === 'accepted') await queueJob('text delivery', { messageId })
  })
}

/**
 * Asks what became of a text message.
 *
 * @throws Error while it is under way, so that the job asks again
 */
export async function followText(deps: Deps, { messageId }: { messageId: string }) {
  const message = await Message.findByPk(messageId)
  if (message?.state !== 'accepted') return
  const answer = await deps.texts.stateOf(message.id)
  if (answer.state === 'accepted') throw new Error('the text message is still under way')
  await keepAnswer(deps, message, answer)
}

export async function giveUpText(deps: Deps, { messageId }: { messageId: string }, error: string) {
  const message = await Message.findByPk(messageId)
  if (message?.state === 'queued') await refuseMessage(deps, message, notHandedOver(error))
}

async function keepAnswer(deps: Deps, message: Message, { state, because }: TextAnswer) {
  if (state === 'accepted' || state === 'delivered')
    return void (await message.update({ state, sentAt: deps.clock.now(), refusedBecause: null }))
  await refuseMessage(
    deps,
    message,
    state === 'no number' ? coded('messages.because.noNumber') : saidByServer(because ?? ''),
  )
}
