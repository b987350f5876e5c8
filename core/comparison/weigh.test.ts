import fc from 'fast-check'
import { compareClaim, type Field } from './compareClaim'
import { fieldsOf } from './fields'
import { type Proposal, proposeDecision } from './proposeDecision'
import { isMostlyAgreed } from './weigh'

const claimed = {
  ...{
    name: 'Ada Grau',
    award: 'MSc',
    subject: 'Railways',
    number: 'TB-2018-9034',
    awarded: '2018-03-09',
    born: '1990-08-21',
  },
}
const fields: readonly Field[] = fieldsOf('study', claimed)
type Key = keyof typeof claimed
const keys = Object.keys(claimed) as Key[]

const propose = (reply: Record<string, string | { cannotSay: true }>) => {
  const { outcome, weighing } = compareClaim(fields, claimed, undefined, reply)
  return proposeDecision({ outcome, weighing: weighing!, known: true, against: undefined })
}

test('numbers and names weigh most; what nothing is said of is not counted', () => {
  const { weighing } = compareClaim(fields, claimed, undefined, {
    ...claimed,
    number: 'TB-2018-9O34',
    born: { cannotSay: true },
  })
  expect(weighing).toMatchObject({ agreed: 11.5, of: 13, unsaid: 2 })
  expect(weighing?.lines.find(({ key }) => key === 'number')).toEqual({
    key: 'number',
    verdict: 'close',
    weight: 3,
    points: 1.5,
  })
})

test.each<[Proposal, Record<string, string | { cannotSay: true }>]>([
  ['confirmed', claimed],
  ['confirmed with a note', { ...claimed, number: 'TB-2018-9O34' }],
  ['contradicted', { ...claimed, award: 'BSc' }],
  ['ask again', { name: 'A. Grau', number: { cannotSay: true } }],
  ['ask again', { name: claimed.name }],
])('proposes: %s', (proposal, reply) => expect(propose(reply)).toBe(proposal))

const ranks: readonly (Proposal | undefined)[] = ['contradicted', 'ask again', 'confirmed with a note', 'confirmed']
const answer: Record<Key, readonly string[]> = {
  name: ['Ada Grau', 'GRAU Ada', 'A. Grau', 'Otto Blau'],
  award: ['MSc', 'Master of Science', 'BSc'],
  subject: ['Railways', 'railways', 'Botany'],
  number: ['TB-2018-9034', 'TB 2018 9034', 'TB-2018-9O34', 'XX-1'],
  awarded: ['2018-03-09', '2018-03', '2018-03-10', '2001-01-01'],
  born: ['1990-08-21', '1990', '1955-01-01'],
}
const reply = fc.record(
  Object.fromEntries(
    keys.map((key) => [key, fc.oneof(fc.constantFrom(...answer[key]), fc.constant({ cannotSay: true as const }))]),
  ) as Record<Key, fc.Arbitrary<string | { cannotSay: true }>>,
  { requiredKeys: [] },
)

test('a field that agrees never lowers what is proposed', () => {
  fc.assert(
    fc.property(reply, fc.constantFrom(...keys), (said, key) => {
      const before = ranks.indexOf(propose(said))
      expect(ranks.indexOf(propose({ ...said, [key]: claimed[key] }))).toBeGreaterThanOrEqual(before)
    }),
    { numRuns: 500 },
  )
})

test('claimed and said may change places: each field comes out the same', () => {
  fc.assert(
    fc.property(reply, (said) => {
      const stated = Object.fromEntries(
        Object.entries(said).filter(([, value]) => typeof value === 'string'),
      ) as Record<string, string>
      const one = compareClaim(fields, claimed, undefined, stated).fields
      const other = compareClaim(fields, { ...stated }, undefined, claimed).fields
      for (const [nth, { key, bySource }] of one.entries())
        if (stated[key]) expect([key, other[nth]!.bySource.verdict]).toEqual([key, bySource.verdict])
    }),
    { numRuns: 300 },
  )
})

test('half of what could be said has to be said, and three quarters of it to agree', () => {
  const lines: [] = []
  expect(isMostlyAgreed({ lines, agreed: 3, of: 4, unsaid: 4 })).toBe(true)
  expect(isMostlyAgreed({ lines, agreed: 3, of: 4, unsaid: 5 })).toBe(false)
  expect(isMostlyAgreed({ lines, agreed: 2.5, of: 4, unsaid: 0 })).toBe(false)
})
