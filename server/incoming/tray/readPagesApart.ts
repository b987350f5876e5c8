import { type Coded, coded } from '#core/words/say'
import { inProgram } from '../../platform/jobs/program'
import type { ReadPage } from './readPages'
import { ScanFault } from './scanFault'

/** What the program says of one scan. */
export type Said = { pages: ReadPage[] } | { fault: Coded }

const read = inProgram<Buffer, Said>(new URL('./readPagesProgram.ts', import.meta.url), {
  patienceMs: 240_000,
  idleMs: 60_000,
})

/**
 * Reads the pages of a scan in a process of its own.
 *
 * @throws ScanFault with what to tell a person where the scan cannot be read
 */
export async function readPagesApart(bytes: Buffer): Promise<ReadPage[]> {
  const said = await read(bytes)
  if (!said) throw new ScanFault(coded('tray.fault.unreadable'))
  if ('fault' in said) throw new ScanFault(said.fault)
  return said.pages
}
