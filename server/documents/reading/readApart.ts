import { inProgram } from '../../platform/jobs/program'
import type { PaperRead } from './readPaper'

export type ToRead = { bytes: Buffer; mediaType: string }

/** Reads a paper in a process of its own; `undefined` where that fell over or took too long. */
export const readApart = inProgram<ToRead, { read: PaperRead } | { failed: string }>(
  new URL('./readProgram.ts', import.meta.url),
  { patienceMs: 300_000, idleMs: 60_000 },
)
