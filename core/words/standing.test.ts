import { restrictionTerms } from '../validity/validity'
import { standingSentence } from './comparison'
import { termsWords } from './standing'

test('terms are said in words, and what a body wrote as it wrote it', () => {
  expect(termsWords({ terms: ['supervised', 'not at night'], termsSaid: 'up to 30 kV' })).toBe(
    'only under supervision, not at night, up to 30 kV',
  )
  expect(termsWords({ termsSaid: 'lift 4 only' })).toBe('lift 4 only')
  expect(termsWords({})).toBe('')
})

test('every agreed term has words of its own', () => {
  const words = restrictionTerms.map((term) => termsWords({ terms: [term] }))
  expect(new Set(words).size).toBe(restrictionTerms.length)
})

test('the sentence about a standing ends with its terms, where it has any', () => {
  const restricted = { state: 'restricted' as const, from: '2026-10-01', through: '2027-03-30' }
  expect(standingSentence(restricted)).toBe(
    'Its issuer says that it is restricted from 1 Oct 2026 through 30 Mar 2027.',
  )
  expect(standingSentence({ ...restricted, terms: ['not alone'] })).toBe(
    'Its issuer says that it is restricted from 1 Oct 2026 through 30 Mar 2027. Terms: not alone.',
  )
  expect(standingSentence({ state: 'good', terms: ['not alone'] })).toBe('')
})
