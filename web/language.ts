import { type Language, languages, speakBy } from '#core/words/say'

const keptUnder = 'probatum-language'
const isLanguage = (text: string | null): text is Language => languages.some((language) => language === text)

/** The language the person chose on this device, or else the first their browser asks for that is spoken here. */
function chosen(): Language {
  const linked = new URLSearchParams(location.search).get('lang')
  if (isLanguage(linked)) localStorage.setItem(keptUnder, linked)
  const kept = localStorage.getItem(keptUnder)
  if (isLanguage(kept)) return kept
  return navigator.languages.map((tag) => tag.slice(0, 2)).find(isLanguage) ?? 'en'
}

const language = chosen()

/** The desk and the sources' page are in English; everything a candidate sees is in their language. */
export const languageHere = (): Language => (/^\/(desk|reply)\b/.test(location.pathname) ? 'en' : language)

/** Loads the texts of the language before anything is said. */
export async function prepareLanguage() {
  if (language === 'de') (await import('#core/words/german')).learnGerman()
  speakBy(languageHere)
  document.documentElement.lang = languageHere()
}

/** Keeps the choice and says everything anew; what is typed is kept on the device meanwhile. */
export function chooseLanguage(next: Language) {
  localStorage.setItem(keptUnder, next)
  location.reload()
}
