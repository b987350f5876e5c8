import { type Language, languages, say } from '#core/words/say'
import type { Translations } from '#core/words/translations'
import { TextField } from '../../ui/Field'

/** The language in which things are named first; what is not written in another stands in this one. */
export const first: Language = 'en'

type Named<Text extends string> = Record<Text, string> & { translations?: Translations<string, string> }

/** One text of something in every language. */
export function TextInLanguages<Text extends string>({
  field,
  of,
  label,
  onChange,
  error,
}: {
  field: Text
  of: Named<Text>
  label: (language: string) => string
  onChange: (change: { [Name in Text]?: string } & { translations?: Translations<never> }) => void
  error: (field: string) => string | undefined
}) {
  return languages.map((language) => {
    const own = language === first
    return (
      <TextField
        key={language}
        data-first={own || undefined}
        label={label(say(`administration.language.${language}`))}
        value={(own ? of[field] : of.translations?.[language]?.[field]) ?? ''}
        onChange={(event) => {
          const text = event.target.value
          onChange(
            (own ? { [field]: text } : { translations: withText(of.translations, language, field, text) }) as never,
          )
        }}
        error={own ? error(field) : error(`translations/${language}/${field}`)}
      />
    )
  })
}

/** Translations with one text written anew; a text that is empty stands as first written. */
function withText(
  before: Translations<string, string> | undefined,
  language: Language,
  field: string,
  text: string,
): Translations<string, string> | undefined {
  const { [field]: _, ...others } = { ...before?.[language] } as Record<string, unknown>
  const own = { ...others, ...(text === '' ? {} : { [field]: text }) }
  const { [language]: __, ...rest } = { ...before } as Record<string, unknown>
  const next = { ...rest, ...(Object.keys(own).length > 0 ? { [language]: own } : {}) }
  return (Object.keys(next).length > 0 ? next : undefined) as Translations<string, string> | undefined
}
