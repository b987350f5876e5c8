import { amountInDigits } from '#core/money/currency'
import { recordPayment } from '#server/fees/decide'
import { addFeeProof, saveFeeAnswers } from '#server/fees/ownFees'
import { takeStatement } from '#server/fees/statements/takeStatement'
import { makeVouchers, redeemVoucher } from '#server/fees/vouchers'
import { inTransaction } from '#server/platform/database/connection'
import type { Account } from '#server/platform/deps'
import { accountOfCandidate } from '#server/records/accounts/candidate'
import { actorOf, Candidate } from '#server/records/accounts/model'
import { FeeCharge } from '#server/records/fees/model'
import { drawPdf } from './papers'
import type { PersonPlan } from './plan'
import { depsAt, fullName, isoIn, type World } from './world'

/** What somebody says for a fee alone, with the paper that shows it. */
export async function answerForFees(world: World, plan: PersonPlan, actor: Account, id: string, day: number) {
  const { sequelize } = world.fixed
  const deps = depsAt(world, day)
  for (const [schedule, { facts, leftOut, proof }] of Object.entries(plan.fees ?? {})) {
    const given = { version: 0, facts, ...(leftOut ? { leftOut } : {}) }
    await inTransaction(sequelize, () => saveFeeAnswers(deps, actor, { id, schedule }, given))
    if (!proof) continue
    const paper = await drawPdf({
      ...{ issuer: 'Vallorne Mountain Lines', place: 'Vallorne, AT', heading: 'Contract of apprenticeship' },
      lines: ['as a cableway engineer', fullName(plan), 'second year'],
      ...{ signedBy: 'The head of training', on: '1 September 2025' },
    })
    await addFeeProof(deps, actor, { id, schedule, fact: proof }, Buffer.from(paper))
  }
}

/** Who has paid, and how; vouchers of an open day. */
export async function payFees(world: World) {
  const { sequelize } = world.fixed
  const { money } = world.desk
  if (!money) return
  const [code] = (
    await inTransaction(sequelize, () =>
      makeVouchers(depsAt(world, -8), money, {
        ...{ batch: 'Open day at the valley station', count: 12, worth: { amount: 10_000, currency: 'EUR' } },
        ...{ lines: ['course'], through: isoIn(world, 60) },
      }),
    )
  ).codes
  await inTransaction(sequelize, async () => {
    const { charge } = await chargeOf('Pavle Drnovec')
    const note = 'statement of the week, line 14'
    const body = { amount: charge.owed, receivedOn: isoIn(world, -4), note }
    await recordPayment(depsAt(world, -4), money, charge.id, body)
  })
  await inTransaction(sequelize, async () => {
    const { charge, actor } = await chargeOf('Elin Vasser')
    await redeemVoucher(depsAt(world, -5), actor, charge.id, code!)
  })
}

/** The statement of yesterday: somebody paid again what was paid already, one names no reference, and one has nothing to do with us. */
export async function readStatementOfYesterday(world: World) {
  const { money } = world.desk
  if (!money) return
  const { charge: pavle } = await chargeOf('Pavle Drnovec')
  const { charge: ronja } = await chargeOf('Ronja Abendroth')
  const on = isoIn(world, -1)
  const lines = [
    'date;amount;currency;payer;reference;text;id',
    `${on};${amountInDigits(pavle.total, 'EUR')};EUR;Drnovec Pavle;${pavle.reference};Kurs;4711-1`,
    `${on};${amountInDigits(ronja.owed, 'EUR')};EUR;Abendroth Dieter;;Liftkurs;4711-2`,
    `${on};84.20;EUR;Gasthof Talblick;;Rechnung 2207;4711-3`,
  ]
  await inTransaction(world.fixed.sequelize, () =>
    takeStatement(depsAt(world, -1, 120), money, Buffer.from(lines.join('\n'))),
  )
}

/** What somebody was charged, and they themselves. */
export async function chargeOf(name: string) {
  const { id } = await Candidate.findOne({ where: { name }, rejectOnEmpty: true })
  const charge = await FeeCharge.findOne({ where: { candidateId: id }, rejectOnEmpty: true })
  return { charge, actor: actorOf(await accountOfCandidate(id)) }
}
