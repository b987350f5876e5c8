import { UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { isSent } from '#core/hiring/stages'
import { beginByMail, writtenByCandidate } from '../../conversations/ask'
import { changedByRefusal } from '../../messages/sendMail'
import { recordEvent } from '../../platform/audit/record'
import { inTransaction } from '../../platform/database/connection'
import type { Deps } from '../../platform/deps'
import { inGuardedThread } from '../../platform/jobs/threads'
import { Message } from '../../platform/mail/model'
import { saidByServer } from '../../platform/mail/refusal'
import { mailDomain } from '../../platform/outside/mail'
import { applicationById } from '../../records/applications/find'
import { conversationOfMessage } from '../../records/conversations/find'
import { IncomingMail } from '../../records/mails/model'
import { takeOrTell } from '../tray/tray'
import { mayAnswer, takeAnswerInMail, wordsEnclosed } from './answerInMail'
import type { GivenMail, ReadMail } from './parseMail'

const parser = new URL('./parseMail.ts', import.meta.url)
const patienceSeconds = 30
const longestEntry = 8000

/**
 * Keeps a mail that came in. The answer to a mail of ours stands with it, by the identifiers in its headers; what is enclosed
 * goes to the paper tray; a report that a mail did not arrive is told where that mail stands; whatever a machine sent by itself
 * is kept and asks for nobody. What a candidate answers to a notice is a question to the desk. Anything else waits for a person.
 *
 * @param sender the address of the envelope, empty for what wants no answer
 * @throws Error where it could not be kept; the mail server tries again
 */
export async function receiveMail(deps: Deps, bytes: Buffer, sender: string): Promise<void> {
  const given: GivenMail = { bytes, sender, domain: mailDomain(deps.config.mailFrom) }
  const otherwise = undefined as ReadMail | undefined
  const mail = await inGuardedThread(parser, given, { seconds: patienceSeconds, otherwise })
  if (!mail) throw new Error('a mail could not be read within its limits')
  const answered = await answeredMail(mail)
  // Papers are read before the transaction begins: that may take a while.
  const words = mayAnswer(mail, answered) ? await wordsEnclosed(mail.files) : undefined
  await inTransaction(deps.sequelize, () => keep(deps, mail, answered, words))
}

async function keep(
  deps: Deps,
  mail: ReadMail,
  answered: Message | undefined,
  words: Awaited<ReturnType<typeof wordsEnclosed>> | undefined,
) {
  const known = await IncomingMail.count({ where: { messageId: mail.messageId } })
  const taken = words && known === 0 ? await takeAnswerInMail(deps, mail, answered, words) : undefined
  const applicationId = taken?.enquiry.applicationId ?? answered?.applicationId ?? null
  const candidateId = taken?.candidateId ?? answered?.candidateId ?? null
  const conversation = mail.kind === 'written' && answered ? await conversationOfMessage(answered.id) : null
  const begun = mail.kind === 'written' && answered && !conversation ? await beganBy(answered, mail) : undefined
  const id = uuid()
  const kept = IncomingMail.create({
    id,
    messageId: mail.messageId,
    fromName: mail.fromName,
    fromMail: mail.fromMail,
    subject: mail.subject,
    text: mail.text,
    encloses: mail.files.map(({ fileName }) => fileName),
    repliesTo: answered?.id ?? null,
    applicationId,
    candidateId: candidateId ?? null,
    kind: mail.kind,
    // What belongs to a conversation waits there.
    state: mail.kind === 'written' && !conversation && !begun && !taken ? 'waiting' : 'settled',
    receivedAt: deps.clock.now(),
  })
  // Whoever never heard that a mail was kept hands it over again; it is the same mail.
  if (!(await isNew(kept))) return
  if (mail.kind === 'bounce') return answered && tellNotArrived(deps, answered, mail)
  const broughtBy = mail.fromName ? `${mail.fromName} <${mail.fromMail}>` : mail.fromMail
  for (const { fileName, bytes } of mail.files.filter((file) => file !== taken?.file))
    await takeOrTell(deps, { came: 'mail', broughtBy, candidateId: candidateId ?? null }, fileName, Buffer.from(bytes))
  const actor = { kind: 'bearer' as const, name: broughtBy.slice(0, 120) }
  const entry = { name: broughtBy.slice(0, 200), text: mail.text.slice(0, longestEntry), incomingMailId: id }
  if (conversation) await writtenByCandidate(deps, actor, conversation.id, { ...entry, via: 'mail' })
  else if (begun) await beginByMail(deps, actor, begun, { ...entry, via: 'mail' })
  else if (mail.kind === 'written' && applicationId)
    await recordEvent(deps, actor, {
      code: 'mail-received',
      values: { subject: mail.subject },
      applicationId,
      candidateId: candidateId ?? undefined,
    })
}

/**
 * The application somebody asks about by answering a notice of ours: it has to come from where the notice went, and to say
 * something. Anybody else who answers is looked at by a person first.
 */
async function beganBy({ kind, toMail, applicationId }: Message, { fromMail, text }: ReadMail) {
  if (!kind || !applicationId || text.trim() === '' || fromMail.toLowerCase() !== toMail.toLowerCase()) return undefined
  const application = await applicationById(applicationId)
  return isSent(application) ? application : undefined
}

const isNew = (kept: Promise<unknown>): Promise<boolean> =>
  kept.then(
    () => true,
    (error: unknown) => {
      if (error instanceof UniqueConstraintError) return false
      throw error
    },
  )

async function answeredMail({ answers }: ReadMail): Promise<Message | undefined> {
  if (answers.length === 0) return undefined
  const ours = new Map((await Message.findAll({ where: { id: answers } })).map((message) => [message.id, message]))
  return answers.flatMap((id) => ours.get(id) ?? [])[0]
}

/** A mail server further on took it and could not deliver it: the same as one that was refused at once. */
async function tellNotArrived(deps: Deps, message: Message, { report }: ReadMail) {
  if (!report?.failed || message.state !== 'accepted') return
  const said = { state: 'refused' as const, refusedBecause: saidByServer(report.because), sentAt: deps.clock.now() }
  const [told] = await Message.update(said, { where: { id: message.id, state: 'accepted' } })
  if (told > 0) await changedByRefusal(deps, message, said.refusedBecause)
}
