import type { ClaimFacts, Outcome, Requirement, Step } from '../requirements/requirement'
import { kaplanMeier } from '../turnaround/kaplanMeier'
import { type ClaimTimes, chainsOf, type Times } from './chains'

const [upload, look, ask, reply, compare]: Step[] = [
  { who: 'candidate', what: 'upload' },
  { who: 'desk', what: 'look' },
  { who: 'desk', what: 'ask' },
  { who: 'source', what: 'reply' },
  { who: 'desk', what: 'compare' },
] as const
const outcome = (requirement: string, steps: Step[], more: Partial<Outcome> = {}): Outcome => ({
  ...{ requirement, title: requirement, gate: 'offer', state: steps.length > 0 ? 'unmet' : 'met', steps, claims: [] },
  reason: { code: 'nothing-claimed' },
  ...more,
})
const curve = kaplanMeier([5, 9, 20].map((days) => ({ days, ended: true })))
const quicker = kaplanMeier([{ days: 2, ended: true }])
const none = kaplanMeier([{ days: 4, ended: false }])
const times = (claims: Record<string, ClaimTimes> = {}, ours: Times['ours'] = {}): Times => ({
  ...{ calendar: 'ours', ours, claims: new Map(Object.entries(claims)) },
})
const chains = (outcomes: Outcome[], known = times(), requirements: Requirement[] = [], claims: ClaimFacts[] = []) =>
  chainsOf({ outcomes, requirements, claims }, known)

test('what is met has no steps; of one that is open each takes as long as is assumed, without anything measured', () => {
  const made = chains([outcome('met', []), outcome('paper', [upload, look])])
  expect(made).toEqual([
    {
      requirement: 'paper',
      after: [],
      tasks: [
        {
          ...{ work: 'paper upload 1', step: upload, calendar: 'ours' },
          took: { kind: 'assumed', early: 1, likely: 4, late: 10, waited: 0 },
        },
        {
          ...{ work: 'paper look 1', step: look, calendar: 'ours' },
          took: { kind: 'assumed', early: 0, likely: 1, late: 3, waited: 0 },
        },
      ],
    },
  ])
})

describe('of a claim whose source has been measured', () => {
  const known = (waited: number) =>
    times(
      { c1: { waited: 3, reply: { curve, waited, calendar: 'theirs', byTelephone: quicker } } },
      { compare: quicker },
    )

  test('an open question goes on from the days it has lasted, and could be put by telephone', () => {
    const [chain] = chains([outcome('degree', [reply, compare], { claims: ['c1'] })], known(12))
    expect(chain!.claim).toBe('c1')
    expect(chain!.tasks.map(({ took }) => took)).toEqual([
      { kind: 'measured', curve, in: 'days', waited: 12 },
      { kind: 'measured', curve: quicker, in: 'working days', waited: 0 },
    ])
    expect(chain!.tasks[0]).toMatchObject({
      calendar: 'theirs',
      instead: { how: 'telephone', took: { curve: quicker, waited: 0 } },
    })
  })

  test('one that is to be asked begins at its beginning, and only the next step has waited', () => {
    const [chain] = chains([outcome('degree', [look, ask, reply], { claims: ['c1'] })], known(12))
    expect(chain!.tasks.map(({ took }) => took.waited)).toEqual([3, 0, 0])
  })

  test('a source of which nothing has ended says nothing: the usual time is assumed', () => {
    const [chain] = chains(
      [outcome('degree', [reply], { claims: ['c1'] })],
      times({ c1: { waited: 0, reply: { curve: none, waited: 4, calendar: 'theirs' } } }),
    )
    expect(chain!.tasks[0]).toMatchObject({ calendar: 'ours', took: { kind: 'assumed', likely: 8 } })
  })
})

test('the same work for two requirements bears one name, and a second time of it another', () => {
  const [degree, level] = chains([
    outcome('degree', [look, ask], { claims: ['c1'] }),
    outcome('level', [look, upload, look], { claims: ['c1'] }),
  ])
  expect(degree!.tasks[0]!.work).toBe(level!.tasks[0]!.work)
  expect(level!.tasks[2]!.work).toBe('c1 look 2')
})

test('an offer waits for all up to it, what follows it for the offer, and one that is made for nothing but its answer', () => {
  const sign: Step = { who: 'candidate', what: 'sign' }
  const task = outcome('key', [{ who: 'candidate', what: 'do task' }], { gate: 'start', reason: { code: 'task-open' } })
  const offer = (code: 'no-offer' | 'offer-open') =>
    outcome('offer', [...(code === 'no-offer' ? [look] : []), sign], { gate: 'start', reason: { code } })
  const [degree, medical] = [outcome('degree', [look]), outcome('medical', [look], { gate: 'start' })]
  expect(
    chains([task, offer('no-offer'), degree, medical]).map(({ requirement, after }) => [requirement, after]),
  ).toEqual([
    ...[
      ['degree', []],
      ['medical', []],
    ],
    ...[
      ['offer', [0]],
      ['key', [2]],
    ],
  ])
  expect(chains([task, offer('offer-open'), degree]).map(({ after }) => after)).toEqual([[], [], [1]])
})

test('where every job is asked for, each open one is a chain of its own, however many steps the longest has', () => {
  const every: Requirement = {
    ...{ key: 'work', title: 'Work', why: '', gate: 'offer', rung: 'confirmed', waivableBy: [] },
    asks: { kind: 'every work entry' },
  }
  const job = (id: string, more: Partial<ClaimFacts>): ClaimFacts => ({
    ...{ id, kind: 'work', label: id, rung: 'evidenced', paper: 'seen', enquiry: 'none' },
    ...more,
  })
  const made = chains(
    [outcome('work', [ask, reply, compare], { claims: ['a', 'b'] })],
    times(),
    [every],
    [job('a', {}), job('b', { rung: 'asked', enquiry: 'open' })],
  )
  expect(made.map(({ claim, tasks }) => [claim, tasks.map(({ step }) => step.what)])).toEqual([
    ['a', ['ask', 'reply', 'compare']],
    ['b', ['reply', 'compare']],
  ])
})

test('where something else does instead of every job and is nearer, its steps are the chain', () => {
  const every: Requirement = {
    ...{ key: 'work', title: 'Work', why: '', gate: 'offer', rung: 'confirmed', waivableBy: [] },
    ...{ asks: { kind: 'every work entry' }, alternatives: [{ kind: 'skills check', check: 'isolation' }] },
  }
  const sit = { who: 'candidate', what: 'sit check' } as const
  const made = chains([outcome('work', [sit], { claims: [] })], times(), [every], [])
  expect(made.map(({ requirement, tasks }) => [requirement, tasks.map(({ step }) => step.what)])).toEqual([
    ['work', ['sit check']],
  ])
})
