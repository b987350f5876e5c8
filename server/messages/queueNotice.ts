import { channelsFor, type NoticeKind } from '#core/messages/notices'
import { type SpokenLanguage, say } from '#core/words/say'
import { sayStored } from '#core/words/stored'
import type { Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { type MailValues, type MailWords, queueText, queueWritten } from '../platform/mail/queueMail'
import { noticesOf } from '../records/messages/notices'
import { stopLink } from './generalMail'

/** What kind of notice each mail to candidates is. Mails with a link that works once go by mail alone, and are not here. */
const kindOf = {
  received: 'progress',
  shortlist: 'progress',
  offer: 'progress',
  offerExtended: 'progress',
  offerWithdrawn: 'progress',
  offerExpired: 'progress',
  cleared: 'progress',
  startChanged: 'progress',
  rulesChanged: 'progress',
  decisionDay: 'progress',
  decisionLate: 'progress',
  matterDecided: 'progress',
  originalReceived: 'progress',
  originalReturned: 'progress',
  sheetNotRight: 'to do',
  deskAsks: 'answers',
  changePart: 'to do',
  betterCopy: 'to do',
  sourceAsksMore: 'to do',
  enquiryWaits: 'to do',
  hearing: 'to do',
  postedMissed: 'to do',
  paperDiscarded: 'progress',
  finalPaperDue: 'to do',
  finalPaperMissed: 'to do',
  resit: 'to do',
  offerReminder: 'to do',
  closing: 'to do',
  closingComplete: 'to do',
  quiet: 'to do',
  timeToFinish: 'to do',
  setAside: 'to do',
  deskAnswered: 'answers',
  feeDue: 'to do',
  feeReminder: 'to do',
  feeReceived: 'progress',
  feeChanged: 'progress',
  payerAnswered: 'to do',
} as const satisfies Partial<Record<MailWords, NoticeKind>>

type Reader = { accountId: string; name: string; mail: string; language: SpokenLanguage }
type Notice = {
  to: Reader
  /** Papers go by mail in any case. */
  attachments?: { fileName: string; sha256: string }[]
  about?: { id: string; candidateId: string }
  batchId?: string
  /** Where the text message leads. */
  link: string
}

/**
 * Tells a candidate something by the channels they have chosen, in the transaction of what it tells about.
 *
 * @returns the mail's identifier
 */
export const queueNotice = <Words extends keyof typeof kindOf>(
  deps: Deps,
  { words, values, ...notice }: Omit<Notice, 'link'> & { words: Words; values: MailValues<Words> & { link: string } },
): Promise<string | undefined> =>
  inLanguage(notice.to.language, async () => {
    const subject = sayStored(`mail.${words}.subject`, values)
    const text = sayStored(`mail.${words}.text`, values)
    const { mailId } = await queueWrittenNotice(deps, kindOf[words], { ...notice, link: values.link, subject, text })
    return mailId
  })

/**
 * The same with words that somebody wrote. Where a text message alone was chosen, the mail is written too and held back: it goes
 * if the text message does not arrive. Who has refused general mailings gets none.
 *
 * @param phone a number to send a text message to though it was not chosen as a channel
 */
export async function queueWrittenNotice(
  deps: Deps,
  kind: NoticeKind,
  { to, subject, text, link, phone, ...rest }: Notice & { subject: string; text: string; phone?: string },
): Promise<{ mailId?: string; byText: boolean }> {
  const choice = await noticesOf(to.accountId)
  const channels = channelsFor(kind, choice.channels, choice.phone !== null)
  if (channels.length === 0) return { byText: false }
  const number = channels.includes('text') ? choice.phone : phone
  const byMail = channels.includes('mail') || Boolean(rest.attachments?.length)
  const { about, batchId } = rest
  const below = kind === 'general' ? `\n\n${say('mail.general.stop', { link: stopLink(deps, to.accountId) })}` : ''
  const mailId =
    byMail || kind !== 'general'
      ? await queueWritten(deps, { ...rest, to, subject, text: `${text}${below}`, kind, held: !byMail })
      : undefined
  if (number) {
    const short = inLanguage(to.language, () =>
      say(byMail ? 'messages.thereIsMail' : 'messages.byTextAlone', {
        operator: deps.organisation.name,
        subject,
        link,
      }),
    )
    const more = byMail || !mailId ? {} : { insteadOf: mailId }
    await queueText(deps, { to: { name: to.name, phone: number }, subject, text: short, about, batchId, kind, ...more })
  }
  return { mailId, byText: Boolean(number) }
}
