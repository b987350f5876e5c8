import { readPages } from './readPages'
import type { Said } from './readPagesApart'
import { faultOf } from './scanFault'

/** Reads one scan after another, as they are sent, until nobody listens any more. */
process.on('message', async (bytes: Uint8Array) => {
  const said: Said = await readPages(new Uint8Array(bytes)).then(
    (pages) => ({ pages }),
    (error: unknown) => ({ fault: faultOf(error) }),
  )
  process.send!(said)
})
