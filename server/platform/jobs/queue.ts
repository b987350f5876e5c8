import { v7 as uuid } from 'uuid'
import { afterCommit } from '../database/connection'
import type { JobKind, Jobs } from './jobs'
import { Job } from './model'

const listeners = new Set<() => void>()

/** Is told of every job as soon as it can be taken. Gives what ends it. */
export function onQueued(listener: () => void): () => void {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

/** Leaves a job in the queue, in the transaction under way. A `uniqueKey` that is already there leaves things as they are. */
export async function queueJob<Kind extends JobKind>(
  kind: Kind,
  payload: Jobs[Kind],
  options: { uniqueKey?: string; runAt?: Date } = {},
) {
  const job = {
    id: uuid(),
    kind,
    payload,
    uniqueKey: options.uniqueKey ?? null,
    runAt: options.runAt ?? new Date(),
    attempts: 0,
  }
  await Job.bulkCreate([job], { ignoreDuplicates: true })
  afterCommit(() => {
    for (const listener of listeners) listener()
  })
}
