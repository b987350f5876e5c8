import { useState } from 'react'
import type { FlagLine } from '#contract/redFlags'
import { say } from '#core/words/say'
import { Key } from '../../ui/Button'
import { useSession } from '../../useSession'
import { useKeys } from '../useKeys'
import { FlagNote } from './FlagNote'
import { SettleFlag } from './SettleFlag'

type Props = { flags: readonly FlagLine[]; onPaper?: (documentId: string) => void }

/** The red flags about a claim, open ones first, beside the evidence they rest on. */
export function ClaimFlags({ flags, onPaper }: Props) {
  const { may } = useSession()
  const [settling, setSettling] = useState<string>()
  const settles = may('settleRedFlag')
  const ordered = [...flags].sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state))
  const [first] = ordered
  const pressed = settles && first?.state === 'open' ? first.id : undefined
  useKeys(pressed ? { f: () => setSettling(pressed) } : {})
  const chosen = flags.find(({ id }) => id === settling)
  if (flags.length === 0) return null
  return (
    <section aria-label={say('flags.ofClaim')} className="border-line border-b bg-sheet px-3.5 py-2 text-[0.8667rem]">
      <ul className="grid gap-2">
        {ordered.map((flag) => (
          <li key={flag.id} className="grid gap-0.5">
            <FlagNote flag={flag} brief={flag.id !== first?.id} onPaper={onPaper}>
              {settles && (
                <button
                  type="button"
                  aria-keyshortcuts={flag.id === pressed ? 'F' : undefined}
                  className="inline-flex min-h-6 items-center gap-1.5 font-semibold text-confirmed"
                  onClick={() => setSettling(flag.id)}
                >
                  {flag.state === 'open' ? say('flags.settle') : say('flags.lookAgain')}
                  {flag.id === pressed && <Key letter="F" />}
                </button>
              )}
            </FlagNote>
          </li>
        ))}
      </ul>
      {ordered.some(({ state }) => state !== 'dismissed') && (
        <p className="mt-1 text-ink-2">{say('flags.takesSecond')}</p>
      )}
      {chosen && <SettleFlag flag={chosen} onClose={() => setSettling(undefined)} />}
    </section>
  )
}

const order: readonly FlagLine['state'][] = ['open', 'upheld', 'dismissed']
