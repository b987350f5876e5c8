import { proposeMapping } from './fields'
import { resumeMapping, rowsOfResumes } from './jsonResume'
import { levelOfAward, readRow } from './readRow'

test('columns are proposed by what they are called, in English, German, and with small slips', () => {
  expect(proposeMapping(['Vorname', 'Nachname', 'E-Mail', 'Geburtsdatum', 'Employer', 'Colour of hair'])).toEqual({
    Vorname: 'givenNames',
    Nachname: 'familyName',
    'E-Mail': 'mail',
    Geburtsdatum: 'born',
    Employer: 'work.source',
  })
  expect(proposeMapping(['Surnamee', 'First Name'])).toEqual({ Surnamee: 'familyName', 'First Name': 'givenNames' })
})

test('no field is proposed for two columns', () => {
  const mapping = proposeMapping(['Mail', 'E-Mail', 'email address'])
  expect(Object.values(mapping).filter((field) => field === 'mail')).toHaveLength(1)
})

const mapping = {
  Name: 'fullName',
  Mail: 'mail',
  Born: 'born',
  Employer: 'work.source',
  From: 'work.from',
  To: 'work.to',
  Licence: 'credential.kind',
  Until: 'credential.through',
} as const

test('a row is read with dates as people write them, and words for now and never', () => {
  const { row, faults } = readRow(
    {
      Name: 'Ada Maria Grau',
      Mail: 'Ada@Mail.test',
      Born: '9 Mar 1991',
      Employer: 'Seilwerk',
      From: 'Mar 2019',
      To: 'present',
      Licence: 'first aid at work',
      Until: 'never',
    },
    mapping,
  )
  expect(faults).toEqual([])
  expect(row).toMatchObject({
    givenNames: 'Ada Maria',
    familyName: 'Grau',
    mail: 'ada@mail.test',
    born: '1991-03-09',
    work: { source: 'Seilwerk', from: '2019-03', to: 'present' },
    credential: { kind: 'first-aid', through: 'does not expire' },
  })
})

test('everything that is wrong is said at once, by column', () => {
  const { faults } = readRow(
    { Name: 'Ada', Mail: 'ada at mail', Born: '1991', Employer: 'X', From: '2021', To: '2019', Licence: 'Flying' },
    mapping,
  )
  expect(faults.map(({ column }) => column)).toEqual(['Name', 'Mail', 'Born', 'Licence', 'To'])
  expect(faults[4]?.message).toBe('This ends before it begins.')
})

test.each([
  ['MSc', 7],
  ['Bachelor of Science', 6],
  ['Dipl.-Ing.', 7],
  ['Apprenticeship certificate', 3],
  ['Dr. techn.', 8],
  ['Certificate of attendance', undefined],
])('the level of %s', (award, level) => {
  expect(levelOfAward(award)).toBe(level)
})

test('a résumé becomes a row for each study and job', () => {
  const { rows, leftOut } = rowsOfResumes(
    JSON.stringify({
      basics: { name: 'Ada Grau', email: 'ada@mail.test' },
      work: [{ name: 'Seilwerk', position: 'Fitter', startDate: '2019-03-01' }],
      education: [{ institution: 'Tannberg', studyType: 'BSc', area: 'Physics', startDate: '2010', endDate: '2013' }],
      certificates: [{ name: 'First aid' }],
    }),
  )
  expect(rows).toHaveLength(2)
  expect(leftOut).toBe(1)
  const read = rows.map((row) => readRow(row, resumeMapping))
  expect(read.flatMap(({ faults }) => faults)).toEqual([])
  expect(read[1]?.row.work).toEqual({ position: 'Fitter', source: 'Seilwerk', from: '2019-03-01', to: 'present' })
  expect(() => rowsOfResumes('{"hello": 1}')).toThrow(RangeError)
  expect(() => rowsOfResumes('no')).toThrow(SyntaxError)
})
