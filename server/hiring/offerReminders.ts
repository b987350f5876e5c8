import { Op } from 'sequelize'
import { writeWhen } from '#core/dates/write'
import { recordEvent } from '../platform/audit/record'
import { forEachRow } from '../platform/database/forEachRow'
import type { Deps } from '../platform/deps'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { applicationById } from '../records/applications/find'
import { Offer } from '../records/hiring/model'
import { vacancyById } from '../records/vacancies/vacancies'

/** What is said by itself of an offer nobody has answered, each once, before its day and after it. Gives how many failed. */

const daysBefore = 2

/** Shortly before the day to answer by. */
export function remindOfOffers(deps: Deps): Promise<number> {
  const today = deps.clock.today()
  const soon = today.add({ days: daysBefore }).toString()
  const due = {
    answer: null,
    remindedAt: null,
    answerBy: { [Op.between]: [today.toString(), soon] as [string, string] },
  }
  return forEachRow(deps, Offer, due, async (offer) => {
    await offer.update({ remindedAt: deps.clock.now() })
    await tell(deps, offer, (title) => ({
      subject: `Our offer awaits your answer: ${title}`,
      text: `Please answer our offer of a post as ${title} by ${writeWhen(offer.answerBy)}`,
    }))
  })
}

/** Once the day has passed: the candidate knows what holds, and whoever makes offers finds it in the queue. */
export function tellOfExpiredOffers(deps: Deps): Promise<number> {
  const past = { answer: null, expiryToldAt: null, answerBy: { [Op.lt]: deps.clock.today().toString() } }
  return forEachRow(deps, Offer, past, async (offer) => {
    await offer.update({ expiryToldAt: deps.clock.now() })
    const application = await tell(deps, offer, (title) => ({
      subject: `The day to answer our offer has passed: ${title}`,
      text: `The day to answer our offer of a post as ${title} was ${writeWhen(offer.answerBy)}. We have been told, and will write to you. Where your application stands`,
    }))
    await recordEvent(
      deps,
      { kind: 'system' },
      {
        code: 'offer-expired',
        what: `The offer was not answered by ${writeWhen(offer.answerBy)}`,
        forCandidate: 'The day to answer the offer by has passed.',
        about: application.reference ?? undefined,
        candidateId: application.candidateId,
        applicationId: application.id,
      },
    )
  })
}

async function tell(deps: Deps, offer: Offer, said: (title: string) => { subject: string; text: string }) {
  const application = await applicationById(offer.applicationId)
  const person = await candidateWithMail(application.candidateId)
  const { subject, text } = said((await vacancyById(application.vacancyId)).title)
  await queueMail(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    subject,
    text: `${text}:\n${deps.config.publicUrl}/applications/${application.id}`,
    about: application,
  })
  return application
}
