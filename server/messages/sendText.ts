import { coded } from '#core/words/say'
import { inTransaction } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { queueJob } from '../platform/jobs/queue'
import { Message } from '../platform/mail/model'
import { notHandedOver, saidByServer } from '../platform/mail/refusal'
import type { TextAnswer } from '../platform/outside/textMessages'
import { letGo, refuseMessage } from './sendMail'

/** Hands a text message to the gateway; one already handed over is left alone, so the job may run twice. */
export async function sendText(deps: Deps, { messageId }: { messageId: string }) {
  const message = await Message.findByPk(messageId)
  if (message?.state !== 'queued') return
  const answer = await deps.texts.send({ id: message.id, to: message.toPhone ?? '', text: message.text })
  await inTransaction(deps.sequelize, async () => {
    await keepAnswer(deps, message, answer)
    if (answer.state === 'accepted') await askLater(messageId, 0)
  })
}

/** Asks what became of a text message, and again later while it is under way. */
export async function followText(deps: Deps, { messageId }: { messageId: string }) {
  const message = await Message.findByPk(messageId)
  if (message?.state !== 'accepted') return
  const answer = await deps.texts.stateOf(message.id)
  const since = Date.now() - message.createdAt.getTime()
  if (answer.state !== 'accepted') return keepAnswer(deps, message, answer)
  if (since < followedDays * 86_400_000) return askLater(messageId, since)
  await letGo(message)
}

/** A phone may be off for days; what is not on it after three is left as taken by the gateway, and told by mail instead. */
const followedDays = 3

/** Asks soon at first and then ever less often. */
const askLater = (messageId: string, sinceMs: number) =>
  queueJob(
    'text delivery',
    { messageId },
    { runAt: new Date(Date.now() + Math.max(1000, Math.min(sinceMs, 3_600_000))) },
  )

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
