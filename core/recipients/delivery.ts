/** How what has been proven comes to a recipient: by a link that ends, or as a file that is theirs to keep. */
export const deliveryWays = ['link', 'credential', 'pdf'] as const
export type DeliveryWay = (typeof deliveryWays)[number]

/** Days that a link lives, at least and at most, and for how long a permission may be given. */
export const linkDays = { least: 1, usual: 30, most: 90 } as const
export const permissionDays = { usual: 90, most: 366 } as const

export type DeliveryState = 'open' | 'link ended' | 'ended' | 'revoked' | 'taken back'

type Delivered = {
  /** Moments, ISO 8601: when the link closes, until when the report holds, and when one or the other was taken from it. */
  linkEndsAt: string | null
  endsAt: string
  revokedAt: string | null
  takenBackAt: string | null
}

/**
 * Where something that was sent stands: the gravest comes first, so that what was taken back is never called merely over.
 *
 * @param now ISO 8601
 * @returns `open` while it can be read by its link, or holds where it was sent as a file
 */
export function deliveryState({ linkEndsAt, endsAt, revokedAt, takenBackAt }: Delivered, now: string): DeliveryState {
  if (takenBackAt) return 'taken back'
  if (revokedAt) return 'revoked'
  if (Date.parse(endsAt) <= Date.parse(now)) return 'ended'
  return linkEndsAt && Date.parse(linkEndsAt) <= Date.parse(now) ? 'link ended' : 'open'
}

/** Whether it can still be taken back: what somebody has kept of it is then said not to hold by whoever checks it. */
export const canBeTakenBack = (state: DeliveryState) => state === 'open' || state === 'link ended'

export type PermissionState = 'holds' | 'paper to come' | 'ended' | 'withdrawn'

type Permitted = {
  /** ISO days. */
  through: string
  withdrawnAt: string | null
  /** Whether what was signed is here, as a file. */
  signed: boolean
}

/** Whether something may be sent by a permission today (ISO day), and if not, why. */
export function permissionState({ through, withdrawnAt, signed }: Permitted, today: string): PermissionState {
  if (withdrawnAt) return 'withdrawn'
  if (through < today) return 'ended'
  return signed ? 'holds' : 'paper to come'
}
