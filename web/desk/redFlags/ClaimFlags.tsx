import { useState } from 'react'
import type { FlagLine } from '#contract/redFlags'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
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
  useKeys(settles && first?.state === 'open' ? { f: () => setSettling(first.id) } : {})
  const chosen = flags.find(({ id }) => id === settling)
  if (flags.length === 0) return null
  return (
    <section aria-label={say('flags.ofClaim')} className="border-line border-b bg-sheet px-3.5 py-2 text-[0.8667rem]">
      <ul className="grid gap-2">
        {ordered.map((flag) => (
          <li key={flag.id} className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-3">
            <div className="grid gap-0.5">
              <FlagNote flag={flag} onPaper={onPaper} />
            </div>
            {settles && (
              <Button
                letter={flag.state === 'open' && flag.id === first?.id ? 'F' : undefined}
                onClick={() => setSettling(flag.id)}
              >
                {flag.state === 'open' ? say('flags.settle') : say('flags.lookAgain')}
              </Button>
            )}
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
