import { type Attributes, Op } from 'sequelize'
import { groupBy } from '#core/groupBy'
import { rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import { FeeAnswers, FeeCharge, FeeDocument, FeePayment, FeeRefund, LedgerEntry, LedgerPosting } from './model'

export const chargesOf = (applicationId: string | string[]): Promise<FeeCharge[]> =>
  FeeCharge.findAll({ where: { applicationId }, order: ['createdAt', 'id'] })

/** Whether something has to be paid before an application is processed. */
export const awaitsPayment = async (applicationId: string): Promise<boolean> =>
  (await FeeCharge.count({ where: { applicationId, state: 'open', holds: true } })) > 0

/** Whether anything charged is still to be paid. */
export const owesAnything = async (applicationId: string): Promise<boolean> =>
  (await FeeCharge.count({ where: { applicationId, state: 'open' } })) > 0

/** @throws Problem `not-found` */
export async function chargeById(id: string): Promise<FeeCharge> {
  const charge = await FeeCharge.findByPk(id)
  if (!charge) throw notFound()
  return charge
}

/** The charges of many applications, for what they are judged by. */
export const chargesIn = (applicationId: string[]): Promise<FeeCharge[]> => rowsOf(FeeCharge, { applicationId })

export const feeAnswersIn = (applicationId: string[]): Promise<FeeAnswers[]> => rowsOf(FeeAnswers, { applicationId })

const inOrder = <Row extends { chargeId?: string | null }>(rows: readonly Row[]) =>
  groupBy(rows, ({ chargeId }) => chargeId ?? '')

export const paymentsOf = async (chargeId: string[]): Promise<Map<string, FeePayment[]>> =>
  inOrder(await FeePayment.findAll({ where: { chargeId }, order: ['startedAt', 'id'] }))
export const refundsOf = async (chargeId: string[]): Promise<Map<string, FeeRefund[]>> =>
  inOrder(await FeeRefund.findAll({ where: { chargeId }, order: ['askedAt', 'id'] }))
export const documentsOf = async (chargeId: string[]): Promise<Map<string, FeeDocument[]>> =>
  inOrder(await FeeDocument.findAll({ where: { chargeId }, order: ['issuedAt', 'id'] }))

/** The movements of a charge, the oldest first. */
export async function entriesOf(
  chargeId: string,
): Promise<(Attributes<LedgerEntry> & { postings: LedgerPosting[] })[]> {
  const entries = await LedgerEntry.findAll({ where: { chargeId }, order: ['at', 'id'] })
  const postings = await LedgerPosting.findAll({
    where: { entryId: { [Op.in]: entries.map(({ id }) => id) } },
    order: ['entryId', 'nth'],
  })
  return entries.map((entry) => ({
    ...entry.get(),
    postings: postings.filter(({ entryId }) => entryId === entry.id),
  }))
}
