import { mkdir, readdir, readFile, rename, rm, stat } from 'node:fs/promises'
import { basename, join } from 'node:path'

/** A file that a scanner has put down. `done` takes it away; until then it is found again. */
export type Scanned = { fileName: string; bytes: Buffer; done: () => Promise<void> }
export type Scanner = { take: () => Promise<Scanned[]> }

const quietMs = 1000
const suffix = /\.(pdf|tiff?|jpe?g|png)$/i

/**
 * Takes what a scanner saves to a folder, as those that scan to a folder do. A file is taken once nothing was added to it
 * for a second, and is claimed by renaming, so that several copies may look after one folder.
 */
export const folderScanner = (folder: string): Scanner => ({
  take: async () => {
    await mkdir(folder, { recursive: true })
    const taken: Scanned[] = []
    for (const name of (await readdir(folder)).filter((file) => suffix.test(file)).sort()) {
      const path = join(folder, name)
      const found = await stat(path).catch(() => undefined)
      if (!found?.isFile() || Date.now() - found.mtimeMs < quietMs) continue
      const claimed = join(folder, `.${process.pid}-${Date.now()}-${basename(name)}.taken`)
      if (
        !(await rename(path, claimed).then(
          () => true,
          () => false,
        ))
      )
        continue
      taken.push({ fileName: name, bytes: await readFile(claimed), done: () => rm(claimed, { force: true }) })
    }
    return taken
  },
})
