import {
  type Language,
  languages,
  marked,
  type SourceLanguage,
  type SpokenLanguage,
  sourceLanguages,
} from '#core/words/say'

const keptUnder = 'probatum-language'
/** Where a source or a person who vouches answers; they may read more languages than those who work and apply here. */
const isForSources = () => /^\/(reply|vouch)\b/.test(location.pathname)
const isSource = (text: string | null): text is SourceLanguage => sourceLanguages.some((known) => known === text)
const isOwn = (text: string | null): text is Language => languages.some((known) => known === text)

/** The language chosen on this device, or else the first the browser asks for that is spoken here. */
function chosen(): SpokenLanguage {
  const linked = new URLSearchParams(location.search).get('lang')
  if (isSource(linked) || linked === marked) localStorage.setItem(keptUnder, linked)
  const kept = localStorage.getItem(keptUnder)
  if (kept === marked) return marked
  const isSpoken = isForSources() ? isSource : isOwn
  if (isSpoken(kept)) return kept
  return navigator.languages.map((tag) => tag.slice(0, 2)).find(isSpoken) ?? 'en'
}

const language = chosen()

export const languageHere = (): SpokenLanguage => language

/** Keeps the choice and says everything anew; what is typed is kept on the device meanwhile. */
export function chooseLanguage(next: SourceLanguage) {
  localStorage.setItem(keptUnder, next)
  const here = new URL(location.href)
  here.searchParams.delete('lang')
  history.replaceState(history.state, '', here)
  location.reload()
}
