import type { Section } from '../form/form'
import { speakBy } from './say'
import { type StoredValue, sayStored, writeValue } from './stored'
import { forReader, translated } from './translations'

const inBoth = (value: StoredValue) =>
  (['en', 'de'] as const).map((language) => {
    speakBy(() => language)
    return writeValue(value)
  })
afterEach(() => speakBy(() => 'en'))

describe('a value that was kept', () => {
  test.each<[string, StoredValue, [string, string]]>([
    [
      'typed text stays as it is',
      'Bitte include {{the}} back',
      ['Bitte include {{the}} back', 'Bitte include {{the}} back'],
    ],
    ['a number', 3, ['3', '3']],
    ['a day', { day: '2026-12-05' }, ['5 Dec 2026', '5. Dez. 2026']],
    ['a kind of the catalogue', { credential: 'first-aid' }, ['First aid at work', 'Erste Hilfe am Arbeitsplatz']],
    ['a kind nobody knows any more', { credential: 'juggling' }, ['juggling', 'juggling']],
    [
      'a title in the languages it was written in',
      { title: 'Born', translations: { de: { title: 'Geboren' } } },
      ['Born', 'Geboren'],
    ],
    ['a title written once', { title: 'Born' }, ['Born', 'Born']],
    [
      'what goes with an answer',
      { title: 'Ever?', part: 'because' },
      ['Ever?: what happened', 'Ever?: was geschehen ist'],
    ],
    ['a text of ours', { code: 'names.study' }, ['Study', 'Ausbildung']],
    ['several', { list: ['A', { day: '2026-12-05' }] }, ['A, 5 Dec 2026', 'A, 5. Dez. 2026']],
  ])('%s', (_what, value, words) => expect(inBoth(value)).toEqual(words))
})

test('a kept text is said with its values, and a count chooses its form', () => {
  const said = (count: number) => sayStored('event.people-imported', { count, file: 'a.csv' })
  expect([said(1), said(4)]).toEqual(['Imported one person from a.csv', 'Imported 4 people from a.csv'])
  speakBy(() => 'de')
  expect(said(1)).toBe('Hat eine Person aus a.csv importiert')
})

test('what people typed is put in as it is, whatever stands in it', () => {
  const reason = 'See {{reason}}, $t(event.withdrawn) & <b>{{count}}</b>'
  expect(sayStored('event.offer-withdrawn', { reason })).toBe(`Withdrew the offer: ${reason}`)
})

describe('what an organisation wrote in several languages', () => {
  const section: Pick<Section, 'title' | 'intro' | 'translations'> = {
    title: 'Contact',
    intro: 'Write.',
    translations: { de: { title: 'Kontakt', intro: '' } },
  }
  test('is read in the reader’s, and as first written where it was not', () => {
    expect(translated(section)).toBe(section)
    speakBy(() => 'de')
    expect(translated(section)).toMatchObject({ title: 'Kontakt', intro: 'Write.' })
    speakBy(() => 'fr')
    expect(translated(section).title).toBe('Contact')
  })
  test('is sent to a reader in theirs only', () => {
    expect(forReader(section)).toEqual({ title: 'Contact', intro: 'Write.' })
    speakBy(() => 'de')
    expect(forReader(section).translations).toEqual(section.translations)
  })
})
