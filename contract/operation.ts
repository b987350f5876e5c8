import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Done, Id, Moment, orNull } from './shapes'

const Count = Type.Integer({ minimum: 0 })
const Bytes = Type.Number({ minimum: 0 })

export const readOperation = endpoint({
  method: 'GET',
  path: '/api/desk/operation',
  summary:
    'How it runs: jobs, messages, room, registers, the last backup, the version. Nothing of it is about a person',
  access: 'operation.read',
  reply: Type.Object({
    version: Type.String(),
    node: Type.String(),
    database: Type.String(),
    upSince: Moment,
    jobs: Type.Object({
      waiting: Type.Array(
        Type.Object({ kind: Type.String(), count: Count, oldestAt: Moment, underWay: Count, tried: Count }),
        { description: 'By kind; `tried` of them have failed before and are tried again' },
      ),
      failed: Type.Array(Type.Object({ id: Id, kind: Type.String(), attempts: Count, at: Moment }), {
        description: 'Given up for good, the newest first; up to fifty',
      }),
    }),
    messages: Type.Array(Type.Object({ channel: Type.String(), state: Type.String(), count: Count, oldestAt: Moment })),
    room: Type.Object({
      tables: Bytes,
      documents: Type.Object({ count: Count, bytes: Bytes }),
      free: orNull(Bytes),
    }),
    registers: Type.Array(
      Type.Object({
        register: Type.String(),
        source: Type.String(),
        asked: Count,
        lastAt: orNull(Moment),
        answers: Type.Boolean(),
      }),
    ),
    lastBackup: orNull(Type.Object({ at: Moment, bytes: Bytes, rows: Count })),
  }),
  invalidates: ['operation'],
})

export const retryJob = endpoint({
  method: 'POST',
  path: '/api/desk/jobs/:id/retry',
  summary: 'Try a job again that was given up',
  access: 'operation.read',
  params: Type.Object({ id: Id }),
  reply: Done,
  invalidates: ['operation'],
})
