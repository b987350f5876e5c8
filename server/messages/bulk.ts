import { v7 as uuid } from 'uuid'
import type { InLanguages } from '#contract/messages'
import { writeWhen } from '#core/dates/write'
import { fill, missingIn, type Placeholder } from '#core/messages/fill'
import type { Language } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { queueWritten } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { applicationsById } from '../records/applications/find'
import { hidesName } from '../records/scoring/find'
import { vacanciesById } from '../records/vacancies/vacancies'
import { requirePlaceholders } from './templates'

type Recipient = {
  application: Awaited<ReturnType<typeof applicationsById>>[number]
  name: string
  to: string
  language: Language
  values: Record<Placeholder, string>
  /** What the desk may see of them: where the name is hidden the reference stands in its place. */
  shownName: string
  shownValues: Record<Placeholder, string>
}

/** What each of several people would get, in their language. Somebody who would get nothing is told with the reason. */
export async function previewMessages(deps: Deps, written: InLanguages, ids: readonly string[]) {
  requirePlaceholders(written, '/body/written')
  return (await recipientsOf(deps, ids)).map((recipient) => {
    const { subject, text } = wordsFor(written, recipient, recipient.shownValues)
    return {
      application: recipient.application.id,
      name: recipient.shownName,
      to: recipient.shownName === recipient.name ? recipient.to : '',
      language: recipient.language,
      subject,
      text,
      obstacle: obstacleOf(written, recipient),
    }
  })
}

/** Queues a message to each; those it would reach with a hole in a sentence, or not at all, are left out. */
export async function sendMessages(deps: Deps, actor: Account, written: InLanguages, ids: readonly string[]) {
  requirePlaceholders(written, '/body/written')
  const batchId = uuid()
  let queued = 0
  const recipients = await recipientsOf(deps, ids)
  for (const recipient of recipients) {
    if (obstacleOf(written, recipient)) continue
    const { application, name, to, language } = recipient
    const { subject, text } = wordsFor(written, recipient, recipient.values)
    await queueWritten(deps, {
      to: { name, mail: to, language },
      subject,
      text,
      about: application,
      batchId,
    })
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
  return { queued, left: recipients.length - queued }
}

async function recipientsOf(deps: Deps, ids: readonly string[]): Promise<Recipient[]> {
  const applications = await applicationsById(ids)
  const vacancies = await vacanciesById(applications.map(({ vacancyId }) => vacancyId))
  const recipients: Recipient[] = []
  for (const application of applications) {
    if (application.stage === 'being written') continue
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
      contact: deps.config.contact,
    }
    const shownName = (await hidesName(application)) ? values.reference : person.name
    const hidden = shownName !== person.name
    recipients.push({
      application,
      name: person.name,
      to: contactMail(application) ?? person.mail,
      language: person.language,
      values,
      shownName,
      shownValues: hidden ? { ...values, name: shownName, givenName: shownName } : values,
    })
  }
  return recipients
}

const inTheirs = ({ english, german }: InLanguages, language: Language) =>
  language === 'de' && german ? german : english

function wordsFor(written: InLanguages, { language }: Recipient, values: Recipient['values']) {
  const { subject, text } = inTheirs(written, language)
  return { subject: fill(subject, values), text: fill(text, values) }
}

function obstacleOf(written: InLanguages, { to, language, values }: Recipient): string | null {
  if (!to || to.endsWith('.invalid')) return 'There is no address to write to.'
  const { subject, text } = inTheirs(written, language)
  const [missing] = missingIn(`${subject} ${text}`, values)
  return missing ? `There is nothing to put for {{${missing}}}.` : null
}
