type Picture = { bytes: Buffer; mediaType: string }

/** What is to lie or to stand before the device: so many sides of a paper, or a face, with the picture it is compared with. */
export type ToCapture = { sides: number } | { portrait: true; reference?: Picture }

/** What the capture device has: nothing yet, pictures with the lines of the zone as it made them out, or no session. */
export type Captured =
  | { state: 'waiting' }
  | { state: 'captured'; zone: string; pictures: Picture[]; likeness: number | null }
  | { state: 'gone' }

export type CaptureDevice = {
  begin: (what: ToCapture) => Promise<{ session: string; address: string }>
  take: (session: string) => Promise<Captured>
}

export class DeviceSilent extends Error {}

const patienceMs = 6000

/**
 * Speaks with a capture device over HTTP: `POST {base}/sessions` with how many sides there are, or with `portrait` and the picture
 * a face is compared with in base64, begins and answers where
 * the device is used; `GET {base}/sessions/ID` answers its state, the zone and how alike both
 * faces are (0 to 100); `GET {base}/sessions/ID/pictures/N` a picture.
 */
export function httpCaptureDevice(base: string): CaptureDevice {
  const ask = async (path: string, init: RequestInit = {}) => {
    const response = await fetch(`${base}${path}`, { ...init, signal: AbortSignal.timeout(patienceMs) }).catch(
      (error: unknown) => {
        throw new DeviceSilent('the capture device did not answer', { cause: error })
      },
    )
    if (!response.ok && response.status !== 404)
      throw new DeviceSilent(`the capture device answered ${response.status}`)
    return response
  }
  return {
    begin: async (what) => {
      const response = await ask('/sessions', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(
          'sides' in what ? what : { portrait: true, reference: what.reference?.bytes.toString('base64') },
        ),
      })
      const { session, address } = (await response.json()) as { session: string; address: string }
      return { session, address }
    },
    take: async (session) => {
      const path = `/sessions/${encodeURIComponent(session)}`
      const response = await ask(path)
      if (response.status === 404) return { state: 'gone' }
      const told = (await response.json()) as { state: string; zone?: string; pictures?: number; likeness?: unknown }
      if (told.state !== 'captured') return { state: 'waiting' }
      const pictures = await Promise.all(
        Array.from({ length: Math.min(told.pictures ?? 0, 2) }, async (_, nth) => {
          const picture = await ask(`${path}/pictures/${nth}`)
          return {
            bytes: Buffer.from(await picture.arrayBuffer()),
            mediaType: picture.headers.get('content-type') ?? 'image/jpeg',
          }
        }),
      )
      return { state: 'captured', zone: told.zone ?? '', pictures, likeness: percentOf(told.likeness) }
    },
  }
}

const percentOf = (said: unknown): number | null =>
  typeof said === 'number' && said >= 0 && said <= 100 ? Math.round(said) : null
