import { type GivenPaper, type PaperPart, papersOfCredential, papersOfStudy } from './papers'

const paper = (part: PaperPart, more: Partial<GivenPaper> = {}): GivenPaper => ({
  part,
  pages: 1,
  translated: false,
  ...more,
})

describe('a study', () => {
  test('finished: the certificate, or the transcript with the letter of award', () => {
    expect(papersOfStudy({}, [], []).missing).toEqual(['certificate'])
    expect(papersOfStudy({ outcome: 'finished' }, [paper('certificate')], []).missing).toEqual([])
    expect(papersOfStudy({ outcome: 'finished' }, [paper('transcript'), paper('letter of award')], []).missing).toEqual(
      [],
    )
  })

  test('what is nearest to being whole is asked for', () => {
    expect(papersOfStudy({}, [paper('other')], []).missing).toEqual(['certificate'])
    expect(papersOfStudy({ outcome: 'left' }, [paper('certificate')], []).missing).toEqual(['transcript'])
  })

  test('in progress: a link to the programme stands instead of papers', () => {
    expect(papersOfStudy({ outcome: 'in progress' }, [], [])).toMatchObject({
      missing: ['proof of enrolment'],
      linkInstead: false,
    })
    expect(papersOfStudy({ outcome: 'in progress', link: 'https://tannberg.example/msc' }, [], [])).toMatchObject({
      missing: [],
      linkInstead: true,
    })
    expect(papersOfStudy({ outcome: 'finished', link: 'https://tannberg.example/msc' }, [], []).missing).toEqual([
      'certificate',
    ])
  })

  test.each([
    ['fr', ['en', 'de'], false, ['certificate']],
    ['fr', ['en', 'de'], true, []],
    ['de', ['en', 'de'], false, []],
    ['fr', [], false, []],
    [undefined, ['en'], false, []],
  ])('in %s where %j is read, translated %s', (language, accepted, translated, wanted) => {
    expect(papersOfStudy({ language }, [paper('certificate', { translated })], accepted).untranslated).toEqual(wanted)
  })

  test('a translation itself needs none', () => {
    const given = [paper('certificate', { translated: true }), paper('translation')]
    expect(papersOfStudy({ language: 'fr' }, given, ['en'])).toMatchObject({ missing: [], untranslated: [] })
  })
})

describe('a licence with two sides', () => {
  test.each<[string, GivenPaper[], PaperPart[]]>([
    ['nothing yet', [], ['front', 'back']],
    ['one page that was not said to be a side', [paper('certificate')], ['back']],
    ['both as two files', [paper('front'), paper('back')], []],
    ['both on one scan of two pages', [paper('certificate', { pages: 2 })], []],
    ['the back alone', [paper('back')], ['front']],
  ])('%s', (_what, given, missing) => expect(papersOfCredential(true, given).missing).toEqual(missing))

  test('one with a single side asks for one paper', () => {
    expect(papersOfCredential(false, []).missing).toEqual(['certificate'])
    expect(papersOfCredential(false, [paper('front')]).missing).toEqual([])
  })
})
