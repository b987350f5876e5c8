import type { ListFilter, lists } from '#contract/lists'
import { say } from '#core/words/say'
import { addressOf } from '../api'
import { useSession } from '../useSession'
import { FileLink } from './FileLink'

export type List = (typeof lists)[number]

/** A list to keep, with the filters that are on, for those whose work it is. */
export function AsCsv({ list, filter }: { list: List; filter?: ListFilter }) {
  const { may } = useSession()
  if (!may('exportList')) return null
  return <FileLink address={addressOf('exportList', { params: { list }, query: filter })}>{say('desk.asCsv')}</FileLink>
}
