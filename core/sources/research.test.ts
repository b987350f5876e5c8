import { accreditedAs, programmeOf } from './programmes'
import { assessedProgramme, faultsOfResearch, programmeKey, type ResearchOutcome } from './research'

const outcome = (over: Partial<ResearchOutcome> = {}): ResearchOutcome => ({
  ...{
    level: 7,
    field: '0713',
    recognised: true,
    comparableTo: 'MSc',
    why: 'Same content and length',
    from: 2015,
    to: null,
  },
  ...over,
})

test('two who write a programme differently mean the same; another level is another programme', () => {
  const key = programmeKey({ level: 7, subject: 'Génie électrique' })
  expect(programmeKey({ level: 7, subject: 'genie  ELECTRIQUE' })).toBe(key)
  expect(programmeKey({ level: 6, subject: 'Génie électrique' })).not.toBe(key)
  expect(programmeKey({ level: 7, subject: 'Génie mécanique' })).not.toBe(key)
  expect(programmeKey({ level: 7, subject: 'x'.repeat(400) }).length).toBeLessThanOrEqual(200)
})

test.each<[Parameters<typeof faultsOfResearch>, string[]]>([
  [[[{ what: 'National register of programmes', link: '' }], outcome()], []],
  [[[], outcome()], ['nothing-consulted']],
  [[[{ what: '  ', link: 'https://x.example' }], outcome()], ['nothing-consulted']],
  [[[{ what: 'Register', link: '' }], outcome({ why: ' a ' })], ['no-reason']],
  [[[{ what: 'Register', link: '' }], outcome({ comparableTo: '', recognised: false })], ['no-comparison']],
  [[[{ what: 'Register', link: '' }], outcome({ to: 2014 })], ['years-reversed']],
  [[[{ what: 'Register', link: '' }], outcome({ to: 2015 })], []],
])('%j is concluded on but for %j', (given, codes) =>
  expect(faultsOfResearch(...given).map(({ code }) => code)).toEqual(codes),
)

test('what was recognised is known to whoever comes next, at the level that was found, for its years', () => {
  const programme = { title: 'Génie électrique', award: 'Diplôme', level: 6, field: '0710', language: 'fr', link: '' }
  const known = assessedProgramme(programme, outcome({ to: 2020 }), 'Vallorne')
  const study = { subject: 'Genie electrique', level: 7, field: '0713', to: '2019-07' }
  expect(accreditedAs(study, [known])?.accreditation).toEqual({
    by: 'Vallorne',
    basis: 'assessed',
    from: 2015,
    to: 2020,
  })
  expect(accreditedAs({ ...study, to: '2021' }, [known])).toBeUndefined()
  // Whoever claims another level does not claim this programme.
  expect(programmeOf({ ...study, level: 8 }, [known])).toBeUndefined()
})
