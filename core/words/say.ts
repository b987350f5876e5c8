import { createInstance } from 'i18next'
import type { Words } from './catalogue/words'

/** The languages an account may choose; each has every text. */
export const languages = ['en', 'de'] as const
export type Language = (typeof languages)[number]

/** The languages a source is written to and answers in; they have the texts of the page of a reply and of its mails. */
export const sourceLanguages = ['en', 'de', 'fr', 'it'] as const
export type SourceLanguage = (typeof sourceLanguages)[number]

/** English with every text between marks, so that a test finds what on a page is not from the catalogue. */
export const marked = 'x-marked'
export type SpokenLanguage = SourceLanguage | typeof marked

const locales: Record<SpokenLanguage, string> = {
  en: 'en-GB',
  de: 'de-AT',
  fr: 'fr-FR',
  it: 'it-IT',
  [marked]: 'en-GB',
}

/** A text that is chosen by a count has the forms `_one` and `_other`, and is said by its key without them. */
type Stem<Name> = Name extends `${infer Said}_one` | `${infer Said}_other` ? Said : Name
/** The names of the places in a text. */
export type NamesIn<Text> = Text extends `${string}{{${infer Name}}}${infer Rest}` ? Name | NamesIn<Rest> : never

/** The places of each text, with the count it is chosen by. */
type Places = {
  [Name in keyof Words as Stem<Name>]: NamesIn<Words[Name]> | (Name extends `${string}_one` ? 'count' : never)
}
export type Key = keyof Places
export type PlacesOf<Said extends Key> = Places[Said]
type Values<Said extends Key> = { [Name in Places[Said]]: Name extends 'count' ? number : string | number }
type Given<Said extends Key> = [Places[Said]] extends [never] ? [] : [values: Values<Said>]

/** Something to be said later, in the language of whoever reads it. */
export type Coded<Said extends Key = Key> = { code: Said; values?: Record<string, string | number> }

/** Names a text and its values, to be said where it is read. */
export const coded = <Said extends Key>(code: Said, ...[values]: Given<Said>): Coded =>
  values === undefined ? { code } : { code, values: values as Coded['values'] }

const catalogue = createInstance()
void catalogue.init({
  lng: 'en',
  // What a source is not expected to see is said in English.
  fallbackLng: { fr: ['en'], it: ['en'], default: [] },
  resources: {},
  keySeparator: false,
  nsSeparator: false,
  initAsync: false,
  interpolation: { escapeValue: false },
})

let languageNow: () => SpokenLanguage = () => 'en'

/** Adds texts of a language to those that can be said. */
export function learn(language: SourceLanguage, texts: Record<string, string>) {
  catalogue.addResourceBundle(language, 'translation', texts, true, true)
  saidBefore.clear()
}

/** Sets where the language is taken from, each time something is said: the page's choice, or the request's. */
export function speakBy(language: () => SpokenLanguage) {
  languageNow = language
}

export const spokenLanguage = (): SpokenLanguage => languageNow()

/** The tag dates and numbers are written by. */
export const spokenLocale = () => locales[languageNow()]

/**
 * A text of the catalogue in the language spoken at the moment.
 *
 * @param key its name, such as `apply.nextTitle`
 * @param values what goes into its `{{places}}`; a `count` chooses between the forms for one and for several
 */
export function say<Said extends Key>(key: Said, ...[values]: Given<Said>): string {
  return sayCoded({ code: key, values: values as Coded['values'] })
}

/** The same for what is known only as data: happenings, problems and reasons that were kept or passed on. */
export function sayCoded({ code, values }: { code: string; values?: Record<string, string | number> }): string {
  const language = languageNow()
  const lng = language === marked ? 'en' : language
  const text = values ? catalogue.t(code, { lng, ...values }) : plain(lng, code)
  return language === marked ? `⟦${text}⟧` : text
}

/** Whether there is a text by this name in the language of the moment. */
export const isKnown = (code: string): code is Key =>
  catalogue.exists(code, { lng: languageNow() === marked ? 'en' : languageNow() })

/** The names of texts that begin like this and hold this text in the language of the moment, small or capital. */
export function keysHolding(prefix: string, text: string): string[] {
  const language = languageNow() === marked ? 'en' : languageNow()
  const texts = (catalogue.getResourceBundle(language, 'translation') ?? {}) as Record<string, string>
  return Object.keys(texts).filter(
    (key) => key.startsWith(prefix) && texts[key]!.toLowerCase().includes(text.toLowerCase()),
  )
}

/** Texts without values, which are most and always the same. */
const saidBefore = new Map<string, string>()

function plain(lng: string, code: string): string {
  const key = `${lng} ${code}`
  const known = saidBefore.get(key)
  if (known !== undefined) return known
  const said = catalogue.t(code, { lng })
  saidBefore.set(key, said)
  return said
}
