import type { Named } from '#core/catalogue/catalogue'
import { iscedFields, iscedLevels } from '#core/catalogue/standards'
import { say, spokenLocale } from '#core/words/say'
import { choicesOf } from '../../ui/choices'
import { SelectField, TextField } from '../../ui/Field'
import { ThingForm } from './ThingForm'
import { type DialogProps, useThing } from './useCatalogue'

const nothing: Named = { key: '', name: '' }

export type NamedPart = 'levels' | 'fields' | 'languages'

/** A level, a field or a language: named by a standard, and called what the organisation calls it. */
export function NamedDialog(props: DialogProps<NamedPart>) {
  const { part, edited, thing } = props
  const { given, set, error, form } = useThing(props, nothing)
  const known = new Set(edited.catalogue[part].map(({ key }) => key))
  const choices = choicesOf(standardOf[part]().filter(({ key }) => !known.has(key)))
  const code = thing ? (
    <TextField label={say('catalogue.code')} value={given.key} disabled />
  ) : (
    <SelectField
      label={say('catalogue.fromStandard')}
      empty={say('catalogue.chooseOne')}
      options={choices.map(({ value, label }) => ({ value, label: `${value} ${label}` }))}
      value={given.key}
      onChange={(event) => set(standardOf[part]().find(({ key }) => key === event.target.value) ?? nothing)}
      error={error('key')}
    />
  )
  return <ThingForm {...form} above={<div className="sm:col-span-2">{code}</div>} />
}

/** What each part can be chosen from. */
const standardOf: Record<NamedPart, () => readonly Named[]> = {
  levels: () => iscedLevels,
  fields: () => iscedFields,
  languages: everyLanguage,
}

/** Every language of ISO 639-1 that CLDR has a name for. */
function everyLanguage(): Named[] {
  const names = ['en', 'de'].map((locale) => new Intl.DisplayNames([locale], { type: 'language', fallback: 'none' }))
  const letters = Array.from({ length: 26 }, (_, nth) => String.fromCharCode(97 + nth))
  return letters
    .flatMap((one) => letters.map((two) => one + two))
    .flatMap((key): Named[] => {
      const [name, german] = names.map((known) => known.of(key))
      return name ? [{ key, name, translations: { de: { name: german ?? name } } }] : []
    })
    .sort((one, other) => one.name.localeCompare(other.name, spokenLocale()))
}
