import { Op } from 'sequelize'
import { writeAmount } from '#core/words/amounts'
import { translated } from '#core/words/translations'
import { queueNotice } from '../messages/queueNotice'
import { forEachRow } from '../platform/database/forEachRow'
import type { Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { applicationById } from '../records/applications/find'
import { FeeCharge } from '../records/fees/model'
import { scheduleOf } from './pay'

const daysBefore = 3
const againAfterDays = 7

/** Reminds of what is still owed: shortly before it is due, and each week after that. Gives how many failed. */
export function remindOfFees(deps: Deps): Promise<number> {
  const now = deps.clock.now()
  const soon = deps.clock.today().add({ days: daysBefore }).toString()
  const lately = new Date(now.getTime() - againAfterDays * 86_400_000)
  const due = {
    state: 'open' as const,
    dueOn: { [Op.lte]: soon },
    [Op.or]: [{ remindedAt: null }, { remindedAt: { [Op.lt]: lately } }],
  }
  return forEachRow(deps, FeeCharge, due, async (charge) => {
    await charge.update({ remindedAt: now })
    const application = await applicationById(charge.applicationId)
    const [person, schedule] = await Promise.all([candidateWithMail(charge.candidateId), scheduleOf(charge)])
    await inLanguage(person.language, () =>
      queueNotice(deps, {
        to: { ...person, mail: contactMail(application) ?? person.mail },
        words: 'feeReminder',
        values: {
          fee: translated(schedule).title,
          amount: writeAmount(charge.owed, charge.currency),
          day: { day: charge.dueOn },
          link: `${deps.config.publicUrl}/applications/${application.id}`,
        },
        about: application,
      }),
    )
  })
}
