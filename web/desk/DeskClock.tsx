import { Popover } from 'radix-ui'
import { writeWhen } from '#core/dates/write'
import { say, spokenLocale } from '#core/words/say'
import { Button } from '../ui/Button'
import { ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { useSession } from '../useSession'

/** Today’s date; in the demo it can be moved forward, so that reminders and expiries can be watched happening. */
export function DeskClock({ today }: { today: string }) {
  const { demo, may: mayDo } = useSession()
  const { act, busy, problem } = useAct('moveClock')
  const weekday = new Date(`${today}T12:00:00Z`).toLocaleDateString(spokenLocale(), {
    weekday: 'short',
    timeZone: 'UTC',
  })
  const words = `${weekday} ${writeWhen(today)}`
  const may = demo && mayDo('moveClock')
  if (!may) return <span className="whitespace-nowrap font-mono">{words}</span>
  return (
    <Popover.Root>
      <Popover.Trigger className="whitespace-nowrap font-mono underline decoration-dotted underline-offset-4">
        {words}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={8}
          align="end"
          className="z-50 w-[270px] rounded-sheet border border-line-strong bg-sheet p-4 text-[0.9rem] shadow-[0_8px_24px_rgb(0_0_0/0.2)]"
        >
          <p className="mb-1 font-semibold">{say('desk.theDemosClock')}</p>
          <p className="mb-3 text-ink-2">{say('desk.movedForwardDeadlinesPassReminders')}</p>
          <div className="flex gap-2">
            {[1, 7, 30].map((days) => (
              <Button key={days} busy={busy} onClick={() => void act({ body: { days } })}>
                {days === 1 ? say('desk.n1Day') : say('desk.daysDays', { days })}
              </Button>
            ))}
          </div>
          <ProblemNote problem={problem} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
