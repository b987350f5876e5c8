import { credentialKinds, numberFits } from './catalogue'

test('every kind that says how it is numbered gives an example that fits', () => {
  for (const { key, number } of credentialKinds)
    if (number) expect([key, numberFits(key, number.example)]).toEqual([key, true])
})

test.each([
  ['hv-switching', 'GSB-2-57733', true],
  ['hv-switching', 'gsb-2-57733 ', true],
  ['hv-switching', 'GSB-9-57733', false],
  ['hv-switching', 'GSB-2-5773', false],
  ['work-at-height', 'HW-24-0590', true],
  ['work-at-height', 'HW-240590', false],
  ['first-aid', 'XFH-90112', false],
  ['first-aid', '', false],
  ['blasting', 'whatever it is', true],
  ['no such kind', '1', true],
])('%s %s: %s', (kind, number, fits) => expect(numberFits(kind, number)).toBe(fits))

test('every kind has a name of its own and a lead time', () => {
  expect(new Set(credentialKinds.map(({ name }) => name)).size).toBe(credentialKinds.length)
  for (const { leadDays } of credentialKinds) expect(leadDays).toBeGreaterThan(0)
})
