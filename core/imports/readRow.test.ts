import type { Mapping } from './fields'
import { levelOfAward, readRow } from './readRow'

const mapping: Mapping = {
  Given: 'givenNames',
  Family: 'familyName',
  Name: 'fullName',
  Mail: 'mail',
  Born: 'born',
  Award: 'study.award',
  Level: 'study.level',
  School: 'study.source',
  SFrom: 'study.from',
  STo: 'study.to',
  Post: 'work.position',
  Firm: 'work.source',
  WFrom: 'work.from',
  WTo: 'work.to',
  Kind: 'credential.kind',
  CNo: 'credential.number',
  Issued: 'credential.issued',
  Through: 'credential.through',
}
const read = (cells: Record<string, string>, by: Mapping = mapping) =>
  readRow({ Given: 'Ada', Family: 'Grau', Mail: 'ada@mail.test', ...cells }, by)
const faults = (cells: Record<string, string>, by?: Mapping) =>
  read(cells, by).faults.map(({ column, message }) => [column, message.code])

test('a row with a name and an address is right, and claims nothing', () => {
  const { row, faults: wrong, doubts } = read({ Phone: '1' })
  expect([wrong, doubts]).toEqual([[], []])
  expect(row).toEqual({
    ...{ name: 'Ada Grau', givenNames: 'Ada', familyName: 'Grau', mail: 'ada@mail.test', phone: '', born: '' },
  })
})

test('names written apart count before a whole one, which is divided only where it must be', () => {
  expect(read({ Name: 'Someone Else' }).row.name).toBe('Ada Grau')
  expect(read({ Given: '', Family: '', Name: 'Bela Moser' }).row).toMatchObject({
    givenNames: 'Bela',
    familyName: 'Moser',
  })
  expect(read({ Name: 'Ana Maria Ruiz Sol' }).doubts).toEqual([])
  expect(read({ Given: '', Family: '', Name: 'Ana Maria Ruiz Sol' }).doubts).toMatchObject([
    { column: 'Name', message: { code: 'imports.nameDivided' } },
  ])
})

test('without a name or an address a row is wrong; what the file has no column for is named by its field', () => {
  expect(faults({ Family: '' })).toEqual([['Family', 'imports.namesNeeded']])
  expect(faults({ Given: ' ' })).toEqual([['Family', 'imports.namesNeeded']])
  expect(faults({ Mail: '' })).toEqual([['Mail', 'imports.mailNeeded']])
  const { Mail: _, ...without } = mapping
  expect(faults({}, without)).toEqual([[{ field: 'mail' }, 'imports.mailNeeded']])
})

test.each(['ada', 'ada@mail', '@mail.test', 'a b@mail.test', 'ada@mail test.at', 'ada@@mail.test'])(
  '%s is no mail address',
  (mail) => expect(faults({ Mail: mail })).toEqual([['Mail', 'imports.notAMailAddress']]),
)

test('a birth date is whole and a date', () => {
  expect(faults({ Born: '1990' })).toEqual([['Born', 'imports.wholeBirthDate']])
  expect(faults({ Born: '1990-04' })).toEqual([['Born', 'imports.wholeBirthDate']])
  expect(faults({ Born: 'unknown' })).toEqual([['Born', 'imports.notADate']])
  expect(read({ Born: '11 Apr 1990' }).row.born).toBe('1990-04-11')
})

test('a study is one where its award or its school is told, and says what it lacks', () => {
  expect(read({ STo: '2015' }).row.study).toBeUndefined()
  expect(faults({ School: 'Tech', Level: '6' })).toEqual([
    ['SFrom', 'imports.studyNeedsBeginning'],
    ['STo', 'imports.studyNeedsEnd'],
  ])
  expect(faults({ Award: 'Certificate of bravery', SFrom: '2010', STo: '2012' })).toEqual([
    ['Award', 'imports.levelUnknown'],
  ])
  expect(read({ Award: 'MSc', SFrom: '2010', STo: 'heute' }).row.study).toMatchObject({ level: 7, to: 'present' })
})

test('a level that is told counts before what the award says of it; one that is none does not', () => {
  const level = (text: string) => read({ Award: 'MSc', Level: text, SFrom: '2010', STo: '2012' }).row.study?.level
  expect([level('0'), level('8'), level('9'), level('66'), level('')]).toEqual([0, 8, 7, 7, 7])
})

test('a job is one where its post or its employer is told', () => {
  expect(read({ WFrom: '2010' }).row.work).toBeUndefined()
  expect(faults({ Post: 'Fitter' })).toEqual([
    ['WFrom', 'imports.jobNeedsBeginning'],
    ['WTo', 'imports.jobNeedsEnd'],
  ])
  expect(read({ Firm: 'Seilwerk', WFrom: 'Mar 2019', WTo: 'Current' }).row.work).toMatchObject({
    ...{ source: 'Seilwerk', from: '2019-03', to: 'present' },
  })
})

test('a licence is known by its key or by its name in either language, and without a day its end is unknown', () => {
  const kind = (text: string) => read({ Kind: text }).row.credential?.kind
  expect([kind('rope-access'), kind(' Rope Access Card ')]).toEqual(['rope-access', 'rope-access'])
  expect(kind('Erste Hilfe am Arbeitsplatz')).toBe(kind('First aid at work'))
  expect(faults({ CNo: '7' })).toEqual([['Kind', 'imports.kindUnknown']])
  const through = (text: string) => read({ Kind: 'rope-access', Through: text }).row.credential?.through
  expect([through(''), through('Unbefristet'), through('2027-05-01')]).toEqual([
    'unknown',
    'does not expire',
    '2027-05-01',
  ])
  // Words that hold another's are dates no more than they.
  expect(faults({ Kind: 'rope-access', Through: 'never again' })).toEqual([['Through', 'imports.notADate']])
})

test('nothing ends before it can have begun, as exactly as both are known', () => {
  const of = (from: string, to: string) => faults({ Firm: 'Seilwerk', WFrom: from, WTo: to }).map(([, code]) => code)
  expect(of('2021-03', '2021')).toEqual([])
  expect(of('2021-03-02', '2021-03-01')).toEqual(['problem.thisEndsBeforeItBegins'])
  expect(of('2021-03-02', '2021-03-02')).toEqual([])
  expect(of('2021', '2020-12-31')).toEqual(['problem.thisEndsBeforeItBegins'])
  expect(faults({ School: 'Tech', Level: '6', SFrom: '2012', STo: '2011' })).toEqual([
    ['STo', 'problem.thisEndsBeforeItBegins'],
  ])
})

test.each([
  ['PhD', 8],
  ['Dr. rer. nat.', 8],
  ['Dipl.-Ing.', 7],
  ['M.Sc. Engineering', 7],
  ['MBA', 7],
  ['Bachelor of Arts', 6],
  ['B Eng', 6],
  ['HND', 5],
  ['Meister', 5],
  ['Lehrabschluss', 3],
  ['Apprenticeship as a fitter', 3],
  ['Matura', 3],
  ['Mastery', undefined],
  ['Abachelor', undefined],
])('%s is of level %s', (award, level) => expect(levelOfAward(award)).toBe(level))
