import { QueryTypes, type Sequelize } from 'sequelize'
import type { StoredValues } from '#core/words/stored'
import { type Content, contentHashOf, firstHash, type Link, linkHashOf, newSalt } from './chain'
import { Event } from './model'

type Said = Content &
  Pick<Link, 'id' | 'at' | 'actorId' | 'code'> & { details: Record<string, unknown>; wordValues: StoredValues }

/** Adds a link to a chain. The chain's end is locked until the transaction is through, so that links never fork. */
export async function addLink(sequelize: Sequelize, chain: string, said: Said) {
  await sequelize.query(
    'INSERT INTO chain_heads (chain, seq, hash) VALUES (:chain, 1, :firstHash) ON DUPLICATE KEY UPDATE seq = seq + 1',
    { replacements: { chain, firstHash } },
  )
  const [head] = await sequelize.query<{ seq: number; hash: string }>(
    'SELECT seq, hash FROM chain_heads WHERE chain = :chain',
    { replacements: { chain }, type: QueryTypes.SELECT },
  )
  const { seq, hash: previous } = head!
  const salt = newSalt()
  // As the database will give it back.
  const [details, wordValues] = [said.details, said.wordValues].map((kept) => JSON.parse(JSON.stringify(kept ?? null)))
  const contentHash = contentHashOf(salt, { ...said, details, wordValues })
  const hash = linkHashOf({ ...said, chain, seq, contentHash }, previous)
  await Event.create({ ...said, chain, seq, salt, contentHash, hash })
  await sequelize.query('UPDATE chain_heads SET hash = :hash WHERE chain = :chain', { replacements: { chain, hash } })
}
