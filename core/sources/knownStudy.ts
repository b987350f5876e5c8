import type { KnownProgramme } from './knownAward'
import type { ResearchOutcome, researchStates } from './research'

/** How a study of somebody's file stands by what is known of its programme, as they are told. */
export type KnownStudy = KnownProgramme & {
  claim: string
  source: string
  /** They have said that the paper says the same, and that they finished. */
  stated: boolean
  /** Somebody looks, or has looked, into the programme. */
  research: { state: (typeof researchStates)[number]; outcome: ResearchOutcome | null } | null
}
