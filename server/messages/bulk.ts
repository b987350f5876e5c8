import { v7 as uuid } from 'uuid'
import type { InLanguages } from '#contract/messages'
import { writeWhen } from '#core/dates/write'
import { isDraft } from '#core/hiring/stages'
import { dialled } from '#core/messages/phone'
import { renderTemplate } from '#core/templates/template'
import { type Language, say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail, textAnswer } from '../records/applications/answers'
import { applicationsById } from '../records/applications/find'
import { noticesOf } from '../records/messages/notices'
import { hidesName } from '../records/scoring/find'
import { vacanciesById } from '../records/vacancies/vacancies'
import type { MessageField } from './fields'
import { queueWrittenNotice } from './queueNotice'
import { requireTemplates } from './templates'

type Recipient = {
  application: Awaited<ReturnType<typeof applicationsById>>[number]
  name: string
  to: string
  language: Language
  accountId: string
  /** They have refused messages of this kind. */
  refuses: boolean
  /** The number they have confirmed, or else the one they gave, where it can be dialled. */
  phone: string | undefined
  values: Record<MessageField, string>
  /** What the desk may see of them: where the name is hidden the reference stands in its place. */
  shownName: string
  shownValues: Record<MessageField, string>
}

/** What each of several people would get, in their language. Somebody who would get nothing is told with the reason. */
export async function previewMessages(deps: Deps, written: InLanguages, ids: readonly string[], general = false) {
  requireTemplates(written, '/body/written')
  return (await recipientsOf(deps, ids, general)).map((recipient) => {
    const { application, name, shownName, language } = recipient
    const known = shownName === name
    const filled = wordsFor(written, recipient, recipient.shownValues)
    return {
      application: application.id,
      name: shownName,
      to: known ? recipient.to : '',
      language,
      ...('missing' in filled ? { subject: '', text: '' } : filled),
      phone: known ? (recipient.phone ?? null) : null,
      obstacle: obstacleOf(written, recipient) ?? null,
    }
  })
}

/**
 * Queues a message to each; those it would reach with a hole in a sentence, or not at all, are left out.
 *
 * @param how.general about none of their applications: who has refused that is left out
 * @param how.alsoByText whether those whose number is known are told by a text message as well
 */
export async function sendMessages(
  deps: Deps,
  actor: Account,
  written: InLanguages,
  ids: readonly string[],
  { general = false, alsoByText = false }: { general?: boolean; alsoByText?: boolean } = {},
) {
  requireTemplates(written, '/body/written')
  const batchId = uuid()
  let queued = 0
  let texts = 0
  const recipients = await recipientsOf(deps, ids, general)
  for (const recipient of recipients) {
    const filled = wordsFor(written, recipient, recipient.values)
    if ('missing' in filled || obstacleOf(written, recipient)) continue
    const { application, accountId, name, to, language, values } = recipient
    const { subject, text } = filled
    const phone = alsoByText ? recipient.phone : undefined
    const { byText } = await queueWrittenNotice(deps, general ? 'general' : 'answers', {
      to: { accountId, name, mail: to, language },
      ...{ subject, text, phone, link: values.link, about: application, batchId },
    })
    if (byText) texts += 1
    await recordEvent(deps, actor, {
      code: 'message-written',
      values: { subject },
      about: application.reference ?? undefined,
      candidateId: application.candidateId,
      applicationId: application.id,
      details: { batchId },
    })
    queued += 1
  }
  return { queued, left: recipients.length - queued, texts }
}

async function recipientsOf(deps: Deps, ids: readonly string[], general: boolean): Promise<Recipient[]> {
  const applications = await applicationsById(ids)
  const vacancies = await vacanciesById(applications.map(({ vacancyId }) => vacancyId))
  const recipients: Recipient[] = []
  for (const application of applications) {
    if (isDraft(application)) continue
    const person = await candidateWithMail(application.candidateId)
    const { channels, phone } = await noticesOf(person.accountId)
    const vacancy = vacancies.get(application.vacancyId)!
    const givenNames = application.answers['about.givenNames']
    const values: Recipient['values'] = {
      name: person.name,
      givenName: typeof givenNames === 'string' && givenNames ? givenNames : (person.name.split(' ')[0] ?? ''),
      vacancy: vacancy.title,
      place: vacancy.place,
      reference: application.reference ?? '',
      start: inLanguage(person.language, () => writeWhen(application.targetStart)),
      link: `${deps.config.publicUrl}/applications/${application.id}`,
      contact: deps.organisation.contact,
    }
    const shownName = (await hidesName(application)) ? values.reference : person.name
    const hidden = shownName !== person.name
    recipients.push({
      application,
      name: person.name,
      to: contactMail(application) ?? person.mail,
      language: person.language,
      accountId: person.accountId,
      refuses: general && channels.general.length === 0,
      phone: phone ?? dialled(textAnswer(application, 'contact.phone') ?? '', deps.organisation.country),
      values,
      shownName,
      shownValues: hidden ? { ...values, name: shownName, givenName: shownName } : values,
    })
  }
  return recipients
}

const inTheirs = ({ english, german }: InLanguages, language: Language) =>
  language === 'de' && german ? german : english

type Filled = { subject: string; text: string } | { missing: string }

/** What one person gets, or the field for which there is no value. */
function wordsFor(written: InLanguages, { language }: Recipient, values: Recipient['values']): Filled {
  const theirs = inTheirs(written, language)
  const [subject, text] = [renderTemplate(theirs.subject, values), renderTemplate(theirs.text, values)]
  if ('missing' in subject) return subject
  return 'missing' in text ? text : { subject: subject.text, text: text.text }
}

function obstacleOf(written: InLanguages, recipient: Recipient): string | undefined {
  const { to, values, refuses } = recipient
  if (refuses) return say('messages.refusesGeneral')
  if (!to || to.endsWith('.invalid')) return say('messages.noAddress')
  const filled = wordsFor(written, recipient, values)
  return 'missing' in filled ? say('messages.noValue', { field: filled.missing }) : undefined
}
