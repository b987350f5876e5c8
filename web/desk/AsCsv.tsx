import type { ListFilter, lists } from '#contract/lists'
import { addressOf } from '../api'
import { useSession } from '../useSession'

export type List = (typeof lists)[number]

/** A list to keep, with the filters that are on, for those whose work it is. */
export function AsCsv({ list, filter }: { list: List; filter?: ListFilter }) {
  const { isKeeper } = useSession()
  if (!isKeeper) return null
  return (
    <a
      href={addressOf('exportList', { params: { list }, query: filter })}
      download
      className="font-semibold text-confirmed"
    >
      As CSV
    </a>
  )
}
