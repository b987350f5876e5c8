import { evaluate } from '../requirements/evaluate'
import { type FileFacts, type Gate, gates, type Outcome, type Requirement } from '../requirements/requirement'

/** How one requirement comes out for one application before and after a change of rules; `absent` where it is not asked. */
export type Change = {
  requirement: string
  title: string
  gate: Gate
  before: Outcome['state'] | 'absent'
  after: Outcome['state'] | 'absent'
  /** The gate it stood at before, where that is another. */
  movedFrom?: Gate
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

/**
 * What a change of rules does to one application. Both lists are empty where it makes no difference to it.
 *
 * @param unchanged keys of requirements that are word for word the same on both sides, where the file is the same too:
 *   they are judged once. See `unchangedKeys`
 */
export function effectOf(before: Judged, after: Judged, unchanged: ReadonlySet<string> = new Set()): Effect {
  const asked = after.requirements.filter(({ key }) => !unchanged.has(key))
  const { old, changed } = outcomesOf(before, asked, after.file)
  const now = [...old.filter(({ requirement }) => unchanged.has(requirement)), ...changed]
  const byKey = (outcomes: readonly Outcome[]) => new Map(outcomes.map((outcome) => [outcome.requirement, outcome]))
  const [olds, nows] = [byKey(old), byKey(now)]
  const keys = [...new Set([...olds.keys(), ...nows.keys()])]
  const changes = keys.flatMap((key): Change[] => {
    const [was, is] = [olds.get(key), nows.get(key)]
    const states = { before: was?.state ?? ('absent' as const), after: is?.state ?? ('absent' as const) }
    const gate = (is ?? was)!.gate
    const moved = was !== undefined && is !== undefined && was.gate !== is.gate
    if (states.before === states.after && !moved) return []
    const [shutBefore, shutAfter] = [isShut(states.before), isShut(states.after)]
    const effect = shutAfter && (!shutBefore || moved) ? 'gains' : shutBefore && !shutAfter ? 'loses' : 'other'
    return [
      {
        requirement: key,
        title: (is ?? was)!.title,
        gate,
        ...states,
        ...(moved ? { movedFrom: was.gate } : {}),
        effect,
      },
    ]
  })
  const [shutBefore, shutAfter] = [firstShut(old), firstShut(now)]
  return {
    changes,
    gates: gates.flatMap((gate, index) => {
      const [was, is] = [index >= shutBefore ? 'shut' : 'open', index >= shutAfter ? 'shut' : 'open'] as const
      return was === is ? [] : [{ gate, before: was, after: is }]
    }),
  }
}

/** Both sides, in one go where they look at the same file. */
function outcomesOf({ requirements, file }: Judged, asked: readonly Requirement[], fileAfter: FileFacts) {
  if (file !== fileAfter) return { old: evaluate(requirements, file), changed: evaluate(asked, fileAfter) }
  const all = evaluate([...requirements, ...asked], file)
  return { old: all.slice(0, requirements.length), changed: all.slice(requirements.length) }
}

/** The place of the first gate that is shut; the gates after it are shut as well. */
const firstShut = (outcomes: readonly Outcome[]): number =>
  outcomes.reduce(
    (first, { state, gate }) => (isShut(state) ? Math.min(first, gates.indexOf(gate)) : first),
    Number.POSITIVE_INFINITY,
  )

/** The keys of requirements that two versions ask for in the very same way. */
export function unchangedKeys(before: readonly Requirement[], after: readonly Requirement[]): Set<string> {
  const written = new Map(before.map((requirement) => [requirement.key, JSON.stringify(requirement)]))
  return new Set(
    after.filter((requirement) => written.get(requirement.key) === JSON.stringify(requirement)).map(({ key }) => key),
  )
}

const isShut = (state: Change['before']) => state === 'unmet' || state === 'undecided'
