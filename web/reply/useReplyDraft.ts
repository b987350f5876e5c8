import { useEffect, useRef, useState } from 'react'
import type { DraftReply } from '#contract/reply'
import { useAct } from '../useAct'
import type { Question } from './question'

export type Kept = 'nothing yet' | 'keeping' | 'kept' | 'not kept' | 'elsewhere'

/** How long somebody pauses before what they filled in is kept, and how long is waited after it could not be. */
const pauseMs = 800
const againMs = 5000

/** Keeps what is filled in, as it is filled in: whoever closes the page finds it by the same link. */
export function useReplyDraft(
  token: string,
  { id, draftVersion }: Question,
  draft: DraftReply,
  touched: boolean,
): Kept {
  const { act, problem } = useAct('saveReplyDraft')
  const version = useRef(draftVersion)
  const [kept, setKept] = useState<Kept>(draftVersion > 0 ? 'kept' : 'nothing yet')
  const [again, setAgain] = useState(0)
  const saved = useRef('')
  const text = JSON.stringify(draft)
  // biome-ignore lint/correctness/useExhaustiveDependencies: `again` tries once more what could not be kept
  useEffect(() => {
    if (!touched || text === saved.current || kept === 'elsewhere') return
    const timer = setTimeout(async () => {
      setKept('keeping')
      const done = await act({
        params: { token },
        body: { part: id, version: version.current, draft: JSON.parse(text) as DraftReply },
      })
      if (done) {
        version.current = done.version
        saved.current = text
        setKept('kept')
      } else setKept('not kept')
    }, pauseMs)
    return () => clearTimeout(timer)
  }, [act, token, id, text, touched, again])
  useEffect(() => {
    // Another page of the same link has kept something: what is there is not written over.
    if (problem?.code === 'changed-meanwhile') setKept('elsewhere')
  }, [problem])
  useEffect(() => {
    if (kept !== 'not kept') return
    const timer = setTimeout(() => setAgain((before) => before + 1), againMs)
    return () => clearTimeout(timer)
  }, [kept])
  return kept
}
