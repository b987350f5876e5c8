/** What the capture device has: nothing yet, pictures with the lines of the zone as it made them out, or no session. */
export type Captured =
  | { state: 'waiting' }
  | { state: 'captured'; zone: string; pictures: { bytes: Buffer; mediaType: string }[] }
  | { state: 'gone' }

export type CaptureDevice = {
  begin: (sides: number) => Promise<{ session: string; address: string }>
  take: (session: string) => Promise<Captured>
}

export class DeviceSilent extends Error {}

const patienceMs = 6000

/**
 * Speaks with a capture device over HTTP: `POST {base}/sessions` with how many sides there are begins and answers where
 * the device is used; `GET {base}/sessions/ID` answers its state and the zone; `GET {base}/sessions/ID/pictures/N` a picture.
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
    begin: async (sides) => {
      const response = await ask('/sessions', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ sides }),
      })
      const { session, address } = (await response.json()) as { session: string; address: string }
      return { session, address }
    },
    take: async (session) => {
      const path = `/sessions/${encodeURIComponent(session)}`
      const response = await ask(path)
      if (response.status === 404) return { state: 'gone' }
      const told = (await response.json()) as { state: string; zone?: string; pictures?: number }
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
      return { state: 'captured', zone: told.zone ?? '', pictures }
    },
  }
}
