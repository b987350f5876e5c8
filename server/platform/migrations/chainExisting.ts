import { QueryTypes, type Sequelize } from 'sequelize'
import { contentHashOf, firstHash, linkHashOf, newSalt } from '../audit/chain'

type Row = {
  id: string
  at: Date
  actorId: string | null
  who: string
  code: string
  what: string
  forCandidate: string | null
  about: string | null
  candidateId: string | null
  applicationId: string | null
  claimId: string | null
  details: unknown
}

/** Makes chains of what was recorded before there were any, once, with the migration that brings them. */
export async function chainExisting(sequelize: Sequelize) {
  const heads = new Map<string, { seq: number; hash: string }>()
  const page = () =>
    sequelize.query<Row>('SELECT * FROM events WHERE hash = "" ORDER BY id LIMIT 1000', { type: QueryTypes.SELECT })
  for (let rows = await page(); rows.length > 0; rows = await page()) {
    for (const row of rows) {
      const chain = row.candidateId ?? 'house'
      const head = heads.get(chain) ?? { seq: 0, hash: firstHash }
      const details = typeof row.details === 'string' ? JSON.parse(row.details) : row.details
      const link = { ...row, chain, seq: head.seq + 1, salt: newSalt() }
      const contentHash = contentHashOf(link.salt, { ...row, details })
      const hash = linkHashOf({ ...link, contentHash }, head.hash)
      heads.set(chain, { seq: link.seq, hash })
      await sequelize.query(
        'UPDATE events SET chain = :chain, seq = :seq, salt = :salt, contentHash = :contentHash, hash = :hash WHERE id = :id',
        { replacements: { chain, seq: link.seq, salt: link.salt, contentHash, hash, id: row.id } },
      )
    }
  }
  for (const [chain, { seq, hash }] of heads)
    await sequelize.query('REPLACE INTO chain_heads (chain, seq, hash) VALUES (:chain, :seq, :hash)', {
      replacements: { chain, seq, hash },
    })
}
