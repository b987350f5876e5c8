import { Op } from 'sequelize'
import { type Break, type Content, chainWalker, type End, type Link } from '../platform/audit/chain'
import { ChainHead, Event } from '../platform/audit/model'
import { eventWords } from '../platform/audit/wording'

const page = 2000

type Asked = { chain?: string; kept?: ReadonlyMap<string, End> }

export type Verification = {
  chains: number
  links: number
  /** Links whose words were erased as the rules of retention want; their hashes still hold. */
  erased: number
  /** The first link of each chain that is broken. */
  broken: (Break & { at: string | null; what: string | null })[]
}

/**
 * Follows the chain of one file, or all of them, and tells which link is the first broken one of each. Reads a page at a
 * time, in the order of the index.
 *
 * @param kept where chains ended when somebody kept that outside of the database
 */
export async function verifyTrail({ chain: onlyChain, kept }: Asked = {}): Promise<Verification> {
  const verification: Verification = { chains: 0, links: 0, erased: 0, broken: [] }
  let at = { chain: onlyChain ?? '', seq: -1 }
  let current: { chain: string; walker: ReturnType<typeof chainWalker>; broken: boolean } | undefined
  const seen = new Set<string>()
  const tell = (found: Break | undefined, link?: Event) => {
    if (!found || !current || current.broken) return
    current.broken = true
    verification.broken.push({ ...found, at: link?.at.toISOString() ?? null, what: link ? eventWords(link) : null })
  }
  const finish = async () => {
    if (!current) return
    const head = await ChainHead.findByPk(current.chain)
    tell(current.walker.end(head ? { seq: head.seq, hash: head.hash } : undefined))
  }
  for (;;) {
    const rows = await Event.findAll({
      where: onlyChain
        ? { chain: onlyChain, seq: { [Op.gt]: at.seq } }
        : { [Op.or]: [{ chain: { [Op.gt]: at.chain } }, { chain: at.chain, seq: { [Op.gt]: at.seq } }] },
      order: ['chain', 'seq', 'id'],
      limit: page,
    })
    for (const row of rows) {
      if (current?.chain !== row.chain) {
        await finish()
        current = { chain: row.chain, walker: chainWalker(row.chain, kept?.get(row.chain)), broken: false }
        seen.add(row.chain)
        verification.chains += 1
      }
      verification.links += 1
      if (row.erasedAt) verification.erased += 1
      if (!current.broken) tell(current.walker.step(row as unknown as Link & Content), row)
    }
    const last = rows.at(-1)
    if (!last || rows.length < page) break
    // Two links with the same place would be cut apart by the page; the second is found as added all the same.
    at = { chain: last.chain, seq: last.seq }
  }
  await finish()
  await tellOfEmptied(verification, seen, onlyChain)
  for (const [chain, { seq }] of kept ?? [])
    if (
      (onlyChain ?? chain) === chain &&
      !seen.has(chain) &&
      !verification.broken.some((broken) => broken.chain === chain)
    )
      verification.broken.push({ chain, seq, id: null, fault: 'end cut off', at: null, what: null })
  return verification
}

/** Chains of which an end is known and nothing else. */
async function tellOfEmptied(verification: Verification, seen: ReadonlySet<string>, onlyChain?: string) {
  for (let after = ''; ; ) {
    const heads = await ChainHead.findAll({
      where: onlyChain ? { chain: onlyChain } : { chain: { [Op.gt]: after } },
      order: ['chain'],
      limit: page,
    })
    for (const { chain, seq } of heads)
      if (!seen.has(chain))
        verification.broken.push({ chain, seq, id: null, fault: 'end cut off', at: null, what: null })
    after = heads.at(-1)?.chain ?? ''
    if (onlyChain || heads.length < page) return
  }
}
