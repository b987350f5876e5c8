import { useCallback } from 'react'
import { useDispatch } from 'react-redux'
import { type Notice, notices } from '../ui/notices'

/** Tells in passing what was done. */
export function useToast() {
  const dispatch = useDispatch()
  return useCallback(
    (text: string, undo?: Notice['undo']) => dispatch(notices.actions.toast({ id: crypto.randomUUID(), text, undo })),
    [dispatch],
  )
}
