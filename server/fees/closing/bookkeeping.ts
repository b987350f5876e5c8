import { pipeline, Readable } from 'node:stream'
import { stringify } from 'csv-stringify'
import { QueryTypes } from 'sequelize'
import { dayAt } from '#core/dates/zoned'
import { type BookedLine, type BookkeepingMapping, bookkeepingRow, usualMapping } from '#core/money/bookkeeping'
import type { Account as LedgerAccount } from '#core/money/ledger'
import { accountWords, causeWords } from '#core/words/ledger'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { readVersioned, writeVersioned } from '../../platform/database/settings'
import type { Account, Deps } from '../../platform/deps'
import { invalidField } from '../../platform/errors/problems'
import type { FileToKeep } from '../../platform/http/serve'
import { numberOf } from '../documents'
import { boundsOf } from './close'

const chunk = 1000
/** The most days in one file. */
const mostDays = 400

export async function readBookkeeping() {
  const { version, value } = await readVersioned<BookkeepingMapping>('bookkeeping')
  return { version, mapping: value ?? usualMapping }
}

export async function saveBookkeeping(
  deps: Deps,
  actor: Account,
  { mapping, version }: { mapping: BookkeepingMapping; version: number },
) {
  const by = { id: actor.id, name: actor.name, at: deps.clock.now() }
  const saved = await writeVersioned('bookkeeping', version, mapping, by)
  await recordEvent(deps, actor, { code: 'bookkeeping-changed' })
  return { version: saved }
}

/** Every posting of some days as CSV, by the mapping, however many there are. */
export async function exportBookkeeping(
  deps: Deps,
  actor: Account,
  { from, through }: { from: string; through: string },
): Promise<FileToKeep> {
  if (through < from) throw invalidField('/query/through', say('problem.endBeforeBegin'))
  const days = (Date.parse(through) - Date.parse(from)) / 86_400_000 + 1
  if (days > mostDays) throw invalidField('/query/through', say('problem.tooManyDays', { most: mostDays }))
  const { mapping } = await readBookkeeping()
  await recordEvent(deps, actor, { code: 'bookkeeping-exported', about: `${from}/${through}` })
  const { separator: delimiter, columns } = mapping
  const csv = stringify({ delimiter, bom: true, record_delimiter: 'windows' })
  const written = async function* () {
    yield columns.map(({ heading }) => heading)
    for await (const line of linesOf(deps, from, through))
      yield bookkeepingRow(line, mapping, { cause: causeWords(line.cause), account: accountWords(line.account) })
  }
  // What fails on the way ends the file where it stands, and so does who reads it no further.
  const body = pipeline(Readable.from(written()), csv, () => undefined)
  return { fileName: `bookkeeping ${from} ${through}.csv`, mediaType: 'text/csv; charset=utf-8', body }
}

type Row = {
  entry: string
  at: Date | string
  currency: string
  cause: string
  account: LedgerAccount
  amount: number | string
  reference: string | null
  series: string | null
  number: number | null
}

/** The postings of some days in their order, each with its paper and with what it is about. */
async function* linesOf(deps: Deps, from: string, through: string): AsyncGenerator<BookedLine> {
  const [begin] = boundsOf(deps, from)
  const [, end] = boundsOf(deps, through)
  let after = { at: begin, id: '' }
  for (;;) {
    const rows: (Row & { id: string; nth: number })[] = await deps.sequelize.query(
      `SELECT e.id, e.at, e.currency, e.cause, p.nth, p.account, p.amount, e.id AS entry,
         COALESCE(a.reference, m.name) AS reference, d.series, d.number
       FROM (SELECT * FROM ledger_entries WHERE at < :end AND (at > :at OR (at = :at AND id > :id)) ORDER BY at, id LIMIT ${chunk}) e
         JOIN ledger_postings p ON p.entryId = e.id
         LEFT JOIN fee_charges c ON c.id = e.chargeId LEFT JOIN applications a ON a.id = c.applicationId
         LEFT JOIN employers m ON m.id = e.employerId
         LEFT JOIN fee_documents d ON d.cause = e.cause
       ORDER BY e.at, e.id, p.nth`,
      { replacements: { end, at: after.at, id: after.id }, type: QueryTypes.SELECT },
    )
    for (const { entry, at, currency, cause, account, amount, reference, series, number } of rows)
      yield {
        ...{ entry, on: dayAt(new Date(at), deps.organisation.timeZone).toString(), account, amount: Number(amount) },
        ...{ currency, cause: cause.split(' ')[0]!, about: reference ?? '' },
        document: series && number !== null ? numberOf({ series, number }) : '',
      }
    const last = rows.at(-1)
    if (!last) return
    after = { at: new Date(last.at), id: last.id }
  }
}
