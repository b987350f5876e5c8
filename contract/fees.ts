import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Key } from './ruleShapes'
import { Day, Done, Id, ShortText } from './shapes'

export const recordFee = endpoint({
  method: 'POST',
  path: '/api/desk/applications/:id/fees/:requirement',
  summary: 'Record that a fee has been received',
  access: 'money.record',
  passwordAgain: true,
  params: Type.Object({ id: Id, requirement: Key }),
  body: Type.Object({ receivedOn: Day, note: ShortText }),
  reply: Done,
  idempotent: true,
  invalidates: ['desk'],
})
