import { Op } from 'sequelize'
import { queueNotice } from '../messages/queueNotice'
import { recordEvent } from '../platform/audit/record'
import { forEachRow } from '../platform/database/forEachRow'
import type { Deps } from '../platform/deps'
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
    await remind(deps, offer)
  })
}

/** Once the day has passed: the candidate knows what holds, and whoever makes offers finds it in the queue. */
export function tellOfExpiredOffers(deps: Deps): Promise<number> {
  const past = { answer: null, expiryToldAt: null, answerBy: { [Op.lt]: deps.clock.today().toString() } }
  return forEachRow(deps, Offer, past, async (offer) => {
    await offer.update({ expiryToldAt: deps.clock.now() })
    const application = await applicationById(offer.applicationId)
    await recordEvent(
      deps,
      { kind: 'system' },
      {
        code: 'offer-expired',
        values: { until: { day: offer.answerBy } },
        about: application.reference ?? undefined,
        candidateId: application.candidateId,
        applicationId: application.id,
      },
    )
  })
}

async function remind(deps: Deps, offer: Offer) {
  const application = await applicationById(offer.applicationId)
  const person = await candidateWithMail(application.candidateId)
  const { title } = await vacancyById(application.vacancyId)
  await queueNotice(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    words: 'offerReminder',
    values: {
      vacancy: title,
      until: { day: offer.answerBy },
      link: `${deps.config.publicUrl}/applications/${application.id}`,
    },
    about: application,
  })
}
