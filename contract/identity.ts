import { type Static, Type } from '@sinclair/typebox'
import { identityPapers } from './claims'
import { endpoint } from './endpoint'
import { Day, Id, oneOf, orNull } from './shapes'

/** What a machine-readable zone says, offered to be confirmed. */
const Offered = Type.Object({
  paper: oneOf(identityPapers),
  number: Type.String(),
  issuer: Type.String(),
  familyName: Type.String(),
  givenNames: Type.String(),
  born: Type.Union([Day, Type.Literal('')]),
  through: Type.Union([Day, Type.Literal('')]),
  zone: Type.String(),
})
export type Offered = Static<typeof Offered>

export const captureStates = ['waiting', 'read', 'unclear', 'gone'] as const

export const Capture = Type.Object({
  id: Id,
  state: oneOf(captureStates),
  /** Where the device is used: on this screen, or on a phone that reads it as a QR code. */
  address: Type.String(),
  offered: orNull(Offered),
  why: orNull(Type.String()),
})
export type Capture = Static<typeof Capture>

export const beginCapture = endpoint({
  method: 'POST',
  path: '/api/my/claims/:id/captures',
  summary: 'Begin to capture a paper of identity with the capture device',
  who: ['candidate'],
  params: Type.Object({ id: Id }),
  reply: Capture,
})

export const takeCapture = endpoint({
  method: 'POST',
  path: '/api/my/captures/:id',
  summary: 'Take what the device has captured, once it has: the pictures go behind the claim, the zone is read',
  who: ['candidate'],
  params: Type.Object({ id: Id }),
  reply: Capture,
})
