import { Temporal } from 'temporal-polyfill'
import { paperOf } from '../../test/papers'
import { fieldsOf } from '../comparison/fields'
import { letterParts, missingParts, readLetter } from './letter'
import { readFields } from './readFields'

const claimed = { name: 'Dario Benvenuti', position: 'Train driver', from: '2019-01-01' }
const hand = { page: 1, x: 0.55, y: 0.77, width: 0.27, height: 0.04 }
const stamp = { page: 1, x: 0.16, y: 0.75, width: 0.15, height: 0.11 }
const whole = [
  'KARWEN LINIE',
  'Zarowa',
  'We confirm that Dario Benvenuti',
  'has worked for us as Train driver',
  'from 1 Jan 2019 and still does.',
]

function found(lines: readonly string[], drawn = [hand]) {
  const paper = paperOf(lines, { drawn })
  const values = readFields(paper, fieldsOf('work', claimed), claimed, Temporal.PlainDate.from('2026-11-24'))
  return letterParts.filter((part) => readLetter(paper, values, ['Karwen Linie', 'Karwen Line'])[part])
}

test('a whole letter has all five parts', () => expect(found(whole)).toEqual([...letterParts]))

test.each([
  ['signature', whole, [stamp]],
  ['signature', whole, []],
  ['letterhead', whole.slice(1), [hand]],
  ['title', whole.map((line) => line.replace('as Train driver', 'well')), [hand]],
  ['first day', whole.map((line) => line.replace('from 1 Jan 2019', 'for years')), [hand]],
  ['last day', whole.map((line) => line.replace('and still does', '')), [hand]],
] as const)('a letter without its %s', (part, lines, drawn) =>
  expect(found(lines, [...drawn])).toEqual(letterParts.filter((one) => one !== part)),
)

test('a sentence that names the employer is no letterhead', () =>
  expect(found(['We, Karwen Linie, are pleased to confirm that he has worked here', ...whole.slice(1)])).not.toContain(
    'letterhead',
  ))

test('what a person found missing is what goes back', () =>
  expect(missingParts({ signature: 'missing', title: 'there', 'first day': 'missing' })).toEqual([
    'first day',
    'signature',
  ]))
