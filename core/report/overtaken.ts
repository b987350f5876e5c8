import type { Decision } from '../comparison/proposeDecision'
import type { Standing } from '../validity/validity'

/** What a report states of a claim that can turn out otherwise: what was decided, and what its body says of it. */
export type Stated = {
  claimId: string
  version: number
  finding: { id: string; decision: Decision } | null
  standing: Pick<Standing, 'state' | 'from' | 'through' | 'terms' | 'termsSaid'> | null
}

const proves = (decision: Decision | undefined) => (decision?.startsWith('confirmed') ? 'confirmed' : decision)

/**
 * Which of the claims that a report states things of stand otherwise now: what was decided was undone or decided otherwise
 * since, or the body says something else of the same credential. A renewal, or a confirmation anew, makes nothing untrue.
 *
 * @param now what holds of the same versions; what is missing is gone
 */
export const overtaken = (stated: readonly Stated[], now: readonly Stated[]): Stated[] =>
  stated.filter((before) => {
    const after = now.find(({ claimId, version }) => claimId === before.claimId && version === before.version)
    if (!after) return true
    if (before.finding && proves(after.finding?.decision) !== proves(before.finding.decision)) return true
    return graver(after.standing, before.standing)
  })

const terms = (standing: Stated['standing']) => JSON.stringify([standing?.terms ?? [], standing?.termsSaid ?? ''])

/** Whether something else is said than was stated; that it is in good standing says no more than nothing does. */
function graver(after: Stated['standing'], before: Stated['standing']): boolean {
  const [now, then] = [after?.state ?? 'good', before?.state ?? 'good']
  return now !== then || (now === 'restricted' && terms(after) !== terms(before))
}
