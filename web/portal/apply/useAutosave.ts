import { useCallback, useEffect, useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import type { Draft } from '#contract/applications'
import type { Facts } from '#core/conditions/condition'
import { type AnswerFault, type Answers, type AnswerValue, factsOfAnswers } from '#core/form/answer'
import { answerFaultWords } from '#core/words/form'
import { api, type Problem } from '../../api'
import type { store } from '../../store'
import { adoptAnswers, keepAnswers } from '../keep'
import { openWindows, thisWindow } from '../thisWindow'
import { afterSaving, changed, same, settled, type Typed, toSave, valuesOf, without } from './unsavedAnswers'

export type Autosave = {
  /** An answer as it is typed, or else as it is saved. */
  answer: (key: string) => AnswerValue
  /** The same where it is plain text. */
  text: (key: string) => string
  /** What conditions can look at, as things are typed. */
  facts: Facts
  change: (key: string, value: AnswerValue) => void
  fault: (key: string) => string | undefined
  /** Answers changed in another place since: theirs, for the person to choose. */
  clashes: Record<string, AnswerValue>
  settle: (key: string, keep: 'mine' | 'theirs') => void
  state: 'saved' | 'waiting' | 'no connection' | 'refused'
  /** When anything of it was last saved. */
  savedAt: string
  problem?: Problem
  /** The version to send with; absent while something is not saved. */
  version: number | undefined
}

const pauseMs = 500
const retryMs = 4000

/**
 * Saves answers as they are typed: a small versioned patch after a short pause. What is not saved yet is kept on this
 * device and sent when it can be. Where another tab or device changed the same answer, both values are kept and shown.
 */
export function useAutosave(draft: Draft): Autosave {
  const dispatch = useDispatch<typeof store.dispatch>()
  const { id } = draft
  const [typed, setTyped] = useState<Typed>({})
  const [looked, setLooked] = useState(false)
  const [clashes, setClashes] = useState<Record<string, AnswerValue>>({})
  const [state, setState] = useState<Autosave['state']>('saved')
  const [faults, setFaults] = useState<Record<string, AnswerFault>>({})
  const [problem, setProblem] = useState<Problem>()
  const latest = useRef({ typed, version: draft.version, answers: draft.answers, clashes })
  latest.current = {
    typed,
    clashes,
    // Of what the server is known to hold the newest stands, its version and its answers together.
    ...(draft.version >= latest.current.version
      ? { version: draft.version, answers: draft.answers }
      : { version: latest.current.version, answers: latest.current.answers }),
  }
  const busy = useRef(false)

  // What an earlier window left unsaved comes first, beneath what is typed meanwhile.
  useEffect(() => {
    let gone = false
    void (async () => {
      const { waiting, older } = await adoptAnswers(id, thisWindow, await openWindows())
      if (gone) return
      setTyped((now) => ({ ...waiting, ...now }))
      setClashes((open) => ({ ...older, ...open }))
      if (Object.keys(waiting).length > 0) setState('waiting')
      setLooked(true)
    })()
    return () => {
      gone = true
    }
  }, [id])

  useEffect(() => {
    if (looked) void keepAnswers(id, thisWindow, typed)
  }, [id, typed, looked])

  const save = useCallback(async () => {
    const { typed: before, version, clashes: settling, answers: known } = latest.current
    const { changes, elsewhere, wrong } = toSave(draft.form, before, known, settling)
    if (Object.keys(elsewhere).length > 0) setClashes((open) => ({ ...elsewhere, ...open }))
    setFaults(wrong)
    if (busy.current) return
    if (Object.keys(changes).length === 0) {
      if (Object.keys(wrong).length > 0) setState('refused')
      return
    }
    busy.current = true
    setState('waiting')
    const result = (await dispatch(
      api.endpoints.saveAnswers.initiate({
        params: { id },
        body: { version, changes, section: Object.keys(changes)[0]!.split('.')[0]! },
      }),
    )) as {
      data?: { version: number; savedAt: string; answers: Answers; left: Draft['left'] }
      error?: Problem
    }
    busy.current = false
    setProblem(result.error)
    const learn = (news: Partial<Draft>) =>
      dispatch(
        api.util.updateQueryData('readDraft', { params: { id } }, (cached) => {
          Object.assign(cached, news)
          cached.takenOver = without(cached.takenOver, (key) => same(cached.answers[key], changes[key]))
        }),
      )
    if (result.data) {
      const { version: saved, answers, left, savedAt } = result.data
      Object.assign(latest.current, { version: saved, answers })
      learn({ version: saved, answers, left, savedAt })
      setState(Object.keys(wrong).length === 0 ? 'saved' : 'refused')
      setTyped((now) => afterSaving(now, changes, answers))
      return
    }
    if (result.error?.code === 'changed-meanwhile') {
      const { answers } = result.error.current as { answers: Answers }
      const now = Number(result.error.version)
      Object.assign(latest.current, { version: now, answers })
      learn({ version: now, answers })
      setTimeout(() => void save(), 0)
      return
    }
    setState(result.error?.code === 'no-connection' ? 'no connection' : 'refused')
  }, [dispatch, id, draft.form])

  useEffect(() => {
    const open = Object.keys(typed).some((key) => !(key in clashes) && !(key in faults))
    if (open && (state !== 'refused' || !problem)) {
      const timer = setTimeout(() => void save(), state === 'no connection' ? retryMs : pauseMs)
      return () => clearTimeout(timer)
    }
  }, [typed, clashes, faults, problem, save, state])

  const saveNow = useRef(save)
  saveNow.current = save
  useEffect(() => {
    const online = () => void saveNow.current()
    window.addEventListener('online', online)
    return () => {
      window.removeEventListener('online', online)
      void saveNow.current()
    }
  }, [])

  // What was saved a moment ago stands here before the draft has been drawn anew with it: nothing is empty in between.
  const known = latest.current.answers
  const answer = (key: string) => typed[key]?.value ?? known[key] ?? ''
  return {
    answer,
    text: (key) => {
      const value = answer(key)
      return typeof value === 'string' ? value : ''
    },
    facts: {
      ...(draft.fileFacts as Facts),
      ...factsOfAnswers(draft.form, { ...known, ...valuesOf(typed) }),
    },
    change: (key, value) => {
      setTyped((before) => changed(before, key, value, latest.current.answers))
      setFaults(({ [key]: _looked, ...others }) => others)
      setState('waiting')
    },
    fault: (key) =>
      key in typed && key in faults
        ? answerFaultWords(faults[key]!)
        : key in typed
          ? problem?.faults?.find(({ pointer }) => pointer === `/body/changes/${key}`)?.message
          : undefined,
    clashes,
    settle: (key, keep) => {
      const theirs = latest.current.answers[key] ?? ''
      setClashes(({ [key]: _settled, ...others }) => others)
      setTyped((before) => settled(before, key, { keep, clash: clashes[key] ?? '', theirs }))
    },
    state,
    savedAt: draft.savedAt,
    problem,
    version: Object.keys(typed).length === 0 && looked ? latest.current.version : undefined,
  }
}
