import { parse } from 'csv-parse/sync'
import { Op } from 'sequelize'
import { coded } from '#core/words/say'
import { problems } from '../http/problems'
import type { End } from './chain'
import { ChainHead } from './model'

/**
 * The fingerprint of the record: where every chain ends, to be kept outside of the database. What is older than that can then not be written anew without
 * being found, not even by somebody who may write to the whole database.
 */

const page = 2000

/** The ends of all chains as rows of a list, in the order of the chains. */
export async function* fingerprint(): AsyncGenerator<{ Chain: string; Link: number; Hash: string }> {
  for (let after = ''; ; ) {
    const heads = await ChainHead.findAll({ where: { chain: { [Op.gt]: after } }, order: ['chain'], limit: page })
    for (const { chain, seq, hash } of heads) yield { Chain: chain, Link: seq, Hash: hash }
    after = heads.at(-1)?.chain ?? ''
    if (heads.length < page) return
  }
}

/** Reads such a list again, from CSV. Throws a problem that says which line is none. */
export function readFingerprint(csv: Buffer | string): Map<string, End> {
  let rows: Record<string, string>[]
  try {
    rows = parse(csv, { columns: true, bom: true, skip_empty_lines: true, trim: true })
  } catch (error) {
    throw problems.notAFingerprint(coded('problem.reader', { message: (error as Error).message }))
  }
  if (rows.length === 0) throw problems.notAFingerprint(coded('problem.fingerprint.noRows'))
  return new Map(
    rows.map(({ Chain = '', Link = '', Hash = '' }, nth) => {
      if (!/^[\w-]{1,40}$/.test(Chain) || !/^[1-9]\d*$/.test(Link) || !/^[0-9a-f]{64}$/.test(Hash))
        throw problems.notAFingerprint(coded('problem.fingerprint.row', { row: nth + 1 }))
      return [Chain, { seq: Number(Link), hash: Hash }]
    }),
  )
}
