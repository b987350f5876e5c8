import { editDistance } from '../comparison/measures'
import { domainOf } from './lookalikes'
import { nameKey } from './spelling'

/** Somebody known to sell papers without study. */
export type Seller = { id: string; names: readonly string[]; domains: readonly string[] }
export type SellerMatch = { id: string; by: 'name' | 'near name' | 'domain'; value: string }

const longEnough = 8

/**
 * Whether a source is, or passes itself off as, somebody on the list of sellers.
 *
 * @returns the first match: by a name it goes by, by a domain of its contacts, or by a name that differs by one letter
 */
export function sellerOf(
  source: { names: readonly string[]; mails: readonly string[] },
  sellers: readonly Seller[],
): SellerMatch | undefined {
  const keys = source.names.map(nameKey)
  const domains = source.mails.map(domainOf).filter(Boolean)
  const matches = sellers.flatMap(({ id, ...seller }): SellerMatch[] => [
    ...seller.names.filter((name) => keys.includes(nameKey(name))).map((value) => ({ id, by: 'name' as const, value })),
    ...seller.domains
      .filter((domain) => domains.some((own) => own === domain || own.endsWith(`.${domain}`)))
      .map((value) => ({ id, by: 'domain' as const, value })),
    ...seller.names
      .filter((name) => {
        const key = nameKey(name)
        return key.length >= longEnough && keys.some((own) => editDistance(own, key) === 1)
      })
      .map((value) => ({ id, by: 'near name' as const, value })),
  ])
  const order = ['name', 'domain', 'near name'] as const
  return order.flatMap((by) => matches.filter((match) => match.by === by))[0]
}

/** Names that are the same words but for their spelling. */
export const sameWords = (one: string, other: string): boolean => nameKey(one) === nameKey(other)
