import { readTyped } from '../dates/write'
import { sayCoded } from '../words/say'
import { divideName } from './divideName'
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
  expect(faults.map(({ column }) => column)).toEqual([{ field: 'familyName' }, 'Mail', 'Born', 'Licence', 'To'])
  expect(sayCoded(faults[4]!.message)).toBe('This ends before it begins.')
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
  expect(leftOut).toEqual({ certificates: 1, languages: 0, skills: 0, references: 0 })
  const read = rows.map((row) => readRow(row, resumeMapping))
  expect(read.flatMap(({ faults }) => faults)).toEqual([])
  expect(read[1]?.row.work).toEqual({ position: 'Fitter', source: 'Seilwerk', from: '2019-03-01', to: 'present' })
  expect(() => rowsOfResumes('{"hello": 1}')).toThrow(RangeError)
  expect(() => rowsOfResumes('no')).toThrow(SyntaxError)
})

test('a résumé without basics, with voluntary work and empty ends, is read; what is left out is counted', () => {
  const { rows, leftOut } = rowsOfResumes(
    JSON.stringify({
      volunteer: [{ organization: 'Mountain rescue', position: 'Handler', startDate: '2020', endDate: '' }],
      languages: [{}, {}],
      skills: [{}],
      references: [{}],
    }),
  )
  expect(rows).toMatchObject([
    { 'work.source': 'Mountain rescue', 'work.position': 'Handler', 'work.from': '2020', 'work.to': 'present' },
  ])
  expect(leftOut).toEqual({ certificates: 0, languages: 2, skills: 1, references: 1 })
})

test.each([
  ['Keller, Ada', 'Ada', 'Keller', false],
  ['BERGER Anna', 'Anna', 'Berger', false],
  ['Anna BERGER-MÜLLER', 'Anna', 'Berger-Müller', false],
  ['Jan van der Meer', 'Jan', 'van der Meer', false],
  ['Dr. Ada Grau', 'Ada', 'Grau', false],
  ['Dipl.-Ing. Mag. Ada Grau, MSc', 'Ada', 'Grau', false],
  ['Ada Grau', 'Ada', 'Grau', false],
  ['Maria Garcia Lopez', 'Maria Garcia', 'Lopez', true],
  ['Garcia Lopez, Maria', 'Maria', 'Garcia Lopez', false],
  ['VAN DER BERG Jan', 'Jan', 'Van Der Berg', false],
  ['Ada', 'Ada', '', true],
])('%s is %s %s', (full, givenNames, familyName, doubtful) => {
  expect(divideName(full)).toEqual({ givenNames, familyName, doubtful })
})

test.each([
  ['July 9, 2021', '2021-07-09'],
  ['09-07-2021', '2021-07-09'],
  ['2021/07/09', '2021-07-09'],
  ['20210709', '2021-07-09'],
  ['Sept. 2021', '2021-09'],
  ['Maybe 2021', undefined],
  ['Augsburg 2019', undefined],
  ['20211309', undefined],
])('%s is the date %s', (typed, iso) => {
  expect(readTyped(typed)).toBe(iso)
})

test('what is known to the year has not ended before a month of it, and “bis heute” goes on', () => {
  const job = { Name: 'Ada Grau', Mail: 'ada@mail.test', Employer: 'Seilwerk' }
  expect(readRow({ ...job, From: '2021-03', To: '2021' }, mapping).faults).toEqual([])
  expect(readRow({ ...job, From: '2021-03', To: '2021-02' }, mapping).faults).toHaveLength(1)
  expect(readRow({ ...job, From: '2021-03', To: 'bis heute' }, mapping).row.work?.to).toBe('present')
  expect(readRow({ ...job, Name: 'Ada Maria Grau' }, mapping).doubts).toMatchObject([{ column: 'Name' }])
})
