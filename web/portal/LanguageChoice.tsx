import { languages, type SourceLanguage } from '#core/words/say'
import { chooseLanguage, languageHere } from '../language'
import { languageNames } from '../ui/languageNames'
import { useAct } from '../useAct'
import { useSession } from '../useSession'

/** @param among those of the organisation’s portal where nothing else is said */
export function LanguageChoice({ among }: { among?: readonly SourceLanguage[] }) {
  const { account, organisation, staff } = useSession()
  const offered = among ?? (staff ? languages : (organisation?.languages ?? languages))
  const { act } = useAct('chooseLanguage')
  const choose = async (next: SourceLanguage) => {
    const own = languages.find((language) => language === next)
    if (account && own) await act({ body: { language: own } })
    chooseLanguage(next)
  }
  return (
    <ul className="flex justify-center gap-4">
      {offered.map((language) => (
        <li key={language}>
          {language === languageHere() ? (
            <span aria-current="true" lang={language} className="text-ink-3">
              {languageNames[language]}
            </span>
          ) : (
            <button
              type="button"
              lang={language}
              onClick={() => void choose(language)}
              className="font-semibold text-confirmed underline"
            >
              {languageNames[language]}
            </button>
          )}
        </li>
      ))}
    </ul>
  )
}
