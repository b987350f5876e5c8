import { claimResult } from './provenClaim'
import type { Ask, ClaimFacts, FileFacts, PortraitFact, Requirement, Step } from './requirement'
import { nearest, type Result, unmet } from './result'

/** What is left of a live portrait, from where it stands. */
const stepsFrom: Record<Exclude<PortraitFact, 'same'>, Step[]> = {
  none: [
    { who: 'candidate', what: 'take portrait' },
    { who: 'desk', what: 'look' },
  ],
  'sent back': [
    { who: 'candidate', what: 'take portrait' },
    { who: 'desk', what: 'look' },
  ],
  'to look at': [{ who: 'desk', what: 'look' }],
  other: [{ who: 'desk', what: 'decide' }],
}

/** Whether somebody has shown who they are: the paper first and, where it is asked, a live portrait beside it. */
export function identityResult(
  ask: Extract<Ask, { kind: 'identity' }>,
  requirement: Requirement,
  file: FileFacts,
): Result {
  const papers = file.claims.filter(({ kind }) => kind === 'identity')
  if (!ask.portrait || papers.length === 0) return claimResult(papers, requirement, file)
  return nearest(papers.map((paper) => withPortrait(paper, claimResult([paper], requirement, file), requirement)))
}

/** A portrait that is there does where nobody has to look at anything. */
function withPortrait({ portrait, label, id }: ClaimFacts, paper: Result, { rung }: Requirement): Result {
  if (portrait === undefined || portrait === 'same' || (portrait === 'to look at' && rung === 'claimed')) return paper
  const steps = stepsFrom[portrait].filter(({ who }) => who === 'candidate' || rung !== 'claimed')
  if (paper.state !== 'met') return { ...paper, steps: [...paper.steps, ...steps] }
  return { ...unmet({ code: `portrait-${portrait}`, claim: label }, steps), claims: [id] }
}
