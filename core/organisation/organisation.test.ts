import { contrastOf, leastContrast, onMast } from './contrast'
import { textIn, unnamedOrganisation } from './organisation'

test('contrast is that of WCAG: black on white 21, a colour on itself 1, and either way round', () => {
  expect(contrastOf('#000000', '#ffffff')).toBeCloseTo(21, 5)
  expect(contrastOf('#777777', '#ffffff')).toBeCloseTo(4.48, 2)
  expect(contrastOf('#123456', '#123456')).toBe(1)
  expect(contrastOf('#2c6a94', '#ffffff')).toBe(contrastOf('#ffffff', '#2c6a94'))
})

test('the masthead nobody has chosen a colour for can be read', () => {
  expect(contrastOf(unnamedOrganisation.accent, onMast)).toBeGreaterThan(leastContrast)
})

test('a text that is missing in a language is said in the usual one, and not at all where there is none', () => {
  expect(textIn({ de: 'Servus' }, 'de', ['en', 'de'])).toBe('Servus')
  expect(textIn({ en: 'Hello' }, 'de', ['en', 'de'])).toBe('Hello')
  expect(textIn({ de: 'Servus' }, 'en', ['de'])).toBe('Servus')
  expect(textIn({}, 'en', [])).toBe('')
})
