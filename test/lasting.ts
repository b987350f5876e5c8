import { homedir } from 'node:os'
import { join, resolve } from 'node:path'
import { isTemporary } from '#server/setup/checks'

/** A folder that setting up takes for one that lasts: beside the sources, or, where those lie in a temporary folder, at home. */
export const lastingFolder = (name: string): string =>
  join(isTemporary(resolve('.check')) ? join(homedir(), '.cache/probatum-check') : resolve('.check'), name)
