import { useCallback, useEffect, useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import type { Draft } from '#contract/applications'
import type { Facts } from '#core/conditions/condition'
import { type AnswerFault, type Answers, type AnswerValue, factsOfAnswers, faultOf } from '#core/form/answer'
import { type Form, questionsOf } from '#core/form/form'
import { answerFaultWords } from '#core/words/form'
import { api, type Problem } from '../../api'
import type { store } from '../../store'

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
  problem?: Problem
  /** The version to send with; absent while something is not saved. */
  version: number | undefined
}

const same = (a: AnswerValue | undefined, b: AnswerValue | undefined) =>
  JSON.stringify(a ?? '') === JSON.stringify(b ?? '')

/** What is wrong with answers as they are typed, by their keys. */
function faultsIn(form: Form, typed: Answers): Record<string, AnswerFault> {
  const questions = new Map(questionsOf(form).map((question) => [question.key, question]))
  return Object.fromEntries(
    Object.entries(typed).flatMap(([key, answer]) => {
      const question = questions.get(key)
      const fault = question && faultOf(question, answer)
      return fault ? [[key, fault]] : []
    }),
  )
}

const pauseMs = 500
const retryMs = 4000
const keptUnder = (id: string) => `probatum-answers-${id}`

/**
 * Saves answers as they are typed: a small versioned patch after a short pause. What is not saved yet is kept on this
 * device and sent when it can be. Where another tab or device changed the same answer, both values are kept and shown.
 */
export function useAutosave(draft: Draft): Autosave {
  const dispatch = useDispatch<typeof store.dispatch>()
  const { id } = draft
  const [typed, setTyped] = useState<Record<string, AnswerValue>>(
    () => JSON.parse(localStorage.getItem(keptUnder(id)) ?? '{}') as Record<string, AnswerValue>,
  )
  const [clashes, setClashes] = useState<Record<string, AnswerValue>>({})
  const [state, setState] = useState<Autosave['state']>(Object.keys(typed).length > 0 ? 'waiting' : 'saved')
  const [faults, setFaults] = useState<Record<string, AnswerFault>>({})
  const [problem, setProblem] = useState<Problem>()
  const latest = useRef({ typed, version: draft.version, answers: draft.answers, clashes })
  latest.current = {
    ...latest.current,
    typed,
    clashes,
    version: Math.max(latest.current.version, draft.version),
    answers: draft.answers,
  }
  const busy = useRef(false)

  useEffect(() => {
    if (Object.keys(typed).length === 0) localStorage.removeItem(keptUnder(id))
    else localStorage.setItem(keptUnder(id), JSON.stringify(typed))
  }, [id, typed])

  const save = useCallback(async () => {
    const { typed: before, version, clashes: open } = latest.current
    // What cannot be kept as it is stays here, and holds nothing else up.
    const wrong = faultsIn(draft.form, before)
    setFaults(wrong)
    const changes = Object.fromEntries(Object.entries(before).filter(([key]) => !(key in open) && !(key in wrong)))
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
    if (result.data) {
      const { version: saved, answers, left, savedAt } = result.data
      latest.current.version = saved
      dispatch(
        api.util.updateQueryData(
          'readDraft',
          { params: { id } },
          (cached) => void Object.assign(cached, { version: saved, answers, left, savedAt }),
        ),
      )
      if (Object.keys(wrong).length === 0) setState('saved')
      else setState('refused')
      setTyped((now) => Object.fromEntries(Object.entries(now).filter(([key, value]) => !same(changes[key], value))))
      return
    }
    if (result.error?.code === 'changed-meanwhile') {
      const theirs = (result.error.current as { answers: Answers }).answers
      const now = Number(result.error.version)
      const differing = Object.keys(changes).filter(
        (key) => !same(theirs[key], changes[key]) && !same(theirs[key], latest.current.answers[key]),
      )
      latest.current.version = now
      dispatch(
        api.util.updateQueryData(
          'readDraft',
          { params: { id } },
          (cached) => void Object.assign(cached, { version: now, answers: theirs }),
        ),
      )
      setClashes((open) => ({ ...open, ...Object.fromEntries(differing.map((key) => [key, theirs[key] ?? ''])) }))
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

  useEffect(() => {
    const online = () => void save()
    window.addEventListener('online', online)
    return () => {
      window.removeEventListener('online', online)
      void save()
    }
  }, [save])

  const answer = (key: string) => typed[key] ?? draft.answers[key] ?? ''
  return {
    answer,
    text: (key) => {
      const value = answer(key)
      return typeof value === 'string' ? value : ''
    },
    facts: {
      ...(draft.fileFacts as Facts),
      ...factsOfAnswers(draft.form, { ...draft.answers, ...typed }),
    },
    change: (key, value) => {
      setTyped((before) => ({ ...before, [key]: value }))
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
      setClashes(({ [key]: _settled, ...others }) => others)
      if (keep === 'theirs') setTyped(({ [key]: _mine, ...others }) => others)
    },
    state,
    problem,
    version: Object.keys(typed).length === 0 ? latest.current.version : undefined,
  }
}
