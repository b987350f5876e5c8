import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { activities } from '#contract/claims'
import { equality, formWith, identity, library, vouching } from '#scenario/form'
import { scales } from '../grades/grades'
import { credentialKinds, studyFields, studyLevels } from '../requirements/catalogue'
import english from './english.json' with { type: 'json' }
import { blankWords } from './form'
import { learnGerman } from './german'
import german from './german.json' with { type: 'json' }
import { retell } from './retell'
import { say, speakBy } from './say'

const root = new URL('../../', import.meta.url).pathname

/** Every text that is said, by where it stands. */
function saidTexts(): Map<string, string> {
  const found = new Map<string, string>()
  for (const folder of ['core', 'web', 'server'])
    for (const file of readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })) {
      if (!/\.tsx?$/.test(file) || /\.test\.tsx?$/.test(file)) continue
      const source = readFileSync(join(root, folder, file), 'utf8')
      for (const [, single, double] of source.matchAll(/\bsay\(\s*(?:'((?:[^'\\]|\\.)*)'|"((?:[^"\\]|\\.)*)")/g)) {
        const text = (single ?? double ?? '').replace(/\\(['"\\])/g, '$1').replace(/\\n/g, '\n')
        found.set(text, `${folder}/${file}`)
      }
    }
  return found
}

/** Texts that are data and still the house's own: names of the catalogue, the common sections of the form. */
const houseTexts = [
  ...activities,
  ...Object.values(blankWords),
  ...Object.values(scales).map(({ name }) => name),
  ...credentialKinds.flatMap(({ name, papers }) => [name, papers]),
  ...Object.values(studyLevels),
  ...Object.values(studyFields),
  ...[...library, ...formWith(), identity, vouching, equality].flatMap(({ title, heading, intro, questions }) => [
    title,
    heading,
    intro,
    ...questions.flatMap(({ label, help, options }) => [label, ...(help ? [help] : []), ...(options ?? [])]),
  ]),
]

const placeholders = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]!).sort()
const texts = german as Record<string, string>

describe('the German catalogue', () => {
  afterEach(() => speakBy(() => 'en'))

  test('has every text that is said, and every text of the house', () => {
    const missing = [...saidTexts().keys(), ...houseTexts].filter((text) => text && texts[text] === undefined)
    expect([...new Set(missing)]).toEqual([])
  })

  test('names the same values as the English, and has a form for one wherever English has', () => {
    for (const [text, words] of Object.entries(texts)) {
      if (/_(one|other)$/.test(text)) continue
      expect([text, placeholders(words)]).toEqual([text, placeholders(text)])
    }
    for (const key of Object.keys(english)) expect(Object.keys(texts)).toContain(key)
  })

  test('is spoken where German is asked for, with values and with one or many', () => {
    learnGerman()
    speakBy(() => 'de')
    expect(say('{{count}} pages', { count: 1 })).toBe('1 Seite')
    expect(say('{{count}} pages', { count: 3 })).toBe('3 Seiten')
    expect(say('Next: {{title}}', { title: 'Kontakt' })).toBe('Weiter: Kontakt')
    expect(say('Nobody has written this down')).toBe('Nobody has written this down')
  })

  test('tells again in German what was put down in English', () => {
    learnGerman()
    speakBy(() => 'de')
    expect(retell('You signed the permission to check.')).toBe('Sie haben die Erlaubnis zum Prüfen unterschrieben.')
    expect(retell('We asked Trasse Elektro about First aid at work.')).toBe(
      'Wir haben Trasse Elektro zu Erste Hilfe am Arbeitsplatz befragt.',
    )
    expect(retell('Something nobody ever said 17 times.')).toBe('Something nobody ever said 17 times.')
    speakBy(() => 'en')
    expect(retell('You signed the permission to check.')).toBe('You signed the permission to check.')
  })
})
