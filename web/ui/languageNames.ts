import type { SourceLanguage } from '#core/words/say'

/** Each language by its own name, so that whoever needs it can read it. */
export const languageNames: Record<SourceLanguage, string> = {
  en: 'English',
  de: 'Deutsch',
  fr: 'Français',
  it: 'Italiano',
}
