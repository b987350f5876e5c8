import { readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'

/** When the newest file under a folder was changed, in milliseconds. */
export function newestUnder(folder: string): number {
  return Math.max(
    0,
    ...readdirSync(folder, { withFileTypes: true }).map((entry) =>
      entry.isDirectory() ? newestUnder(join(folder, entry.name)) : statSync(join(folder, entry.name)).mtimeMs,
    ),
  )
}
