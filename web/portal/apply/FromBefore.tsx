import type { Draft } from '#contract/applications'
import { becauseKey, claimsIn, type Section } from '#core/form/form'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import type { Autosave } from './useAutosave'

type Props = { draft: Draft; section: Section; autosave: Autosave }

/** What a section took over from before: it is confirmed as a whole, or corrected answer by answer. */
export function FromBefore({ draft, section, autosave }: Props) {
  const { act, busy, problem } = useAct('confirmSection')
  const moments = momentsIn(draft, section)
  if (moments.length === 0) return null
  const [first, last] = [writeDayOf(moments[0]!), writeDayOf(moments.at(-1)!)]
  return (
    <div className="mb-4 max-w-[720px] rounded-sheet border border-soon/60 bg-soon-wash px-4 py-3">
      <p className="mb-2 text-soon-ink">
        {first === last
          ? say('apply.thisIsFromYourFile', { day: first })
          : say('apply.thisIsFromYourFileLast', {
              first,
              last,
            })}
      </p>
      <ProblemNote problem={problem} />
      <Button
        kind="main"
        busy={busy}
        disabled={autosave.version === undefined}
        onClick={() => void act({ params: { id: draft.id, section: section.key } })}
      >
        {say('apply.allOfThisIsRight')}
      </Button>
    </div>
  )
}

/** When what waits to be confirmed in a section was last confirmed, oldest first. */
function momentsIn({ takenOver, claims, begunAt }: Draft, { questions, holds }: Section): string[] {
  const answers = questions.flatMap(({ key }) =>
    [key, becauseKey(key)].flatMap((own) => (takenOver[own] ? [takenOver[own]] : [])),
  )
  const shown = claims.filter(({ details }) => details.kind === holds || claimsIn[holds]?.includes(details.kind))
  const before = shown.flatMap(({ saidAt }) => (saidAt < begunAt ? [saidAt] : []))
  return [...answers, ...before].sort()
}
