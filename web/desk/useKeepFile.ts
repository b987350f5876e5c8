import { useDispatch } from 'react-redux'
import { api } from '../api'
import type { store } from '../store'

/**
 * Fetches a file that takes many people's data along. A browser that follows a link to it cannot be asked for the
 * password on the way, so that comes first.
 */
export function useKeepFile() {
  const dispatch = useDispatch<typeof store.dispatch>()
  return async (address: string) => {
    const { error } = await dispatch(api.endpoints.readConfirmed.initiate({}, { subscribe: false, forceRefetch: true }))
    if (error) return
    const link = document.createElement('a')
    link.href = address
    link.download = ''
    link.click()
  }
}
