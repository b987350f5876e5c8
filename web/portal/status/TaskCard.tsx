import { useState } from 'react'
import type { Status } from '#contract/status'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

/** Something to read and acknowledge before the first day. */
export function TaskCard({ id, task, ready }: { id: string; task: Status['tasks'][number]; ready: boolean }) {
  const { act, busy, problem } = useAct('doOnboardingTask')
  const [read, setRead] = useState(false)
  if (!ready) return <p className="text-ink-2">{say('status.thisOpensOnceYouHave')}</p>
  return (
    <div>
      <h4 className="font-title text-[1.15em]">{task.title}</h4>
      <section
        className="my-2 max-h-[260px] overflow-auto rounded-sheet border border-line bg-sheet-2 p-3"
        aria-label={task.title}
        tabIndex={0}
      >
        {task.text.split('\n\n').map((paragraph) => (
          <p key={paragraph} className="mb-2">
            {paragraph}
          </p>
        ))}
      </section>
      <label className="mb-3 flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-confirmed"
          checked={read}
          onChange={(event) => setRead(event.target.checked)}
        />
        {say('status.iHaveReadAndUnderstood')}
      </label>
      <ProblemNote problem={problem} />
      <Button
        kind="main"
        busy={busy}
        disabled={!read}
        onClick={() => void act({ params: { id, task: task.key }, body: { acknowledged: true } })}
      >
        {say('status.acknowledge')}
      </Button>
    </div>
  )
}
