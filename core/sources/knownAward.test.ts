import fc from 'fast-check'
import { knownProgramme, matchesRecord, type StudyToKnow } from './knownAward'
import type { Programme } from './source'

const programme: Programme = {
  ...{ title: 'Electrical Engineering', award: 'MSc', level: 7, field: '0713', language: 'de' },
  accreditations: [
    { by: 'Council', basis: 'accredited', from: 2004, to: 2009 },
    { by: 'Council', basis: 'assessed', from: 2012, to: 2019 },
  ],
}
const bare: Programme = { ...programme, title: 'Automation', accreditations: [] }
const study = (over: Partial<StudyToKnow> = {}): StudyToKnow => ({
  ...{ subject: 'Electrical Engineering', level: 7, field: '0713', to: '2018-03' },
  ...over,
})

test.each<[Partial<StudyToKnow>, string]>([
  [{}, 'accredited'],
  [{ to: '2012' }, 'accredited'],
  [{ to: '2019-12-31' }, 'accredited'],
  [{ to: '2009' }, 'accredited'],
  [{ to: '2010' }, 'year outside'],
  [{ to: '2020-01-01' }, 'year outside'],
  [{ to: '2003-12' }, 'year outside'],
  // About 2012 may be the year before.
  [{ to: '2012~' }, 'year outside'],
  [{ to: 'present' }, 'not finished'],
  [{ outcome: 'left' }, 'not finished'],
  [{ outcome: 'in progress' }, 'not finished'],
  [{ subject: 'Automation' }, 'not accredited'],
  [{ subject: 'Rope Engineering' }, 'unknown programme'],
  [{ level: 6 }, 'unknown programme'],
  [{ field: '0714' }, 'unknown programme'],
])('a study like %j is %s', (over, state) => expect(knownProgramme(study(over), [bare, programme]).state).toBe(state))

test('only the accreditation of the year is what it rests on', () => {
  expect(knownProgramme(study(), [programme]).accreditation).toMatchObject({ basis: 'assessed', from: 2012 })
  expect(knownProgramme(study({ to: '2006' }), [programme]).accreditation).toMatchObject({ basis: 'accredited' })
  expect(knownProgramme(study({ to: '2022' }), [programme]).accreditation).toMatchObject({ from: 2012 })
})

const record = {
  ...{ number: 'TB-2018-9034', name: 'Ilse Vandermeer', born: '1990-08-21', award: 'MSc' },
  ...{ subject: 'Electrical Engineering', awarded: '2018-03' },
}
test.each<[string, Partial<typeof record>, Partial<typeof record>, boolean]>([
  ['the same', {}, {}, true],
  ['the number written otherwise', { number: 'tb 2018 9034' }, {}, true],
  ['another day of birth', { born: '1991-08-21' }, {}, false],
  ['a record without one', {}, { born: '' }, true],
  ['nobody has said when they were born', { born: '' }, {}, false],
  ['another name', { name: 'Elsa Vandermoor' }, {}, false],
  ['another award', { award: 'BSc' }, {}, false],
  ['another year', { awarded: '2017-03' }, {}, false],
  ['no number', { number: '' }, {}, false],
  ['a record of another number', {}, { number: 'TB-2018-9035' }, false],
  ['a record that says little', {}, { award: '', subject: '' }, false],
])('%s', (_, claimed, said, matches) => {
  const ours = Object.fromEntries(Object.entries({ ...record, ...claimed }).filter(([, value]) => value !== ''))
  expect(matchesRecord(ours, { ...record, ...said }).matches).toBe(matches)
})

test('a paper that somebody has read, and that says something else, confirms nothing', () => {
  expect(matchesRecord(record, record, record).matches).toBe(true)
  expect(matchesRecord(record, record, { ...record, award: 'BSc' }).matches).toBe(false)
})

test('whatever field is taken out of a record, it confirms no more than before', () => {
  fc.assert(
    fc.property(fc.subarray(Object.keys(record) as (keyof typeof record)[]), (gone) => {
      const said = { ...record, ...Object.fromEntries(gone.map((key) => [key, ''])) }
      const { matches } = matchesRecord(record, said)
      expect(matches).toBe(gone.every((key) => key === 'born'))
    }),
  )
})
