import type { EmployerTerms } from '#contract/employers'
import { askEmployer } from '#server/fees/employers/ask'
import { decidePayerRequest } from '#server/fees/employers/decide'
import { addEmployer } from '#server/fees/employers/keep'
import { inTransaction } from '#server/platform/database/connection'
import { Account as AccountRow, actorOf } from '#server/records/accounts/model'
import { Employer, PayerRequest } from '#server/records/fees/employers'
import { chargeOf } from './fees'
import { depsAt, type World } from './world'

type Asked = { person: string; day: number; lines?: string[]; orderNumber?: string; accepted?: number }

const usual: Omit<EmployerTerms, 'name' | 'town'> = {
  ...{ currency: 'EUR', limit: 200_000, invoicing: 'monthly', dueDays: 30, language: 'en', street: 'Am Seilplatz 2' },
  ...{ postcode: '6774', receiptMail: '', findable: true, orderNumberNeeded: false },
}

/** Employers who pay for their people, each with somebody who decides; and what they were asked. */
export const payers: { terms: EmployerTerms; person: { name: string; mail: string }; asked: Asked[] }[] = [
  {
    terms: { ...usual, name: 'Brandalm Huts and Lifts', town: 'Brandalm', receiptMail: 'ledger@brandalm.example' },
    person: { name: 'Petra Aumann', mail: 'petra@brandalm.example' },
    asked: [
      { person: 'Mika Lund', day: -4, accepted: -3, orderNumber: 'BA-2207' },
      { person: 'Jorun Aske', day: -2, lines: ['course', 'exam'] },
    ],
  },
  {
    terms: {
      ...usual,
      ...{ name: 'Obertal Snow Service', town: 'Obertal', invoicing: 'each', dueDays: 10, findable: false },
      orderNumberNeeded: true,
    },
    person: { name: 'Severin Pohl', mail: 'severin@obertal.example' },
    asked: [{ person: 'Resi Thaler', day: -17, accepted: -16, orderNumber: '4500-118' }],
  },
]

/** Opens the accounts of employers, and has them decide what they were asked. */
export async function openEmployers(world: World, passwordHash: string) {
  const { sequelize } = world.fixed
  const { money } = world.desk
  if (!money) return
  for (const { terms, person, asked } of payers) {
    const { id } = await inTransaction(sequelize, () => addEmployer(depsAt(world, -40), money, { terms, person }))
    const { mail } = person
    await AccountRow.update({ passwordHash, confirmedAt: depsAt(world, -39).clock.now() }, { where: { mail } })
    const payer = actorOf(await AccountRow.findOne({ where: { mail }, rejectOnEmpty: true }))
    for (const { person: name, day, lines = null, orderNumber = '', accepted } of asked) {
      const { charge, actor } = await chargeOf(name)
      const wish = { employer: id, lines, orderNumber, code: await codeOf(id) }
      await inTransaction(sequelize, () => askEmployer(depsAt(world, day), actor, charge.id, wish))
      if (accepted === undefined) continue
      const request = await PayerRequest.findOne({ where: { chargeId: charge.id }, rejectOnEmpty: true })
      await inTransaction(sequelize, () =>
        decidePayerRequest(depsAt(world, accepted), payer, request.id, { accepted: true, orderNumber }),
      )
    }
  }
}

const codeOf = async (id: string) => (await Employer.findByPk(id, { rejectOnEmpty: true })).code
