import { v7 as uuid } from 'uuid'
import { afterCommit } from '../database/connection'
import { insertRows } from '../database/insertRows'
import type { JobKind, Jobs } from './jobs'
import { Job } from './model'

const listeners = new Set<() => void>()

/** Is told of every job as soon as it can be taken. Gives what ends it. */
export function onQueued(listener: () => void): () => void {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

type Options = { uniqueKey?: string; runAt?: Date }

/** Leaves a job in the queue, in the transaction under way. A `uniqueKey` that is already there leaves things as they are. */
export const queueJob = <Kind extends JobKind>(kind: Kind, payload: Jobs[Kind], options: Options = {}) =>
  queueJobs(kind, [payload], options)

/** Leaves many of one kind. */
export async function queueJobs<Kind extends JobKind>(
  kind: Kind,
  payloads: readonly Jobs[Kind][],
  { uniqueKey, runAt = new Date() }: Options = {},
) {
  if (payloads.length === 0) return
  await insertRows(
    Job,
    payloads.map((payload) => {
      return { id: uuid(), kind, payload, uniqueKey: uniqueKey ?? null, runAt, attempts: 0, queuedAt: new Date() }
    }),
    { ignoreDuplicates: true },
  )
  afterCommit(() => {
    for (const listener of listeners) listener()
  })
}
