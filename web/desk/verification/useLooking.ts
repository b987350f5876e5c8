import { useState } from 'react'
import type { FileClaim } from '#contract/desk'
import type { LetterFindings } from '#core/reading/letter'
import { api } from '../../api'
import { useUnfinished } from '../useUnfinished'

const pollMs = 1500

type LeftUnfinished = {
  typed: Record<string, string>
  absent: ReadonlySet<string>
  letter: LetterFindings
  reason: string
}

/** What is typed, as it is kept: by the part of the form and the field. */
const asUnfinished = ({ typed, absent, letter, reason }: LeftUnfinished): Record<string, string> => ({
  ...Object.fromEntries(Object.entries(typed).map(([key, value]) => [`typed.${key}`, value])),
  ...Object.fromEntries([...absent].map((key) => [`absent.${key}`, 'yes'])),
  ...Object.fromEntries(Object.entries(letter).map(([part, state]) => [`letter.${part}`, state])),
  ...(reason ? { reason } : {}),
})

function takenUpFrom(left: Record<string, string>): LeftUnfinished {
  const of = (part: string) =>
    Object.entries(left).flatMap(([key, value]): [string, string][] =>
      key.startsWith(`${part}.`) ? [[key.slice(part.length + 1), value]] : [],
    )
  return {
    typed: Object.fromEntries(of('typed')),
    absent: new Set(of('absent').map(([key]) => key)),
    letter: Object.fromEntries(of('letter')) as LetterFindings,
    reason: left.reason ?? '',
  }
}

/**
 * What is being read off a document: what the machine has, and what somebody types, finds missing or finds wrong, which is kept as
 * they do and there again when they come back. While the machine still reads it is asked again and again.
 */
export function useLooking(
  document: FileClaim['documents'][number] | undefined,
  documentId: string,
  forSource: boolean,
) {
  const seen = document?.state === 'seen'
  const [waiting, setWaiting] = useState(false)
  const [given, setGiven] = useState<LeftUnfinished>({
    typed: {},
    absent: new Set(),
    letter: document?.letter ?? {},
    reason: '',
  })
  const { data: reading } = api.endpoints.readByMachine.useQuery(
    { params: { id: documentId } },
    { skip: forSource || !document, pollingInterval: waiting ? pollMs : 0 },
  )
  const { left, keep, forget } = useUnfinished('Document', documentId)
  const [takenUp, setTakenUp] = useState(false)
  if (!takenUp && left) {
    setTakenUp(true)
    if (!seen && Object.keys(left).length > 0) setGiven(takenUpFrom(left))
  }
  const stillWaits = !seen && reading?.state === 'waiting'
  if (stillWaits !== waiting) setWaiting(stillWaits)
  const change = (next: Partial<LeftUnfinished>) => {
    setTakenUp(true)
    const all = { ...given, ...next }
    setGiven(all)
    keep(asUnfinished(all))
  }
  return { reading, ...given, change, forget }
}
