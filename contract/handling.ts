import { Type } from '@sinclair/typebox'
import { Claim } from './claims'
import { endpoint } from './endpoint'
import { Id, oneOf, orNull, Version } from './shapes'
import { Money } from './sources'

const speed = oneOf(['usual', 'faster'] as const)
const Handling = Type.Object({ answerWorkingDays: Type.Integer(), cost: orNull(Money) })

export const listHandlings = endpoint({
  method: 'GET',
  path: '/api/my/handlings',
  summary: 'One’s own claims whose source also answers faster, with the cost and the usual answer time of either',
  access: 'candidate',
  reply: Type.Array(Type.Object({ claim: Id, usual: Handling, faster: Handling, chosen: speed })),
  invalidates: ['draft', 'status'],
})

export const chooseHandling = endpoint({
  method: 'PUT',
  path: '/api/my/claims/:id/handling',
  summary: 'Choose whether the source of a claim is asked for its faster handling, until it has been asked',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({ version: Version, speed }),
  reply: Claim,
  invalidates: ['draft', 'status'],
})
