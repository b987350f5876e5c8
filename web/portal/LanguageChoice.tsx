import { type Language, languages } from '#core/words/say'
import { chooseLanguage, languageHere } from '../language'

/** Each language by its own name, so that whoever needs it can read it. */
const names: Record<Language, string> = { en: 'English', de: 'Deutsch' }

export function LanguageChoice() {
  return (
    <ul className="flex justify-center gap-4">
      {languages.map((language) => (
        <li key={language}>
          {language === languageHere() ? (
            <span aria-current="true" lang={language} className="text-ink-3">
              {names[language]}
            </span>
          ) : (
            <button
              type="button"
              lang={language}
              onClick={() => chooseLanguage(language)}
              className="font-semibold text-confirmed underline"
            >
              {names[language]}
            </button>
          )}
        </li>
      ))}
    </ul>
  )
}
