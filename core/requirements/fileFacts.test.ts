import { Temporal } from 'temporal-polyfill'
import { anEmptyFile } from '../../test/requirements'
import { partialDate } from '../dates/partialDate'
import { factsOfFile } from './fileFacts'
import type { ClaimFacts, FileFacts } from './requirement'

const claim = (kind: ClaimFacts['kind'], over: Partial<ClaimFacts> = {}): ClaimFacts => ({
  ...{ id: `${kind} ${over.field ?? over.credential ?? ''}`, kind, label: '', rung: 'claimed', paper: 'none' },
  enquiry: 'none',
  ...over,
})
const job = (from: string, to: string, tags: string[], over: Partial<ClaimFacts> = {}) =>
  claim('work', {
    entry: { id: from, from: partialDate(from), to: to === 'present' ? to : partialDate(to), tags },
    ...over,
  })
const facts = (claims: ClaimFacts[], skills: FileFacts['skills'] = []) =>
  factsOfFile(anEmptyFile({ claims, skills, today: Temporal.PlainDate.from('2026-11-28') }))

test('a file with nothing in it has no level, no fields and no months', () =>
  expect(facts([])).toEqual({
    'file.studyLevel': 0,
    'file.studyFields': [],
    'file.accreditedFields': [],
    'file.credentials': [],
    'file.workMonths': 0,
    'file.workTags': [],
    'file.checksPassed': [],
  }))

test('the highest level counts, and each field once', () => {
  const found = facts([
    claim('study', { level: 6, field: '0713' }),
    claim('study', { level: 7, field: '0713', accredited: true }),
    claim('study', { level: 3, field: '1041', accredited: false }),
    claim('study', {}),
    // A level that is not a study's is not one of study.
    claim('licence', { level: 8, field: '9999', credential: 'rope-access' }),
  ])
  expect(found).toMatchObject({
    'file.studyLevel': 7,
    'file.studyFields': ['0713', '1041'],
    'file.accreditedFields': ['0713'],
    'file.credentials': ['rope-access'],
  })
})

test('what was contradicted counts for nothing, and what was before only once it is confirmed', () => {
  expect(facts([claim('study', { level: 7, rung: 'contradicted' })])['file.studyLevel']).toBe(0)
  expect(facts([claim('study', { level: 7, contradictedBefore: true })])['file.studyLevel']).toBe(0)
  expect(facts([claim('study', { level: 7, contradictedBefore: true, rung: 'waived' })])['file.studyLevel']).toBe(0)
  expect(facts([claim('study', { level: 7, contradictedBefore: true, rung: 'confirmed' })])['file.studyLevel']).toBe(7)
  expect(facts([claim('study', { level: 7, rung: 'unconfirmable' })])['file.studyLevel']).toBe(7)
})

test('months are of work, employed or on one’s own, and of nothing else', () => {
  expect(
    facts([
      job('2021-01-01', '2021-12-31', ['employment', 'ropes']),
      job('2022-01-01', '2022-06-30', ['self-employment', 'ropes', 'lifts']),
      job('2023-01-01', '2023-12-31', ['care']),
      claim('residence', { entry: { id: 'home', from: partialDate('2010'), to: 'present', tags: ['employment'] } }),
      claim('work', {}),
    ]),
  ).toMatchObject({
    'file.workMonths': 18,
    'file.workTags': ['employment', 'ropes', 'self-employment', 'lifts'],
  })
})

test('where days are not known there are the least and the most months it can be', () =>
  expect(facts([job('2021-01', '2021-03', ['employment'])])['file.workMonths']).toEqual({ least: 1, most: 3 }))

test('a check that was passed stands once, one that was not does not', () =>
  expect(
    facts(
      [],
      [
        { check: 'isolation', state: 'marked', passed: false },
        { check: 'isolation', state: 'marked', passed: true },
        { check: 'isolation', state: 'marked', passed: true },
        { check: 'radio', state: 'under way' },
      ],
    )['file.checksPassed'],
  ).toEqual(['isolation']))
