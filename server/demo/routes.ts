import { moveClock, readClock, readDemoAccounts } from '#contract/demo'
import type { Reply } from '#contract/endpoint'
import { clockAhead, daysAhead, moveClockAhead } from '../platform/clock'
import { readSetting } from '../platform/database/settings'
import { notFound } from '../platform/errors/problems'
import { bind } from '../platform/http/bind'
import { queueDaily } from '../platform/jobs/queueDaily'

export const demoAccounts = 'demo-accounts'
type Accounts = Reply<typeof readDemoAccounts>

export const demoRoutes = [
  bind(readDemoAccounts, async ({ deps }) => {
    const known = deps.config.demo ? await readSetting<Accounts>(demoAccounts) : undefined
    return known ?? { password: '', accounts: [] }
  }),
  bind(readClock, async ({ deps }) => viewOf(deps.clock, deps.config.demo ? await daysAhead() : 0)),
  bind(moveClock, async ({ deps, input }) => {
    if (!deps.config.demo) throw notFound()
    await moveClockAhead(input.body.days)
    const ahead = await daysAhead()
    const clock = clockAhead(ahead * 86_400_000, deps.organisation.timeZone)
    await queueDaily({ ...deps, clock })
    return viewOf(clock, ahead)
  }),
]

const viewOf = (clock: { now: () => Date; today: () => { toString(): string } }, daysAhead: number) => ({
  now: clock.now().toISOString(),
  today: clock.today().toString(),
  daysAhead,
})
