import { moveClock, readClock } from '#contract/demo'
import { clockAhead, daysAhead, moveClockAhead } from '../platform/clock'
import { notFound } from '../platform/errors/problems'
import { bind } from '../platform/http/bind'
import { queueDaily } from '../platform/jobs/queueDaily'

export const demoRoutes = [
  bind(readClock, async ({ deps }) => viewOf(deps.clock, deps.config.demo ? await daysAhead() : 0)),
  bind(moveClock, async ({ deps, input }) => {
    if (!deps.config.demo) throw notFound()
    await moveClockAhead(input.body.days)
    const ahead = await daysAhead()
    const clock = clockAhead(ahead * 86_400_000, deps.config.timeZone)
    await queueDaily({ ...deps, clock })
    return viewOf(clock, ahead)
  }),
]

const viewOf = (clock: { now: () => Date; today: () => { toString(): string } }, daysAhead: number) => ({
  now: clock.now().toISOString(),
  today: clock.today().toString(),
  daysAhead,
})
