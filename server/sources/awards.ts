import { Op } from 'sequelize'
import { readPartialDate } from '#core/dates/partialDate'
import { readTyped } from '#core/dates/write'
import type { AwardRecord } from '#core/sources/knownAward'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { rowsOfCsv } from '../platform/csv/readCsv'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { Claim } from '../records/claims/model'
import { keepAwards, numberKeyOf, takeAwardOut } from '../records/sources/awards'
import { sourceById } from '../records/sources/sources'
import { confirmByOwnRecords } from '../verification/confirmKnown'
import { problems } from './problems'

const mostRows = 20_000
const longest = 200
const columns = ['number', 'name', 'born', 'award', 'subject', 'awarded'] as const

/**
 * Takes in a list of awards as an institution has sent it. What cannot be read stays out and says why. What candidates have
 * stated before and now agrees is confirmed at once.
 */
export async function importAwards(deps: Deps, actor: Account, sourceId: string, bytes: Buffer) {
  const source = await sourceById(sourceId)
  const rows = rowsIn(bytes)
  const read = rows.map((row, nth) => ({ row: nth + 2, ...recordOf(row) }))
  const records = read.flatMap(({ record }) => record ?? [])
  await keepAwards(source.id, records, actor, deps.clock.now())
  await recordEvent(deps, actor, {
    code: 'awards-taken-in',
    values: { count: records.length, source: source.name },
    about: source.name,
  })
  return {
    kept: records.length,
    faulty: read.flatMap(({ row, message }) => (message ? [{ row, message }] : [])),
    confirmed: await confirmStated(deps, actor, source.id, records),
  }
}

function rowsIn(bytes: Buffer) {
  try {
    const rows = rowsOfCsv(bytes)
    if (rows.length > 0 && rows.length <= mostRows && 'number' in rows[0]! && 'name' in rows[0]!) return rows
  } catch {
    // said below
  }
  throw problems.unreadableAwards()
}

function recordOf(row: Record<string, string>): { record?: AwardRecord; message?: string } {
  const cells = Object.fromEntries(columns.map((column) => [column, (row[column] ?? '').slice(0, longest)]))
  const record = { ...cells, born: dayIn(cells.born), awarded: dayIn(cells.awarded) } as AwardRecord
  if (numberKeyOf(record.number) === '' || record.name === '') return { message: say('problem.awardWithoutNumber') }
  const unreadable = [record.born, record.awarded].find((day) => day !== '' && !readPartialDate(day).ok)
  return unreadable === undefined ? { record } : { message: say('problem.thereIsNoSuchDay') }
}

const dayIn = (text = '') => (text === '' ? '' : (readTyped(text) ?? text))

async function confirmStated(deps: Deps, actor: Account, sourceId: string, records: readonly AwardRecord[]) {
  const numbers = new Set(records.map(({ number }) => numberKeyOf(number)))
  const stated = await Claim.findAll({
    where: {
      sourceId,
      kind: 'study',
      awardStatedAt: { [Op.ne]: null },
      rung: ['claimed', 'evidenced', 'asked'],
      removedAt: { [Op.is]: null },
    },
    order: ['id'],
  })
  let confirmed = 0
  for (const claim of stated)
    if (numbers.has(numberKeyOf(claim.number ?? '')) && (await confirmByOwnRecords(deps, actor, claim))) confirmed += 1
  return confirmed
}

export async function removeAward(deps: Deps, actor: Account, sourceId: string, id: string) {
  const source = await sourceById(sourceId)
  if ((await takeAwardOut(source.id, id)) === 0) throw notFound()
  await recordEvent(deps, actor, { code: 'award-taken-out', values: { source: source.name }, about: source.name })
  return { done: true as const }
}
