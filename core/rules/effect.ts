import { evaluate, openAt } from '../requirements/evaluate'
import { type FileFacts, type Gate, gates, type Outcome, type Requirement } from '../requirements/requirement'

/** How one requirement comes out for one application before and after a change of rules; `absent` where it is not asked. */
export type Change = {
  requirement: string
  title: string
  gate: Gate
  before: Outcome['state'] | 'absent'
  after: Outcome['state'] | 'absent'
  /** Whether it newly keeps its gate shut, no longer does, or neither. */
  effect: 'gains' | 'loses' | 'other'
}

export type Effect = {
  changes: Change[]
  /** Gates that were shut and open, or the other way round. */
  gates: { gate: Gate; before: 'open' | 'shut'; after: 'open' | 'shut' }[]
}

/** What is required, and the file as the form that goes with it reads the answers. */
export type Judged = { requirements: readonly Requirement[]; file: FileFacts }

/** What a change of rules does to one application. Both empty where it makes no difference to it. */
export function effectOf(before: Judged, after: Judged): Effect {
  const [old, now] = [evaluate(before.requirements, before.file), evaluate(after.requirements, after.file)]
  const byKey = (outcomes: readonly Outcome[]) => new Map(outcomes.map((outcome) => [outcome.requirement, outcome]))
  const [olds, nows] = [byKey(old), byKey(now)]
  const keys = [...new Set([...olds.keys(), ...nows.keys()])]
  const changes = keys.flatMap((key): Change[] => {
    const [was, is] = [olds.get(key), nows.get(key)]
    const states = { before: was?.state ?? ('absent' as const), after: is?.state ?? ('absent' as const) }
    const gate = (is ?? was)!.gate
    if (states.before === states.after && was?.gate === is?.gate) return []
    const [shutBefore, shutAfter] = [isShut(states.before), isShut(states.after)]
    const effect = shutAfter && !shutBefore ? 'gains' : shutBefore && !shutAfter ? 'loses' : 'other'
    return [{ requirement: key, title: (is ?? was)!.title, gate, ...states, effect }]
  })
  const shut = (outcomes: readonly Outcome[], gate: Gate) => (openAt(outcomes, gate).length > 0 ? 'shut' : 'open')
  return {
    changes,
    gates: gates.flatMap((gate) => {
      const [was, is] = [shut(old, gate), shut(now, gate)] as const
      return was === is ? [] : [{ gate, before: was, after: is } as const]
    }),
  }
}

const isShut = (state: Change['before']) => state === 'unmet' || state === 'undecided'
