import { serialize } from 'node:v8'
import { readPages } from './readPages'
import type { Said } from './readPagesApart'

const chunks: Buffer[] = []
for await (const chunk of process.stdin) chunks.push(chunk as Buffer)
const said: Said = await readPages(new Uint8Array(Buffer.concat(chunks))).then(
  (pages) => ({ pages }),
  (error: Error) => ({ fault: error.message }),
)
process.stdout.write(serialize(said), () => process.exit(0))
