import type { NewSource } from '#server/records/sources/sources'
import { bodies } from './bodies'
import { employers } from './employers'
import { institutions } from './institutions'

/** `key` is how the scenario speaks of a source. */
export type DemoSource = NewSource & { key: string }

/** Everything issued in this world is issued by one of these. All invented. */
export const sources: DemoSource[] = [...institutions, ...bodies, ...employers]
