import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { roles } from './roles'
import { Day, Moment, oneOf } from './shapes'

const Clock = Type.Object({ now: Moment, today: Day, daysAhead: Type.Integer() })

export const readClock = endpoint({
  method: 'GET',
  path: '/api/demo/clock',
  summary: 'The time the application goes by',
  access: 'anyone',
  reply: Clock,
  invalidates: ['clock'],
})

export const moveClock = endpoint({
  method: 'POST',
  path: '/api/demo/clock',
  summary: 'Move the demo’s clock forward; only where the demo is switched on',
  access: 'vacancies.set-up',
  body: Type.Object({ days: Type.Integer({ minimum: 1, maximum: 400 }) }),
  reply: Clock,
  invalidates: ['clock', 'desk', 'vacancies', 'status', 'draft'],
})

export const readDemoAccounts = endpoint({
  method: 'GET',
  path: '/api/demo/accounts',
  summary: 'Who can be signed in as to try it, with the password of all of them; nobody where this is no demo',
  access: 'anyone',
  reply: Type.Object({
    password: Type.String(),
    accounts: Type.Array(Type.Object({ mail: Type.String(), roles: Type.Array(oneOf(roles)) })),
  }),
  invalidates: ['clock'],
})
