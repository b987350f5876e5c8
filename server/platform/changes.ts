import type { Transaction } from 'sequelize'
import { type Effect, type EventCode, effectsOf } from '#core/events/events'
import type { StoredValues } from '#core/words/stored'
import { beforeCommit, inTransaction, transactionNow } from './database/connection'
import type { Actor, Deps } from './deps'

/** Something a use case has changed, and what it is about. */
export type Change = {
  code: EventCode
  actor: Actor
  candidateId?: string
  applicationId?: string
  vacancyId?: string
  /** The address of the account, or whatever else the event names. */
  about?: string
  values?: StoredValues
  details?: Record<string, unknown>
}

/** Brings up to date what rests on changes with certain effects. */
export type Subscriber = {
  on: readonly Effect[]
  run: (deps: Deps, changes: readonly Change[]) => Promise<void>
}

let subscribers: readonly Subscriber[] = []

/** Says who follows changes, in the order in which they run; once, when the application is put together. */
export function subscribe(next: readonly Subscriber[]) {
  subscribers = next
}

const pending = new WeakMap<Transaction, Change[]>()

/**
 * Says what has changed. What rests on it is brought up to date once, before the transaction commits, so that no use case
 * has to remember it; where there is no transaction, in one of its own. `recordEvent` calls it for whatever it records.
 */
export async function changed(deps: Deps, change: Change): Promise<void> {
  await inTransaction(deps.sequelize, async () => {
    const transaction = transactionNow()!
    const known = pending.get(transaction)
    if (known) return void known.push(change)
    const changes = [change]
    pending.set(transaction, changes)
    beforeCommit(() => follow(deps, changes))
  })
}

/** Runs the subscribers in their order until none of them has changed anything more. */
async function follow(deps: Deps, changes: readonly Change[]) {
  const followed = subscribers.map(() => 0)
  for (let last = -1; last !== changes.length; ) {
    last = changes.length
    for (const [nth, { on, run }] of subscribers.entries()) {
      const fresh = changes.slice(followed[nth])
      followed[nth] = changes.length
      const concerning = fresh.filter(({ code }) => effectsOf(code).some((effect) => on.includes(effect)))
      if (concerning.length > 0) await run(deps, concerning)
    }
  }
}
