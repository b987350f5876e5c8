import { type Ask, type Gate, gates, type Requirement } from './requirement'

type Rung = Requirement['rung']

/** What a kind of ask can be met by, by the screens there are. */
export type Reach = {
  /** The first gate by which anybody can meet it. */
  from: Gate
  /** How well it can be proven; `claimed` alone where there is nothing to prove. */
  rungs: readonly Rung[]
  /** It is valid from a day to a day. */
  lasts: boolean
}

const answered: Reach = { from: 'send', rungs: ['claimed'], lasts: false }
const afterSending: Reach = { ...answered, from: 'shortlist' }
const afterOffer: Reach = { ...answered, from: 'start' }
/** Its issuer can be asked. */
const issued: Reach = { from: 'send', rungs: ['claimed', 'evidenced', 'confirmed'], lasts: false }
/** A person looks at it, and there is nobody to ask. */
const looked: Reach = { from: 'send', rungs: ['claimed', 'evidenced'], lasts: false }

/** Which kinds can stand at which gate and rung: what is beyond it nobody can ever meet. */
export const reachOf: Record<Ask['kind'], Reach> = {
  answer: answered,
  declaration: answered,
  history: answered,
  experience: answered,
  permission: answered,
  vouching: answered,
  study: issued,
  credential: { ...issued, lasts: true },
  language: { ...issued, lasts: true },
  age: answered,
  'every work entry': issued,
  identity: { ...looked, lasts: true },
  document: looked,
  // An employer is asked, a check sat and a fee seen to arrive only once the application is in.
  reference: afterSending,
  'skills check': afterSending,
  fee: afterSending,
  'offer accepted': afterOffer,
  'source condition': answered,
  recipients: answered,
  'onboarding task': afterOffer,
}

/** Whether a document stands behind what is asked, and somebody may look at it. */
export const isProven = (kind: Ask['kind']) => reachOf[kind].rungs.length > 1

/** Nobody at the desk looks at anything, and nobody is asked, before it was sent. */
const rungsAt = (gate: Gate, rungs: readonly Rung[]) => (gate === 'send' ? rungs.slice(0, 1) : rungs)

/** The gates by which all of several asks can be met. */
export const gatesFor = (asks: readonly Ask[]): Gate[] =>
  gates.filter((gate) => asks.every(({ kind }) => gates.indexOf(gate) >= gates.indexOf(reachOf[kind].from)))

/** How well several asks can be proven by a gate; those that are never proven do not count. */
export function rungsFor(asks: readonly Ask[], gate: Gate): Rung[] {
  const proven = asks.filter(({ kind }) => isProven(kind))
  const all: readonly Rung[] = proven.length === 0 ? ['claimed'] : ['claimed', 'evidenced', 'confirmed']
  return all.filter((rung) => proven.every(({ kind }) => rungsAt(gate, reachOf[kind].rungs).includes(rung)))
}

/** Whether something that stands in for a time may be there: what is issued by somebody may be late. */
export const canBeInterim = (asks: readonly Ask[]) => asks.some(({ kind }) => kind === 'study' || kind === 'credential')

/** Whether there is a paper that somebody can vouch for. */
export const canBeCertified = (asks: readonly Ask[]) =>
  asks.some(({ kind }) => kind === 'study' || kind === 'credential' || kind === 'language' || kind === 'document')

/** Whether a day of validity can be asked for. */
export const canLast = (asks: readonly Ask[]) => asks.some(({ kind }) => reachOf[kind].lasts)

/**
 * The same requirement without what its asks cannot reach: the gate moves to the first that can be met, the rung to the
 * best that can, and what means nothing any more is left out. For a composer in which the kind of ask was changed.
 */
export function withinReach(requirement: Requirement): Requirement {
  const { paper, interim, certified, validStartPlusDays, ...plain } = requirement
  const asks = [requirement.asks, ...(requirement.alternatives ?? [])]
  const possible = gatesFor(asks)
  const gate = possible.includes(requirement.gate) ? requirement.gate : (possible[0] ?? requirement.gate)
  const rungs = rungsFor(asks, gate)
  const rung = rungs.includes(requirement.rung) ? requirement.rung : (rungs.at(-1) ?? 'claimed')
  return {
    ...plain,
    gate,
    rung,
    ...(paper && asks.some(({ kind }) => isProven(kind)) ? { paper } : {}),
    ...(certified && canBeCertified(asks) ? { certified } : {}),
    ...(interim && canBeInterim(asks) && (paper || rung !== 'claimed') ? { interim } : {}),
    ...(validStartPlusDays !== undefined && canLast(asks) ? { validStartPlusDays } : {}),
  }
}
