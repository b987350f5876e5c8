import { createInstance } from 'i18next'
import english from './english.json' with { type: 'json' }

export const languages = ['en', 'de'] as const
export type Language = (typeof languages)[number]

/**
 * The catalogue of what is said to people outside the desk. A text in English is its own key; `english.json` holds only
 * the forms for one, and `german.json` everything in German.
 */
const catalogue = createInstance()
void catalogue.init({
  lng: 'en',
  fallbackLng: false,
  resources: { en: { translation: english } },
  keySeparator: false,
  nsSeparator: false,
  initAsync: false,
  interpolation: { escapeValue: false },
})

let languageNow: () => Language = () => 'en'

/** Adds the texts of a language. */
export function learn(language: Language, texts: Record<string, string>) {
  catalogue.addResourceBundle(language, 'translation', texts)
  saidBefore.clear()
}

/** The texts of a language, by their English. */
export const textsOf = (language: Language): Record<string, string> =>
  (catalogue.getResourceBundle(language, 'translation') ?? {}) as Record<string, string>

/** Sets where the language is taken from, each time something is said: the page's choice, or the request's. */
export function speakBy(language: () => Language) {
  languageNow = language
}

export const spokenLanguage = (): Language => languageNow()

/** The tag dates and numbers are written by. */
export const spokenLocale = () => (languageNow() === 'de' ? 'de-AT' : 'en-GB')

/**
 * A text in the language spoken at the moment.
 *
 * @param text in English, with `{{names}}` where values go
 * @param values `count` chooses between the forms for one and for several
 */
export function say(text: string, values?: Record<string, string | number>): string {
  // In English only a count chooses between forms; everything else stands as it is written.
  if (values && languageNow() === 'en' && !('count' in values)) return filled(text, values)
  if (values) return catalogue.t(text, { lng: languageNow(), ...values })
  const key = `${languageNow()} ${text}`
  const known = saidBefore.get(key)
  if (known !== undefined) return known
  const said = catalogue.t(text, { lng: languageNow() })
  if (saidBefore.size < mostRemembered) saidBefore.set(key, said)
  return said
}

const filled = (text: string, values: Record<string, string | number>) =>
  text.replace(/\{\{(\w+)\}\}/g, (_, name: string) => String(values[name] ?? ''))

/** Texts without values, which are most and always the same. */
const saidBefore = new Map<string, string>()
const mostRemembered = 5000
