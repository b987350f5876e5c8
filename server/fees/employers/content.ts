import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { applicationsById } from '../../records/applications/find'
import type { Employer, EmployerInvoice, PayerRequest } from '../../records/fees/employers'
import { type DocumentContent, FeeCharge } from '../../records/fees/model'
import { shownNames } from '../../records/people/shownNames'
import { scheduleOf } from '../pay'

type Part = Pick<DocumentContent, 'lines' | 'tax' | 'total'> &
  Partial<Pick<DocumentContent, 'transfer' | 'means' | 'of' | 'because' | 'orderNumber'>>

/** What a paper to an employer says, in the language that is spoken. */
export const contentFor = (
  { name, street, postcode, town, receiptMail, language }: Employer,
  { currency, reference, dueOn, month }: EmployerInvoice,
  part: Part,
): DocumentContent => ({
  title: say('fees.employer.invoiceTitle'),
  payer: {
    ...{ name, mail: receiptMail },
    address: [street, `${postcode} ${town}`.trim()].filter(Boolean).join('\n'),
  },
  application: month ? say('fees.employer.forMonth', { month }) : say('fees.employer.forPeople'),
  ...{ currency, reference, taxIncluded: true, dueOn, language, ...part },
})

/** Of whom and for what each request is, as it stands on a paper; said in the language that is spoken when it is asked for. */
export async function titlesOf(requests: readonly PayerRequest[]): Promise<Map<string, () => string>> {
  const charges = await FeeCharge.findAll({ where: { id: requests.map(({ chargeId }) => chargeId) } })
  const [names, applications, schedules] = await Promise.all([
    shownNames(charges.map(({ candidateId }) => candidateId)),
    applicationsById(charges.map(({ applicationId }) => applicationId)),
    Promise.all(charges.map(async (charge) => [charge.id, await scheduleOf(charge)] as const)),
  ])
  const scheduleBy = new Map(schedules)
  return new Map(
    requests.map((request) => {
      const charge = charges.find(({ id }) => id === request.chargeId)!
      const reference = applications.find(({ id }) => id === charge.applicationId)?.reference ?? ''
      const title = () =>
        say('fees.employer.line', {
          name: names.get(charge.candidateId) ?? '',
          reference,
          fee: translated(scheduleBy.get(charge.id)!).title,
        })
      return [request.id, title]
    }),
  )
}
