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

/** A field of which characters were taken for others that look the same; a person has to look at it. */
const Mended = Type.Object({
  field: oneOf(['issuer', 'nationality', 'names', 'number', 'born', 'through', 'check digits'] as const),
  read: Type.String({ description: 'What the camera made out' }),
  as: Type.String({ description: 'What it was taken for' }),
})
export type Mended = Static<typeof Mended>

/** What the device is used for: a paper, or the face of whoever holds it. */
export const capturedThings = ['paper', 'portrait'] as const

export const captureStates = ['waiting', 'read', 'unclear', 'gone'] as const

export const Capture = Type.Object({
  id: Id,
  state: oneOf(captureStates),
  /** Where the device is used: on this screen, or on a phone that reads it as a QR code. */
  address: Type.String(),
  offered: orNull(Offered),
  mended: Type.Array(Mended),
  why: orNull(Type.String()),
})
export type Capture = Static<typeof Capture>

export const beginCapture = endpoint({
  method: 'POST',
  path: '/api/my/claims/:id/captures',
  summary: 'Begin to capture a paper of identity, or the face of whoever holds it, with the capture device',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  body: Type.Object({ what: oneOf(capturedThings) }),
  reply: Capture,
})

export const takeCapture = endpoint({
  method: 'POST',
  path: '/api/my/captures/:id',
  summary: 'Take what the device has captured, once it has: the pictures go behind the claim, the zone is read',
  access: 'candidate',
  params: Type.Object({ id: Id }),
  reply: Capture,
})
