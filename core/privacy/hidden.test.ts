import {
  covered,
  coverIn,
  hiddenKindOfClaim,
  hiddenKindOfQuestion,
  kindOfSubject,
  mayReveal,
  sees,
  subjectOf,
} from './hidden'

test('the coordinator needs birth dates and declarations, and has identity numbers shown only with a reason', () => {
  expect(sees(['coordinator'], 'birth date')).toBe(true)
  expect(sees(['coordinator'], 'identity number')).toBe(false)
  expect(mayReveal(['coordinator'], 'identity number')).toBe(true)
})

test('an assessor sees none of it and may have none of it shown', () => {
  for (const kind of ['identity number', 'birth date', 'declarations', 'health'] as const)
    expect([sees(['assessor'], kind), mayReveal(['assessor'], kind)]).toEqual([false, false])
})

test('a hiring manager may ask for declarations and not for health', () => {
  expect(mayReveal(['hiring manager'], 'declarations')).toBe(true)
  expect(mayReveal(['hiring manager'], 'health')).toBe(false)
})

test('a subject names its kind and its claim, and is read back', () => {
  expect(subjectOf('health', 'abc')).toBe('health abc')
  expect(kindOfSubject('identity number 42')).toBe('identity number')
  expect(kindOfSubject('birth date')).toBe('birth date')
  expect(kindOfSubject('salary')).toBeUndefined()
})

test('a number keeps its last two characters, a short one none', () => {
  expect(covered('P1234567')).toBe('••••••67')
  expect(covered('123')).toBe('•••')
})

test('a secret is covered wherever it stands, and a field by its name or by the key beside it', () => {
  const file = {
    label: 'Passport P1234567',
    details: { number: 'P1234567', zone: 'P<AUT' },
    rows: [{ key: 'number', label: 'Number', claimed: 'P1234567', document: 'P1234561', matters: true }],
    name: 'Maëlle',
  }
  expect(coverIn(file, new Set(['number', 'zone']), ['P1234567'])).toEqual({
    label: 'Passport ••••••67',
    details: { number: '••••••67', zone: '•••UT' },
    rows: [{ key: 'number', label: 'Number', claimed: '••••••67', document: '••••••61', matters: true }],
    name: 'Maëlle',
  })
})

test('questions and claims say what they are hidden as', () => {
  const section = { key: 'declarations', title: '', heading: '', intro: '', holds: 'questions' as const, questions: [] }
  const question = { key: 'x', label: 'x', kind: 'yes or no' as const, required: true }
  expect(hiddenKindOfQuestion(section, question)).toBe('declarations')
  expect(hiddenKindOfQuestion({ ...section, key: 'about' }, { ...question, fill: 'bday' })).toBe('birth date')
  expect(hiddenKindOfQuestion({ ...section, key: 'about' }, question)).toBeUndefined()
  expect(hiddenKindOfClaim({ kind: 'certificate', credential: 'medical' })).toBe('health')
  expect(hiddenKindOfClaim({ kind: 'identity' })).toBe('identity number')
  expect(hiddenKindOfClaim({ kind: 'study' })).toBeUndefined()
})
