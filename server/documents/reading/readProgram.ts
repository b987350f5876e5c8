import type { ToRead } from './readApart'
import { readPaper } from './readPaper'

/** Reads one paper after another, as they are sent, until nobody listens any more. */
process.on('message', async ({ bytes, mediaType }: ToRead) => {
  const said = await readPaper(new Uint8Array(bytes), mediaType).then(
    (read) => ({ read }),
    (error: unknown) => ({ failed: String(error).slice(0, 300) }),
  )
  process.send!(said)
})
