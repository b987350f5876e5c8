import { useCallback, useEffect, useRef } from 'react'
import { useDispatch } from 'react-redux'
import { api } from '../api'
import type { store } from '../store'
import { useSession } from '../useSession'

const pauseMs = 600

/**
 * What one has begun to type about a document or a claim, and not finished: kept on the server as it is typed, and there again
 * whenever and wherever one comes back.
 *
 * @returns what was left (nothing until it is known), what keeps it, and what forgets it
 */
export function useUnfinished(of: 'Document' | 'Claim', id: string) {
  const dispatch = useDispatch<typeof store.dispatch>()
  const read = of === 'Document' ? api.endpoints.readUnfinishedDocument : api.endpoints.readUnfinishedClaim
  // Whoever only reads has nothing to finish.
  const mine = useSession().may('keepUnfinishedClaim')
  const { data } = read.useQuery({ params: { id } }, { refetchOnMountOrArgChange: true, skip: !mine })
  const timer = useRef<number>(undefined)
  const send = useCallback(
    (value: Record<string, string>) => {
      const keep = of === 'Document' ? api.endpoints.keepUnfinishedDocument : api.endpoints.keepUnfinishedClaim
      void dispatch(keep.initiate({ params: { id }, body: { value } }))
    },
    [dispatch, of, id],
  )
  const last = useRef<Record<string, string>>(undefined)
  const keep = useCallback(
    (value: Record<string, string>) => {
      last.current = value
      window.clearTimeout(timer.current)
      timer.current = window.setTimeout(() => {
        last.current = undefined
        send(value)
      }, pauseMs)
    },
    [send],
  )
  const forget = useCallback(() => {
    last.current = undefined
    window.clearTimeout(timer.current)
    send({})
  }, [send])
  // Whoever closes it within the pause loses nothing.
  useEffect(
    () => () => {
      window.clearTimeout(timer.current)
      if (last.current) send(last.current)
    },
    [send],
  )
  return { left: data?.value, keep, forget }
}
