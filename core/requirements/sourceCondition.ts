import { type ConditionState, isHandedIn, isSignedByHand } from '../sources/conditions'
import type { SourceCondition } from '../sources/source'
import type { Ask, ClaimFacts, FileFacts, Outcome, Requirement, Step } from './requirement'
import { met, notNeeded, type Result, unmet } from './result'

/** What is settled, or asked already, wants nothing more for its source. */
const stillToAsk = ({ rung, enquiry, confirmed }: ClaimFacts) =>
  rung === 'confirmed'
    ? Boolean(confirmed?.stale)
    : (enquiry === 'none' || enquiry === 'prepared') && (rung === 'claimed' || rung === 'evidenced' || rung === 'asked')

/**
 * What the sources of a file ask for before they answer, as requirements: at the gate "send" while an application is written,
 * and what was asked for only later by the start.
 *
 * @param sent whether the application has been sent
 */
export const requirementsOfSources = (claims: readonly ClaimFacts[], sent: boolean): Requirement[] =>
  claims.filter(stillToAsk).flatMap(({ id: claim, kind, source = '', conditions = [] }) =>
    conditions.map(
      (condition): Requirement => ({
        key: `source ${claim} ${condition.id}`,
        title: source,
        part: condition.kind,
        why: condition.reason,
        gate: sent ? 'start' : 'send',
        asks: { kind: 'source condition', claim, of: kind, condition: condition.id },
        rung: 'claimed',
        waivableBy: [],
      }),
    ),
  )

/** How a condition of a source stands: handed in is enough for sending, and a person looks at a signature afterwards. */
export function sourceConditionResult(
  { claim: id, condition: wanted }: Extract<Ask, { kind: 'source condition' }>,
  { gate }: Pick<Requirement, 'gate'>,
  { claims }: Pick<FileFacts, 'claims'>,
): Result {
  const claim = claims.find((one) => one.id === id)
  const condition = claim?.conditions?.find((one) => one.id === wanted)
  if (!claim || !condition) return notNeeded({ code: 'condition-false' })
  const { kind, state, reason: because } = condition
  const reason = {
    ...{ code: `condition-${state}` as const, claim: claim.label, source: claim.source ?? '' },
    ...{ condition: kind, because },
  }
  if (state === 'met' || (gate === 'send' && isHandedIn(state))) return { ...met(), reason, claims: [id] }
  const look: Step[] = isSignedByHand(kind) ? [{ who: 'desk', what: 'look' }] : []
  const give: Step = { who: 'candidate', what: kind === 'number' ? 'answer' : 'upload' }
  return { ...unmet(reason, isHandedIn(state) ? look : [give, ...look]), claims: [id] }
}

/** One thing a source asks for, as its candidate is told of it. */
export type AskedBySource = {
  requirement: string
  claim: string
  condition: string
  kind: SourceCondition['kind']
  state: ConditionState
  because: string
  source: string
}

/** What sources ask for, out of all that is judged. */
export function askedBySources(requirements: readonly Requirement[], outcomes: readonly Outcome[]): AskedBySource[] {
  const reasons = new Map(outcomes.map(({ requirement, reason }) => [requirement, reason]))
  return requirements.flatMap(({ key, asks }) => {
    const reason = reasons.get(key)
    if (asks.kind !== 'source condition' || !reason || !('condition' in reason)) return []
    const { condition: kind, because, source } = reason
    const state = reason.code.slice('condition-'.length) as ConditionState
    return [{ requirement: key, claim: asks.claim, condition: asks.condition, ...{ kind, state, because, source } }]
  })
}
