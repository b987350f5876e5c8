import type { EmployerTerms } from '#contract/employers'
import { type Visitor, visitor } from './client'
import { someTerms } from './fees'
import { type House, password, tokenIn } from './house'

/** An employer with an organisation account, and somebody who decides for it, signed in. */
export async function anEmployer(house: House, over: Partial<EmployerTerms> = {}, money?: Visitor) {
  const desk = money ?? (await house.staff('money'))
  const mail = `${Math.random().toString(36).slice(2)}@employer.test`
  const terms = someTerms(over)
  const { id } = await desk.done('addEmployer', { body: { terms, person: { name: 'Paula Payer', mail } } })
  await house.workOff()
  const token = tokenIn((await house.mailTo(mail)).text, 'join')
  const payer = visitor(house.address)
  await payer.done('acceptInvitation', { params: { token }, body: { password } })
  const waiting = async () => (await payer.done('listPayerRequests', { query: { state: 'asked' } })).requests
  return {
    ...{ id, mail, payer, waiting, name: terms.name },
    read: () => payer.done('readOwnEmployer'),
    invoices: async () => (await payer.done('listOwnInvoices')).invoices,
    accept: async (orderNumber = '') =>
      payer.call('decidePayerRequest', {
        params: { id: (await waiting())[0]!.id },
        body: { accepted: true, orderNumber },
      }),
  }
}
