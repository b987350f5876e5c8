import { useCallback, useEffect, useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import type { RulesDraft } from '#contract/rules'
import type { RulesFault } from '#core/rules/faults'
import type { Rules } from '#core/rules/rules'
import { api, type Problem } from '../../api'
import type { store } from '../../store'
import { useAgain } from '../../useAgain'

export type RulesEditing = {
  rules: Rules
  change: (next: Rules) => void
  undo: (() => void) | undefined
  faults: RulesFault[]
  changed: boolean
  version: number
  state: 'saved' | 'waiting' | 'refused'
  problem?: Problem
  /** Somebody else has edited them meanwhile: to put what is here in the place of it, or to let it go. */
  clash: { keep: () => void; take: () => void } | undefined
}

const pauseMs = 600
const mostUndo = 50

/** The rules of a vacancy as they are edited: kept here, saved by themselves after a pause, and undone step by step. */
export function useRules(id: string, draft: RulesDraft, mayEdit: boolean): RulesEditing {
  const dispatch = useDispatch<typeof store.dispatch>()
  const [rules, setRules] = useState<Rules>(draft.rules)
  const [past, setPast] = useState<Rules[]>([])
  const [saved, setSaved] = useState({ faults: draft.faults, changed: draft.changed, version: draft.version })
  const [state, setState] = useState<RulesEditing['state']>('saved')
  const [problem, setProblem] = useState<Problem>()
  const version = useRef(draft.version)
  const latest = useRef(rules)
  latest.current = rules
  const busy = useRef(false)

  const adopt = useCallback((next: RulesDraft) => {
    version.current = next.version
    setRules(next.rules)
    setPast([])
    setSaved({ faults: next.faults, changed: next.changed, version: next.version })
    setState('saved')
  }, [])
  const unsaved = useRef(false)
  unsaved.current = state !== 'saved'

  // Another version has come in from elsewhere (an import, a publication): what is shown follows it. What is not saved yet
  // is never replaced unasked; saving it brings the question.
  useEffect(() => {
    if (unsaved.current || draft.version === version.current) return
    if (draft.version < version.current && draft.version !== 0) return
    adopt(draft)
  }, [draft, adopt])

  const save = useCallback(async () => {
    if (busy.current) return
    busy.current = true
    const sent = latest.current
    const result = (await dispatch(
      api.endpoints.saveRulesDraft.initiate({ params: { id }, body: { version: version.current, rules: sent } }),
    )) as { data?: { version: number; faults: RulesFault[]; changed: boolean }; error?: Problem }
    busy.current = false
    setProblem(result.error)
    if (!result.data) return setState('refused')
    version.current = result.data.version
    setSaved(result.data)
    dispatch(
      api.util.updateQueryData('readDeskVacancy', { params: { id } }, (cached) => {
        Object.assign(cached.draft, { ...result.data, rules: sent, savedAt: new Date().toISOString() })
        if (cached.dryRun) cached.dryRun.outdated = true
      }),
    )
    if (latest.current === sent) setState('saved')
    else setTimeout(() => void save(), 0)
  }, [dispatch, id])

  useAgain(problem, () => void save())

  // biome-ignore lint/correctness/useExhaustiveDependencies: each change begins the pause anew
  useEffect(() => {
    if (state !== 'waiting') return
    const timer = setTimeout(() => void save(), pauseMs)
    return () => clearTimeout(timer)
  }, [state, save, rules])

  const put = (next: Rules) => {
    if (!mayEdit) return
    setRules(next)
    setState('waiting')
  }
  const before = past.at(-1)
  const theirs = problem?.code === 'changed-meanwhile' ? Number(problem.version) : undefined
  return {
    rules,
    change: (next) => {
      setPast([...past, rules].slice(-mostUndo))
      put(next)
    },
    undo:
      before &&
      (() => {
        setPast(past.slice(0, -1))
        put(before)
      }),
    ...saved,
    state,
    problem,
    clash:
      theirs === undefined
        ? undefined
        : {
            keep: () => {
              version.current = theirs
              void save()
            },
            take: () => {
              setProblem(undefined)
              setState('saved')
              if (draft.version > version.current) adopt(draft)
              else dispatch(api.util.invalidateTags(['rules']))
            },
          },
  }
}
