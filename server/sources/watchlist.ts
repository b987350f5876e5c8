import { sameWords } from '#core/sources/sellers'
import { recordEvent } from '../platform/audit/record'
import { rowsOfCsv } from '../platform/csv/readCsv'
import { writeVersioned } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { currentWatchlist, newSeller, type Watchlist } from '../records/sources/watchlist'
import { problems } from './problems'

export const readWatchlist = currentWatchlist

/** Writes the next version of the list of sellers and of free domains. */
export async function saveWatchlist(
  deps: Deps,
  actor: Actor,
  { version, watchlist }: { version: number; watchlist: Watchlist },
) {
  const { watchlist: before } = await currentWatchlist()
  const next = await writeVersioned('source watchlist', version, watchlist, {
    id: actor.id,
    name: actor.name,
    at: deps.clock.now(),
  })
  const named = (list: Watchlist) => new Set(list.sellers.map(({ names }) => names[0]!))
  const [was, is] = [named(before), named(watchlist)]
  await recordEvent(deps, actor, {
    code: 'watchlist-changed',
    values: {
      added: { list: [...is].filter((name) => !was.has(name)) },
      removed: { list: [...was].filter((name) => !is.has(name)) },
    },
    details: { version: next },
  })
  return { version: next }
}

/** Adds sellers from a file; whoever is on the list by one of their names is left as they are. */
export async function importSellers(deps: Deps, actor: Actor, bytes: Buffer) {
  const { version, watchlist } = await currentWatchlist()
  const known = watchlist.sellers.flatMap(({ names }) => names)
  const fresh = rowsOf(bytes).filter(({ names }) => !names.some((name) => known.some((one) => sameWords(one, name))))
  if (fresh.length === 0) return { version, added: 0 }
  const { version: next } = await saveWatchlist(deps, actor, {
    version,
    watchlist: { ...watchlist, sellers: [...watchlist.sellers, ...fresh] },
  })
  return { version: next, added: fresh.length }
}

function rowsOf(bytes: Buffer) {
  const several = (text = '') =>
    text
      .split(';')
      .map((part) => part.trim())
      .filter(Boolean)
  try {
    const rows = rowsOfCsv(bytes)
    if (rows.length === 0 || !('name' in rows[0]!)) throw problems.unreadableFile()
    return rows
      .filter(({ name }) => name)
      .map((row) =>
        newSeller(
          [row.name!, ...several(row['other names'])].map((name) => name.slice(0, 200)).slice(0, 20),
          several(row.domains?.toLowerCase())
            .filter((domain) => /^[a-z0-9.-]+$/.test(domain))
            .slice(0, 20),
          (row.note ?? '').slice(0, 500),
        ),
      )
  } catch {
    throw problems.unreadableFile()
  }
}
