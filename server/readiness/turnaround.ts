import { groupBy } from '#core/groupBy'
import { enoughOfItsOwn, fewestBeside, type Pooled, pooled, type Scope } from '#core/turnaround/pooled'
import type { Deps } from '../platform/deps'
import { type Asked, type By, type Like, waitsOfLike, waitsOfSources } from '../records/enquiries/waits'
import type { Source } from '../records/sources/model'

/** What a source is compared by. */
export type Kept = Pick<Source, 'id' | 'kind' | 'country'>

export type Turnaround = { pooled: Pooled; own: Asked[] }

const likes: readonly Like[] = ['kind and country', 'kind', 'all']

/**
 * How long each of some sources takes to answer, by what was known at a moment: drawn towards its like where it has answered little.
 * The one count of it there is, for the page of a source, the directory and the likely date.
 */
export async function turnaroundsOf(
  deps: Deps,
  sources: readonly Kept[],
  { until = deps.clock.now(), by = 'any way' as By } = {},
): Promise<Map<string, Turnaround>> {
  const given = { until, by }
  const own = groupBy(
    await waitsOfSources(
      deps,
      sources.map(({ id }) => id),
      given,
    ),
    ({ sourceId }) => sourceId,
  )
  const read = new Map<string, Promise<Asked[]>>()
  const likeOf = (source: Kept, like: Like) => {
    const { kind, country } = source
    const key = like === 'kind and country' ? `${kind} ${country}` : `${like} ${kind} ${like === 'kind' ? country : ''}`
    const known = read.get(key) ?? waitsOfLike(deps, source, like, given)
    read.set(key, known)
    return known
  }
  const made = new Map<string, Turnaround>()
  for (const source of sources) {
    const its = own.get(source.id) ?? []
    const waits: Record<Scope, Asked[]> = { source: its, 'kind and country': [], kind: [], all: [] }
    if (answered(its) < enoughOfItsOwn)
      for (const like of likes) {
        waits[like] = (await likeOf(source, like)).filter(({ sourceId }) => sourceId !== source.id)
        if (answered(likes.flatMap((one) => waits[one])) >= fewestBeside) break
      }
    made.set(source.id, { pooled: pooled(waits), own: its })
  }
  return made
}

const answered = (some: readonly Asked[]) => some.filter(({ ended }) => ended).length
