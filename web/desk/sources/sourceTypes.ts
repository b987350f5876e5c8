import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import type { SourceGiven } from '#contract/sources'
import type { Problem } from '../../api'

/** All that is known of a source. */
export type SourceRead = Reply<Contract['readSource']>

/** A source that is being written down. */
export type Editing = {
  given: SourceGiven
  set: (change: Partial<SourceGiven>) => void
  problem: Problem | undefined
}
