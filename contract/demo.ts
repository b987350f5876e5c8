import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Day, Moment } from './shapes'

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
  access: ['coordinator', 'administrator'],
  body: Type.Object({ days: Type.Integer({ minimum: 1, maximum: 400 }) }),
  reply: Clock,
  invalidates: ['clock', 'desk', 'vacancies', 'status', 'draft'],
})
