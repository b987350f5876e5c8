import { randomInt } from 'node:crypto'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { VoucherLine } from '#contract/vouchers'
import { partOfLines } from '#core/fees/split'
import { shareOf } from '#core/money/share'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { type FeeCharge, FeePayment, FeeVoucher } from '../records/fees/model'
import { ownCharge, received } from './pay'
import { problems } from './problems'

/** Without those that are taken for each other (O 0, I 1 L, S 5, B 8, U V, 2 Z). */
const letters = '34679ACDEFGHJKMNPQRTWXY'
const codeLength = 14
const pageSize = 50

type Worth = { amount: number; currency: string } | { basisPoints: number }
type Wish = { batch: string; count: number; worth: Worth; lines: string[] | null; through: string }

const plain = (code: string) => code.toUpperCase().replace(/[^0-9A-Z]/g, '')
const hashOf = ({ vault }: Pick<Deps, 'vault'>, code: string) => vault.sign('voucher', plain(code))
const written = (code: string) => code.replace(/(.{5})(?=.)/g, '$1-')

/** Makes vouchers. Their codes are known to whoever gets the answer, and to nobody afterwards. */
export async function makeVouchers(deps: Deps, actor: Account, { batch, count, worth, lines, through }: Wish) {
  if (through < deps.clock.today().toString()) throw invalidField('/body/through', say('problem.thisDayHasPassed'))
  const codes = Array.from({ length: count }, () =>
    Array.from({ length: codeLength }, () => letters[randomInt(letters.length)]).join(''),
  )
  await FeeVoucher.bulkCreate(
    codes.map((code) => ({
      ...{
        id: uuid(),
        batch: batch.trim(),
        codeHash: hashOf(deps, code),
        ending: code.slice(-3),
        ...worth,
        lines,
        through,
      },
      ...{ madeBy: actor.name, madeAt: deps.clock.now() },
    })),
  )
  await recordEvent(deps, actor, { code: 'vouchers-made', values: { count, batch: batch.trim() }, about: batch.trim() })
  return { codes: codes.map(written) }
}

export async function listVouchers({ clock }: Deps, after: string | undefined) {
  const [at, id] = after?.split(' ') ?? []
  const rows = await FeeVoucher.findAll({
    where:
      at && id
        ? { [Op.or]: [{ madeAt: { [Op.lt]: new Date(at) } }, { madeAt: new Date(at), id: { [Op.lt]: id } }] }
        : {},
    order: [
      ['madeAt', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: pageSize + 1,
  })
  const shown = rows.slice(0, pageSize)
  const last = shown.at(-1)
  const today = clock.today().toString()
  return {
    vouchers: shown.map((one) => lineOf(one, today)),
    next: rows.length > pageSize && last ? `${last.madeAt.toISOString()} ${last.id}` : null,
  }
}

const lineOf = (voucher: FeeVoucher, today: string): VoucherLine => ({
  ...{ id: voucher.id, batch: voucher.batch, ending: voucher.ending, through: voucher.through, madeBy: voucher.madeBy },
  ...{ amount: voucher.amount ?? null, basisPoints: voucher.basisPoints ?? null, currency: voucher.currency ?? null },
  ...{ lines: voucher.lines ?? null, state: stateOf(voucher, today), usedAt: voucher.usedAt?.toISOString() ?? null },
})

function stateOf({ usedFor, withdrawnAt, through }: FeeVoucher, today: string): VoucherLine['state'] {
  if (usedFor) return 'used'
  if (withdrawnAt) return 'withdrawn'
  return through < today ? 'over' : 'open'
}

/** Withdraws a voucher; one that is being used at the same moment is used or withdrawn, and never both. */
export async function withdrawVoucher(deps: Deps, actor: Account, id: string) {
  const voucher = await FeeVoucher.findByPk(id)
  if (!voucher) throw notFound()
  if (!(await changeWhere(voucher, { usedFor: null, withdrawnAt: null }, { withdrawnAt: deps.clock.now() })))
    throw problems.notUsable()
  await recordEvent(deps, actor, { code: 'voucher-withdrawn', values: { batch: voucher.batch }, about: voucher.batch })
  return { done: true as const }
}

/** Uses a voucher for what is owed: once, whoever else tries it at the same moment, and for no more than is owed. */
export async function redeemVoucher(deps: Deps, actor: Account, id: string, code: string) {
  const charge = await ownCharge(deps, actor, id)
  if (charge.state !== 'open' || charge.owed <= 0) throw problems.nothingOwed()
  const voucher = await FeeVoucher.findOne({ where: { codeHash: hashOf(deps, code) } })
  if (!voucher) throw problems.voucherUnknown()
  const state = stateOf(voucher, deps.clock.today().toString())
  if (state === 'over') throw problems.voucherOver()
  if (state !== 'open') throw problems.voucherUsed()
  const covered = Math.min(charge.owed, worthOf(voucher, charge))
  if (covered <= 0) throw problems.voucherForOthers()
  const usedAt = deps.clock.now()
  if (!(await changeWhere(voucher, { usedFor: null, withdrawnAt: null }, { usedFor: id, usedAt })))
    throw problems.voucherUsed()
  const payment = await FeePayment.create({
    ...{ id: uuid(), chargeId: id, means: 'voucher', amount: covered, currency: charge.currency, state: 'paid' },
    ...{ startedAt: usedAt, settledAt: usedAt, note: voucher.batch },
  })
  await received(deps, actor, payment)
  await charge.reload()
  // Another payment came first: what is not owed any more is not covered.
  if (charge.owed < 0) throw problems.nothingOwed()
  return { covered }
}

/** What a voucher covers of a charge: of the lines it is for, with the tax on them. */
function worthOf(
  { amount, basisPoints, currency, lines }: FeeVoucher,
  { quote, total, currency: own }: FeeCharge,
): number {
  if (amount !== null && amount !== undefined && currency !== own) return 0
  const covered = partOfLines(quote, total, lines ?? null)
  return basisPoints ? shareOf(covered, basisPoints) : Math.min(covered, amount ?? 0)
}
