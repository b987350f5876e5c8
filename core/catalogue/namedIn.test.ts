import { vallorneCatalogue } from '#scenario/catalogue'
import { aRequirement } from '../../test/requirements'
import { alsoGoBy, catalogue, credentialKind, goByCatalogue } from './catalogue'
import { namedIn } from './namedIn'

const empty = { credentials: [], levels: [], fields: [], scales: [], documents: [], languages: [] }
const keys = (things: readonly { key: string }[]) => things.map(({ key }) => key)

afterEach(() => goByCatalogue(vallorneCatalogue))

test('a vacancy names what it asks for, in alternatives and conditions too, and nothing else', () => {
  const requirements = [
    aRequirement(
      { kind: 'credential', credential: 'welding' },
      { alternatives: [{ kind: 'credential', credential: 'rope-access' }] },
    ),
    aRequirement(
      { kind: 'study', levelAtLeast: 6, fields: ['0713'] },
      { when: { fact: 'file.credentials', holds: 'blasting' } },
    ),
  ]
  const named = namedIn(requirements, [])
  expect(keys(named.credentials)).toEqual(['rope-access', 'welding', 'blasting'])
  expect([keys(named.levels), keys(named.fields), named.languages, named.scales]).toEqual([['6'], ['0713'], [], []])
  expect(named.credentials[0]!.translations).toBeUndefined()
})

test('languages come with a form that asks for them', () => {
  const question = { key: 'speaks', label: 'Speaks', kind: 'languages', required: true } as const
  const section = { key: 's', title: 'S', heading: '', intro: '', holds: 'questions', questions: [question] } as const
  expect(namedIn([], [section]).languages).toHaveLength(catalogue().languages.length)
})

test('what a page was given besides is known, and takes nothing away', () => {
  goByCatalogue(empty)
  alsoGoBy({ ...empty, credentials: [credential('First name')] })
  alsoGoBy({ ...empty, credentials: [credential('Other name')] })
  expect([credentialKind('welding')?.name, catalogue().credentials.length]).toEqual(['First name', 1])
})

const credential = (name: string) => ({
  ...vallorneCatalogue.credentials.find(({ key }) => key === 'welding')!,
  name,
})
