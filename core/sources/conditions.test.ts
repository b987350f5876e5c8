import fc from 'fast-check'
import { Temporal } from 'temporal-polyfill'
import { type FiledPaper, type PaperPart, paperParts } from '../documents/papers'
import {
  type ClaimForSource,
  conditionState,
  conditionsFor,
  daysInThePost,
  isHandedIn,
  isMeetable,
  paperFor,
} from './conditions'
import { conditionKinds, type SourceCondition } from './source'

const today = Temporal.PlainDate.from('2026-11-29')
const paper = (part: PaperPart, state: FiledPaper['state'] = 'to look at'): FiledPaper => ({
  ...{ id: `${part} ${state}`, part, pages: 1, translationOf: null, state },
})
const claim = (over: Partial<ClaimForSource> = {}): ClaimForSource => ({
  ...{ number: '', papers: [], posted: new Map() },
  ...over,
})
const posted = (part: PaperPart, days: number) => new Map([[part, today.subtract({ days })]])
const condition = (kind: SourceCondition['kind'], over: Partial<SourceCondition> = {}): SourceCondition => ({
  ...{ id: kind, kind, claims: [], reason: '' },
  ...over,
})

const table: [SourceCondition['kind'], Partial<ClaimForSource>, string][] = [
  ['number', {}, 'missing'],
  ['number', { number: '  ' }, 'missing'],
  ['number', { number: 'PL/2019' }, 'met'],
  ['own form', {}, 'missing'],
  ['own form', { papers: [paper('release form')] }, 'to look at'],
  ['own form', { papers: [paper('release form', 'seen')] }, 'met'],
  ['own form', { papers: [paper('release form', 'sent back')] }, 'sent back'],
  ['own form', { papers: [paper('release form', 'sent back'), paper('release form')] }, 'to look at'],
  ['own form', { papers: [paper('release form', 'replaced')] }, 'missing'],
  // Another paper, however well it was looked at, is no form; nor is our permission the source's own.
  ['own form', { papers: [paper('certificate', 'seen'), paper('signed permission', 'seen')] }, 'missing'],
  ['own form', { posted: posted('release form', 0) }, 'in the post'],
  ['own form', { posted: posted('release form', daysInThePost) }, 'in the post'],
  ['own form', { posted: posted('release form', daysInThePost + 1) }, 'not come'],
  ['own form', { posted: posted('signed permission', 1) }, 'missing'],
  ['own form', { posted: posted('release form', 1), papers: [paper('release form', 'sent back')] }, 'in the post'],
  ['signature', { papers: [paper('signed permission')] }, 'to look at'],
  ['fee', { papers: [paper('receipt of payment')] }, 'met'],
  ['fee', { papers: [paper('receipt of payment', 'sent back')] }, 'sent back'],
  ['copy of the paper', { papers: [paper('front')] }, 'met'],
  ['copy of the paper', { papers: [paper('release form', 'seen')] }, 'missing'],
  ['copy of the paper', { papers: [paper('translation', 'seen')] }, 'missing'],
  ['language', {}, 'met'],
  ['language', { language: 'pl' }, 'met'],
  ['language', { language: 'de' }, 'missing'],
  ['language', { language: 'de', papers: [paper('translation')] }, 'met'],
]
test.each(table)('%s with %j is %s', (kind, given, state) => {
  expect(conditionState({ kind, language: 'pl' }, claim(given), today)).toBe(state)
})

test('those that apply: by the kind of claim, once the form is here, and a number only of what bears one', () => {
  const all = [
    condition('signature', { claims: ['study'] }),
    condition('number'),
    condition('own form'),
    condition('own form', { id: 'here', form: { sha256: 'a', fileName: 'f.pdf', fill: {} } }),
  ]
  const meetable = all.filter(isMeetable)
  expect(conditionsFor('study', meetable).map(({ id }) => id)).toEqual(['signature', 'number', 'here'])
  expect(conditionsFor('work', meetable).map(({ id }) => id)).toEqual(['here'])
})

const papers = fc.array(
  fc.record({
    part: fc.constantFrom(...paperParts),
    state: fc.constantFrom('to look at', 'seen', 'sent back', 'replaced', 'discarded' as const),
  }),
  { maxLength: 5 },
)
const state = (kind: SourceCondition['kind'], given: Partial<ClaimForSource>) =>
  conditionState({ kind, language: 'pl' }, claim({ language: 'de', ...given }), today)

test('what nobody has to look at any more never counts, and one paper more never makes it worse', () => {
  fc.assert(
    fc.property(fc.constantFrom(...conditionKinds), papers, fc.string(), (kind, given, number) => {
      const filed = given.map(({ part, state: of }, nth) => ({ ...paper(part, of), id: String(nth) }))
      const gone = filed.filter(({ state: of }) => of === 'replaced' || of === 'discarded')
      expect(state(kind, { number, papers: gone })).toBe(state(kind, { number }))
      const part = paperFor[kind]
      if (!part || !isHandedIn(state(kind, { number, papers: filed }))) return
      expect(isHandedIn(state(kind, { number, papers: [...filed, paper(part)] }))).toBe(true)
      expect(state(kind, { number, papers: [...filed, paper(part, 'seen')] })).toBe('met')
    }),
  )
})
