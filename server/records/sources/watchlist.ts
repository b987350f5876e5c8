import { v7 as uuid } from 'uuid'
import { type SellerMatch, sellerOf } from '#core/sources/sellers'
import { readVersioned } from '../../platform/database/settings'
import type { Source } from './model'

export type Watchlist = {
  sellers: { id: string; names: string[]; domains: string[]; note: string }[]
  /** Domains at which anybody gets an address. */
  freeMail: string[]
}

export const newSeller = (names: string[], domains: string[], note: string): Watchlist['sellers'][number] => ({
  id: uuid(),
  names,
  domains,
  note,
})

/** Known sellers of degrees, and free domains, as the desk last wrote them. */
export async function currentWatchlist(): Promise<{ version: number; watchlist: Watchlist }> {
  const { version, value } = await readVersioned<Watchlist>('source watchlist')
  return { version, watchlist: value ?? { sellers: [], freeMail: [] } }
}

export const sellerMatch = ({ name, known }: Source, { sellers }: Watchlist): SellerMatch | undefined =>
  sellerOf(
    { names: [name, ...known.names.map((one) => one.name)], mails: known.contacts.map(({ mail }) => mail) },
    sellers,
  )

/** Which seller of degrees a source is or passes itself off as, if it does. */
export const soldBy = async (source: Source): Promise<SellerMatch | undefined> =>
  sellerMatch(source, (await currentWatchlist()).watchlist)
