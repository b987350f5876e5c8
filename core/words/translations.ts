import { type Language, languages, spokenLanguage } from './say'

/** What an organisation wrote in other languages than the one it wrote in first; what is absent stands as first written. */
export type Translations<Text extends string, List extends string = never> = {
  readonly [Name in Language]?: { readonly [Field in Text]?: string } & { readonly [Field in List]?: readonly string[] }
}

/** A thing with its texts in the reader's language, as far as they were written in it; lists stay, see `optionWords`. */
export function translated<Thing extends { translations?: Translations<string, string> }>(thing: Thing): Thing {
  const own = translationOf(thing)
  if (!own) return thing
  const given = Object.entries(own).filter(([, text]) => typeof text === 'string' && text !== '')
  return { ...thing, ...Object.fromEntries(given) }
}

/** What was written of a thing in the reader's language, if anything was. */
export function translationOf({ translations }: { translations?: Translations<string, string> }) {
  const language = languages.find((known) => known === spokenLanguage())
  return language && translations?.[language]
}

/** A thing with its texts in the reader's language only: what is sent to somebody who does not change it. */
export function forReader<Thing extends { translations?: Translations<string, string> }>(thing: Thing): Thing {
  const { translations: _, ...plain } = thing
  const own = translationOf(thing)
  return (own ? { ...plain, translations: { [spokenLanguage()]: own } } : plain) as Thing
}
