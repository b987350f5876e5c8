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
import { queueText, queueWritten } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail, textAnswer } from '../records/applications/answers'
import { applicationsById } from '../records/applications/find'
import { hidesName } from '../records/scoring/find'
import { vacanciesById } from '../records/vacancies/vacancies'
import type { MessageField } from './fields'
import { requireTemplates } from './templates'

type Recipient = {
  application: Awaited<ReturnType<typeof applicationsById>>[number]
  name: string
  to: string
  language: Language
  /** The number they gave, where it can be dialled. */
  phone: string | undefined
  values: Record<MessageField, string>
  /** What the desk may see of them: where the name is hidden the reference stands in its place. */
  shownName: string
  shownValues: Record<MessageField, string>
}

/** What each of several people would get, in their language. Somebody who would get nothing is told with the reason. */
export async function previewMessages(deps: Deps, written: InLanguages, ids: readonly string[]) {
  requireTemplates(written, '/body/written')
  return (await recipientsOf(deps, ids)).map((recipient) => {
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
 * @param alsoByText whether those whose number is known are told by a text message as well
 */
export async function sendMessages(
  deps: Deps,
  actor: Account,
  written: InLanguages,
  ids: readonly string[],
  alsoByText = false,
) {
  requireTemplates(written, '/body/written')
  const batchId = uuid()
  let queued = 0
  let texts = 0
  const recipients = await recipientsOf(deps, ids)
  for (const recipient of recipients) {
    const filled = wordsFor(written, recipient, recipient.values)
    if ('missing' in filled || obstacleOf(written, recipient)) continue
    const { application, name, to, language, phone, values } = recipient
    const { subject, text } = filled
    const about = { about: application, batchId }
    await queueWritten(deps, { to: { name, mail: to, language }, subject, text, ...about })
    if (alsoByText && phone) {
      const { link } = values
      const short = inLanguage(language, () =>
        say('messages.thereIsMail', { operator: deps.organisation.name, subject, link }),
      )
      await queueText(deps, { to: { name, phone }, subject, text: short, ...about })
      texts += 1
    }
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

async function recipientsOf(deps: Deps, ids: readonly string[]): Promise<Recipient[]> {
  const applications = await applicationsById(ids)
  const vacancies = await vacanciesById(applications.map(({ vacancyId }) => vacancyId))
  const recipients: Recipient[] = []
  for (const application of applications) {
    if (isDraft(application)) continue
    const person = await candidateWithMail(application.candidateId)
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
      phone: dialled(textAnswer(application, 'contact.phone') ?? '', deps.organisation.country),
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
  const { to, values } = recipient
  if (!to || to.endsWith('.invalid')) return say('messages.noAddress')
  const filled = wordsFor(written, recipient, values)
  return 'missing' in filled ? say('messages.noValue', { field: filled.missing }) : undefined
}
