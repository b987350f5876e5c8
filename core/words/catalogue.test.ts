import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { languages, say, sourceLanguages, speakBy } from './say'

const root = new URL('../../', import.meta.url).pathname
const folder = join(root, 'core/words/catalogue')

type Texts = Record<string, string>
const features = [
  ...new Set(readdirSync(folder).flatMap((file) => /^(\w+)\.(?:en|de|fr|it)\.ts$/.exec(file)?.[1] ?? [])),
]
const inLanguage = async (feature: string, language: string): Promise<Texts | undefined> =>
  import(`./catalogue/${feature}.${language}.ts`).then(
    (module) => module.default,
    () => undefined,
  )
const english: Texts = Object.assign({}, ...(await Promise.all(features.map((feature) => inLanguage(feature, 'en')))))

/** Every source that may say something, without the catalogues themselves. */
function sources(): string[] {
  return ['core', 'web', 'server', 'contract'].flatMap((floor) =>
    readdirSync(join(root, floor), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$|words\/(catalogue|groups)\//.test(file))
      .map((file) => readFileSync(join(root, floor, file), 'utf8')),
  )
}

const placesIn = (text: string) => [...new Set([...text.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]!))].sort()

test('a catalogue bears the names of its file', async () => {
  for (const feature of features)
    for (const key of Object.keys((await inLanguage(feature, 'en'))!)) expect(key.startsWith(`${feature}.`)).toBe(true)
})

test('every text is said somewhere: by its name, or by the beginning of a name that ends in a code', () => {
  const code = sources().join('\n')
  const said = new Set([...code.matchAll(/['"`]([a-zA-Z-]+\.[^'"`\n${}]*)['"`]/g)].map((match) => match[1]!))
  const beginnings = [...code.matchAll(/`([a-zA-Z-]+\.[^`\n${}]*)\$\{/g)].map((match) => match[1]!)
  const stems = [...new Set(Object.keys(english).map((key) => key.replace(/_(one|other)$/, '')))]
  // Mails and events are named by their words alone.
  const named = (key: string) => said.has(key) || beginnings.some((beginning) => key.startsWith(beginning))
  expect(stems.filter((key) => !named(key))).toEqual([])
})

describe.each(sourceLanguages)('in %s', (language) => {
  test('each feature has all its texts, with the same places, none of them empty', async () => {
    for (const feature of features) {
      const texts = await inLanguage(feature, language)
      const isWhole = languages.some((whole) => whole === language)
      const own = (await inLanguage(feature, 'en'))!
      // Sources' languages have what sources read.
      if (isWhole) expect(Object.keys(texts ?? {}).sort()).toEqual(Object.keys(own).sort())
      else expect(Object.keys(own)).toEqual(expect.arrayContaining(Object.keys(texts ?? {})))
      for (const [key, text] of Object.entries(texts ?? {})) {
        expect([key, text.trim() !== '']).toEqual([key, true])
        // The form for one may leave the number out.
        const places = placesIn(text)
        const wanted = placesIn(own[key]!)
        if (key.endsWith('_one')) expect(wanted.concat('count')).toEqual(expect.arrayContaining(places))
        else expect([key, places]).toEqual([key, wanted])
      }
    }
  })
})

test('a text is said in the language of the moment, with one or many', () => {
  const spoken = (language: (typeof sourceLanguages)[number]) => {
    speakBy(() => language)
    return [say('dates.days', { count: 1 }), say('dates.days', { count: 3 }), say('apply.nextTitle', { title: 'X' })]
  }
  expect(spoken('en')).toEqual(['1 day', '3 days', 'Next: X'])
  expect(spoken('de')).toEqual(['1 Tag', '3 Tage', 'Weiter: X'])
  speakBy(() => 'en')
})
