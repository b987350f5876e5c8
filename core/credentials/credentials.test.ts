import fc from 'fast-check'
import { bitAt, type Credential, readCredential } from './credential'
import { judgeCredential } from './judge'

const v2 = 'https://www.w3.org/ns/credentials/v2'
/** As in example 1 of the data model: a degree. */
const degree = {
  '@context': [v2, 'https://www.w3.org/ns/credentials/examples/v2'],
  type: ['VerifiableCredential', 'ExampleDegreeCredential'],
  issuer: { id: 'https://tannberg.example/issuers/14', name: 'Tannberg' },
  validFrom: '2018-03-22T00:00:00Z',
  credentialSubject: {
    ...{ id: 'did:example:ebfeb1f712ebc6f1c276e12ec21', givenName: 'Ada', familyName: 'Kern', birthDate: '1984-09-13' },
    ...{
      degree: { type: 'MSc', name: 'Master of Science', subject: 'Electrical Engineering' },
      number: 'TB-2018-9034',
    },
  },
}
const badge = {
  '@context': [v2, 'https://purl.imsglobal.org/spec/ob/v3p0/context-3.0.3.json'],
  type: ['VerifiableCredential', 'OpenBadgeCredential'],
  issuer: { id: 'https://ropes.example', type: ['Profile'] },
  ...{ validFrom: '2025-01-10T00:00:00Z', validUntil: '2028-01-10T00:00:00Z' },
  credentialSubject: {
    ...{ type: ['AchievementSubject'], licenseNumber: 'RG-3-21560', achievement: { name: 'Rope access card' } },
    identifier: [
      { type: 'IdentityObject', identityType: 'emailAddress', hashed: true, identityHash: 'sha256$ab', salt: 'x' },
    ],
  },
}
const read = (payload: object) => readCredential(payload) as Credential
const with_ = (over: object, of: object = degree) => ({ ...of, ...over })

describe('reading', () => {
  test('a credential says who issued it, of whom it speaks and what it is of', () => {
    expect(read(degree)).toMatchObject({
      ...{ kind: 'credential', issuer: 'https://tannberg.example/issuers/14', validUntil: null, status: [] },
      says: {
        ...{ name: 'Ada Kern', born: '1984-09-13', award: 'MSc', subject: 'Electrical Engineering' },
        ...{ title: 'Master of Science', number: 'TB-2018-9034' },
      },
    })
  })
  test('an open badge is one, named by the hash of a mail address', () => {
    expect(read(badge)).toMatchObject({
      ...{ kind: 'open badge', identity: { hash: 'sha256$ab', salt: 'x' } },
      says: { title: 'Rope access card', number: 'RG-3-21560', through: '2028-01-10' },
    })
  })
  test.each([
    ['no object', 'text', 'not-a-credential'],
    ['another type', with_({ type: 'Something' }), 'not-a-credential'],
    ['version 1 of the data model', with_({ '@context': ['https://www.w3.org/2018/credentials/v1'] }), 'wrong-version'],
    ['nobody who issued it', with_({ issuer: '' }), 'not-a-credential'],
    ['several people', with_({ credentialSubject: [{ name: 'A' }, { name: 'B' }] }), 'not-a-credential'],
    ['a status nobody can read', with_({ credentialStatus: { type: 'Other', id: 'x' } }), 'status-unknown'],
    [
      'a status without a place',
      with_({
        credentialStatus: {
          type: 'BitstringStatusListEntry',
          statusListIndex: '-1',
          statusPurpose: 'revocation',
          statusListCredential: 'https://x',
        },
      }),
      'status-unknown',
    ],
  ])('%s is none', (_what, payload, fault) => {
    expect(readCredential(payload)).toEqual({ fault })
  })
  test('whatever comes in, something comes out', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const credential = readCredential(value)
        expect('fault' in credential || typeof credential.issuer === 'string').toBe(true)
      }),
    )
  })
})

test('the bits of a status list are read from the left, and beyond its end nothing is said', () => {
  const bits = Uint8Array.from([0b1000_0000, 0b0000_0001])
  expect([0, 1, 7, 8, 15, 16].map((index) => bitAt(bits, index))).toEqual([true, false, false, false, true, undefined])
})

describe('judging', () => {
  const now = '2026-11-29T12:00:00Z'
  const claimed = {
    kind: 'study' as const,
    statement: {
      ...{ name: 'Ada Kern', born: '1984-09-13', award: 'MSc', subject: 'Electrical Engineering' },
      ...{ number: 'TB-2018-9034', awarded: '2018-03' },
    },
  }
  const judge = (over: object, mail?: boolean, statement: object = {}) =>
    judgeCredential(read(over), { ...claimed, statement: { ...claimed.statement, ...statement } }, now, mail)

  test('confirms where it speaks of this person and this thing, however the name is written', () => {
    expect(judge(degree).fault).toBeUndefined()
    const subject = { ...degree.credentialSubject, givenName: 'ADA', familyName: 'KERN', number: 'tb 2018 9034' }
    expect(judge(with_({ credentialSubject: subject })).fault).toBeUndefined()
  })
  test.each([
    ['that begins tomorrow', with_({ validFrom: '2026-11-30T00:00:00Z' }), 'not-yet-valid'],
    ['that has ended', with_({ validUntil: '2026-11-28T23:59:59Z' }), 'ended'],
    [
      'of another name',
      with_({ credentialSubject: { ...degree.credentialSubject, givenName: 'Berta' } }),
      'other-person',
    ],
    [
      'of another birth',
      with_({ credentialSubject: { ...degree.credentialSubject, birthDate: '1984-09-14' } }),
      'other-person',
    ],
    ['of nobody', with_({ credentialSubject: { degree: degree.credentialSubject.degree } }), 'nobody-named'],
    [
      'with another number',
      with_({ credentialSubject: { ...degree.credentialSubject, number: 'TB-2018-9035' } }),
      'other-thing',
    ],
    [
      'of another subject',
      with_({ credentialSubject: { ...degree.credentialSubject, degree: { type: 'MSc', subject: 'Law' } } }),
      'other-thing',
    ],
    ['that names a person and nothing else', with_({ credentialSubject: { name: 'Ada Kern' } }), 'other-thing'],
  ])('one %s does not', (_what, payload, fault) => {
    expect(judge(payload).fault).toBe(fault)
  })
  test('the last moment still counts', () => {
    expect(judge(with_({ validUntil: now })).fault).toBeUndefined()
  })
  test('an open badge is theirs by their mail address, and nobody else’s', () => {
    const card = {
      kind: 'certificate' as const,
      statement: {
        name: 'Ada Kern',
        title: 'Rope access card',
        number: 'RG-3-21560',
        issued: '2025-01-10',
        through: '2028-01-10',
      },
    }
    expect(judgeCredential(read(badge), card, now, true).fault).toBeUndefined()
    expect(judgeCredential(read(badge), card, now, false).fault).toBe('other-person')
    expect(judgeCredential(read(badge), card, now, undefined).fault).toBe('nobody-named')
  })
})
