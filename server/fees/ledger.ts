import { literal, QueryTypes, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { isBalanced, type Posting } from '#core/money/ledger'
import { type Actor, type Deps, nameOfActor } from '../platform/deps'
import { FeeCharge, LedgerEntry, LedgerPosting } from '../records/fees/model'

type Movement = { cause: string; postings: readonly Posting[]; employerId?: string }

/**
 * Books a movement once: its entry, its postings, and what the charge owes by them, in the transaction of what happened. The
 * charge is changed by adding to it, so that of two at the same moment neither is lost.
 *
 * @param movement.cause what happened, which is unique
 * @returns whether it was booked now; `false` where it had been already
 */
export async function book(
  deps: Deps,
  actor: Actor,
  charge: FeeCharge,
  { cause, postings, employerId }: Movement,
  also: { total?: number; tax?: number; takenBack?: number } = {},
): Promise<boolean> {
  const { id: chargeId, currency } = charge
  if (!(await bookEntry(deps, actor, { cause, postings, chargeId, employerId, currency }))) return false
  const owed = postings.reduce((sum, { account, amount }) => (account === 'receivable' ? sum + amount : sum), 0)
  const plus = (column: 'owed' | 'total' | 'tax' | 'takenBack', by = 0) =>
    by === 0 ? {} : { [column]: literal(`${column} + ${Math.trunc(by)}`) as unknown as number }
  await FeeCharge.update(
    {
      ...plus('owed', owed),
      ...plus('total', also.total),
      ...plus('tax', also.tax),
      ...plus('takenBack', also.takenBack),
      version: literal('version + 1') as unknown as number,
    },
    { where: { id: charge.id } },
  )
  await charge.reload()
  return true
}

type Entry = Movement & { chargeId?: string; currency: string }

/** Books an entry with its postings once. Gives whether it was booked now. */
export async function bookEntry(
  deps: Deps,
  actor: Actor,
  { cause, postings, chargeId, employerId, currency }: Entry,
): Promise<boolean> {
  if (!isBalanced(postings)) throw new Error(`the postings of "${cause}" do not come to nothing`)
  const id = uuid()
  const madeBy = nameOfActor(actor)
  const about = { chargeId: chargeId ?? null, employerId: employerId ?? null }
  const booked = await LedgerEntry.create({ id, cause, ...about, currency, madeBy, at: deps.clock.now() }).then(
    () => true,
    (error: unknown) => {
      if (error instanceof UniqueConstraintError) return false
      throw error
    },
  )
  if (booked) await LedgerPosting.bulkCreate(postings.map((posting, nth) => ({ entryId: id, nth, ...posting })))
  return booked
}

export type LedgerFault =
  /** Postings of an entry that do not come to nothing. */
  | { code: 'unbalanced'; entry: string; sum: number }
  /** A charge that says it owes other than its postings do. */
  | { code: 'owed-differs'; charge: string; says: number; posted: number }
  /** A charge that says it is settled and owes something, or the other way round. */
  | { code: 'state-differs'; charge: string; owed: number }
  /** An employer, its invoices and what it took over that say it owes other than its postings do. */
  | { code: 'employer-differs'; employer: string; says: number; invoiced: number; posted: number }
  /** A payment that was made and booked nothing, or twice. */
  | { code: 'payment-not-booked'; payment: string }

/** Adds up the whole ledger in the database. Gives what is not right; nothing where all of it is. */
export async function checkLedger({ sequelize }: Pick<Deps, 'sequelize'>): Promise<LedgerFault[]> {
  const select = <Row extends object>(sql: string) => sequelize.query<Row>(sql, { type: QueryTypes.SELECT })
  const [unbalanced, differing, states, unbooked, employers] = await Promise.all([
    select<{ entry: string; sum: number | string }>(
      'SELECT entryId AS entry, SUM(amount) AS sum FROM ledger_postings GROUP BY entryId HAVING SUM(amount) <> 0 LIMIT 100',
    ),
    select<{ charge: string; says: number | bigint; posted: number | string | null }>(
      `SELECT c.id AS charge, c.owed AS says, COALESCE(SUM(p.amount), 0) AS posted FROM fee_charges c
         LEFT JOIN ledger_entries e ON e.chargeId = c.id
         LEFT JOIN ledger_postings p ON p.entryId = e.id AND p.account = 'receivable'
       GROUP BY c.id, c.owed HAVING c.owed <> COALESCE(SUM(p.amount), 0) LIMIT 100`,
    ),
    select<{ charge: string; owed: number | bigint }>(
      `SELECT id AS charge, owed FROM fee_charges WHERE (state = 'open') <> (owed > 0) LIMIT 100`,
    ),
    select<{ payment: string }>(
      `SELECT p.id AS payment FROM fee_payments p LEFT JOIN ledger_entries e ON e.cause = CONCAT('payment ', p.id)
       WHERE (p.state = 'paid') <> (e.id IS NOT NULL) LIMIT 100`,
    ),
    select<{ employer: string; says: number | string; invoiced: number | string; posted: number | string }>(
      `SELECT * FROM (SELECT m.id AS employer, m.owes AS says,
         (SELECT COALESCE(SUM(i.owed), 0) FROM employer_invoices i WHERE i.employerId = m.id)
           + (SELECT COALESCE(SUM(r.amount), 0) FROM payer_requests r
               WHERE r.employerId = m.id AND r.state = 'accepted' AND r.invoiceId IS NULL) AS invoiced,
         (SELECT COALESCE(SUM(p.amount), 0) FROM ledger_entries e JOIN ledger_postings p
             ON p.entryId = e.id AND p.account = 'employers' WHERE e.employerId = m.id) AS posted
       FROM employers m) sums WHERE says <> posted OR invoiced <> posted LIMIT 100`,
    ),
  ])
  return [
    ...unbalanced.map(({ entry, sum }) => ({ code: 'unbalanced' as const, entry, sum: Number(sum) })),
    ...differing.map(({ charge, says, posted }) => ({
      ...{ code: 'owed-differs' as const, charge },
      ...{ says: Number(says), posted: Number(posted) },
    })),
    ...states.map(({ charge, owed }) => ({ code: 'state-differs' as const, charge, owed: Number(owed) })),
    ...unbooked.map(({ payment }) => ({ code: 'payment-not-booked' as const, payment })),
    ...employers.map(({ employer, says, invoiced, posted }) => ({
      ...{ code: 'employer-differs' as const, employer },
      ...{ says: Number(says), invoiced: Number(invoiced), posted: Number(posted) },
    })),
  ]
}

/** The nightly look at the ledger: what is wrong is logged, and the job that looked fails, so that somebody sees it. */
export async function checkLedgerNightly(deps: Deps): Promise<number> {
  const faults = await checkLedger(deps)
  if (faults.length > 0) deps.log.error({ faults: faults.slice(0, 20) }, 'the ledger does not add up')
  return faults.length
}
