import fc from 'fast-check'
import { blotted } from './blot'

test.each([
  ['This is Zoë van der Berg again.', 'This is … … … … again.'],
  ['BERG here; write to zoe.berg@mail.example, please', '… here; write to … please'],
  ['Call +43 (512) 555-66 13 or 0512/5556613.', 'Call … or ….'],
  ['Born 1971-03-09; 12 years in 2 valleys, since 2012', 'Born …; 12 years in 2 valleys, since 2012'],
  ['An iceberg is no name of mine', 'An iceberg is no name of mine'],
])('%s', (text, without) => {
  expect(blotted(text, ['Zoë van der Berg'])).toBe(without)
})

test('no part of a name is left, wherever it stands', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom('Quix', 'quix', 'QUIX', 'a', 'fox')), (words) => {
      expect(blotted(words.join(' '), ['Ina Quix'])).not.toMatch(/quix/i)
    }),
  )
})
