import { useEffect } from 'react'
import { useDispatch } from 'react-redux'
import type { Topic } from '#contract/endpoint'
import { api, type Problem } from './api'

/**
 * Reads a topic again once the server has said that it was changed meanwhile: what was typed stays in the form, and saving
 * it once more rests on what stands now.
 */
export function useFreshAfterClash(problem: Problem | undefined, topic: Topic) {
  const dispatch = useDispatch()
  const clash = problem?.code === 'changed-meanwhile' ? problem : undefined
  useEffect(() => {
    if (clash) dispatch(api.util.invalidateTags([topic]))
  }, [clash, dispatch, topic])
}
