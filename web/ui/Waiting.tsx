import { say } from '#core/words/say'
import type { Problem } from '../api'
import { ProblemNote } from './ProblemNote'

/** While something is read, and where it could not be. */
export function Waiting({ error, onRetry }: { error?: unknown; onRetry?: () => void }) {
  if (!error) {
    return (
      <p role="status" className="p-6 text-ink-3">
        {say('ui.oneMoment')}
      </p>
    )
  }
  return (
    <div className="mx-auto max-w-[560px] p-6">
      <ProblemNote problem={error as Problem} />
      {onRetry && (
        <button type="button" onClick={onRetry} className="mt-3 font-semibold text-confirmed underline">
          {say('ui.tryAgain')}
        </button>
      )}
    </div>
  )
}
