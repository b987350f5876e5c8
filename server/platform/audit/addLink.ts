import { QueryTypes, type Sequelize } from 'sequelize'
import type { StoredValues } from '#core/words/stored'
import { insertRows } from '../database/insertRows'
import { type Content, contentHashOf, firstHash, type Link, linkHashOf, newSalts } from './chain'
import { Event } from './model'

type Said = Content &
  Pick<Link, 'id' | 'at' | 'actorId' | 'code'> & { details: Record<string, unknown>; wordValues: StoredValues }

/** Adds a link to a chain. The chain's end is locked until the transaction is through, so that links never fork. */
export const addLink = (sequelize: Sequelize, chain: string, said: Said) => addLinks(sequelize, [{ chain, said }])

/** The same for many at once, in as many statements as for one; those of one chain in the order they are given. */
export async function addLinks(sequelize: Sequelize, links: readonly { chain: string; said: Said }[]) {
  // In one order, so that two who add to the same chains wait for each other and do not block one another.
  const chains = [...new Set(links.map(({ chain }) => chain))].sort()
  if (chains.length === 0) return
  const counts = chains.map((chain) => [chain, links.filter((link) => link.chain === chain).length, firstHash])
  await sequelize.query(
    'INSERT INTO chain_heads (chain, seq, hash) VALUES :counts ON DUPLICATE KEY UPDATE seq = seq + VALUES(seq)',
    { replacements: { counts } },
  )
  const found = await sequelize.query<{ chain: string; seq: number; hash: string }>(
    'SELECT chain, seq, hash FROM chain_heads WHERE chain IN (:chains)',
    { replacements: { chains }, type: QueryTypes.SELECT },
  )
  const heads = new Map(found.map(({ chain, seq, hash }) => [chain, { last: seq, hash }]))
  const next = new Map(
    counts.map(([chain, count]) => [chain as string, heads.get(chain as string)!.last - Number(count)]),
  )
  const salts = newSalts(links.length)
  const events = links.map(({ chain, said }, nth) => {
    const seq = next.get(chain)! + 1
    const head = heads.get(chain)!
    const salt = salts[nth]!
    // As the database will give it back.
    const [details, wordValues] = [said.details, said.wordValues].map((kept) =>
      JSON.parse(JSON.stringify(kept ?? null)),
    )
    const contentHash = contentHashOf(salt, { ...said, details, wordValues })
    const hash = linkHashOf({ ...said, chain, seq, contentHash }, head.hash)
    next.set(chain, seq)
    head.hash = hash
    return { ...said, chain, seq, salt, contentHash, hash }
  })
  await insertRows(Event, events)
  const hashes = chains.map((chain) => [chain, heads.get(chain)!.last, heads.get(chain)!.hash])
  await sequelize.query(
    'INSERT INTO chain_heads (chain, seq, hash) VALUES :hashes ON DUPLICATE KEY UPDATE hash = VALUES(hash)',
    { replacements: { hashes } },
  )
}
