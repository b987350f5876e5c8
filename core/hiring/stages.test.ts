import { gates } from '../requirements/requirement'
import {
  activeStages,
  hasEnded,
  isActive,
  isDraft,
  isSent,
  isUndecided,
  mayGo,
  nextGateOf,
  type Stage,
  stageAfter,
  stages,
  type Transition,
} from './stages'

const ways = [
  'send',
  'shortlist',
  'offer',
  'start',
  'decline',
  'withdraw offer',
  'turn down',
  'set aside',
  'take up again, sent',
  'take up again, shortlisted',
  'withdraw',
  'begin again',
] as const satisfies readonly Transition[]

test.each<[Stage, string]>([
  ['being written', 'draft'],
  ['sent', 'active undecided'],
  ['shortlisted', 'active'],
  ['offered', 'active'],
  ['cleared', ''],
  ['withdrawn', 'ended'],
  ['declined', 'ended'],
  ['turned down', 'ended'],
  ['set aside', 'ended'],
])('%s is %s', (stage, what) => {
  const told = [
    isDraft({ stage }) ? 'draft' : '',
    isActive({ stage }) ? 'active' : '',
    isUndecided({ stage }) ? 'undecided' : '',
    hasEnded({ stage }) ? 'ended' : '',
  ]
  expect(told.filter(Boolean).join(' ')).toBe(what)
  expect(isSent({ stage })).toBe(stage !== 'being written')
})

test('each gate is passed from the stage that stands before it, and by no other way', () => {
  for (const gate of gates) {
    const from = stages.filter((stage) => mayGo(gate, { stage }))
    expect(from.map((stage) => nextGateOf({ stage }))).toEqual([gate])
  }
  expect(gates.map((gate) => stageAfter(gate))).toEqual(['sent', 'shortlisted', 'offered', 'cleared'])
})

test('whoever is not cleared has a way on: no stage is a dead end but that of being hired, or of saying no to an offer', () => {
  const stuck = stages.filter((stage) => ways.every((way) => !mayGo(way, { stage })))
  expect(stuck).toEqual(['cleared', 'declined'])
})

test('every stage is reached from a draft', () => {
  const reached = new Set<Stage>(['being written'])
  for (let before = 0; before < reached.size; ) {
    before = reached.size
    for (const way of ways) if ([...reached].some((stage) => mayGo(way, { stage }))) reached.add(stageAfter(way))
  }
  expect([...reached].sort()).toEqual([...stages].sort())
})

test('the desk works on what is sent, shortlisted or offered', () => {
  expect(activeStages).toEqual(['sent', 'shortlisted', 'offered'])
})
