import { Type } from '@sinclair/typebox'
import { credentialFaults } from '#core/credentials/credential'
import { endpoint } from './endpoint'
import { Id, oneOf, orNull } from './shapes'

const byId = Type.Object({ id: Id })

export const listCredentials = endpoint({
  method: 'GET',
  path: '/api/my/applications/:id/credentials',
  summary: 'The claims whose source issues digital credentials, which confirm at once',
  access: 'candidate',
  params: byId,
  reply: Type.Array(Type.Object({ claim: Id, source: Type.String() })),
  invalidates: ['draft', 'status'],
})

export const bringCredential = endpoint({
  method: 'POST',
  path: '/api/my/applications/:id/claims/:claim/credentials',
  summary:
    'Bring a digital credential (W3C VC 2.0 or Open Badge 3.0, as JWT): it confirms at once, or says exactly why not; while a red flag stands it is kept for people to decide',
  access: 'candidate',
  params: Type.Object({ id: Id, claim: Id }),
  body: Type.Any(),
  bytes: true,
  reply: Type.Object({
    fault: orNull(oneOf(credentialFaults)),
    because: Type.String({
      description: 'What was found: a day, a name, a value; empty where there is nothing to say',
    }),
    confirmed: Type.Boolean({ description: 'Whether the claim is confirmed now' }),
  }),
  invalidates: ['draft', 'status'],
})
