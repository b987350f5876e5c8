import { writeWhen } from '../dates/write'
import { credentialName, languageName } from './names'
import { requirementTitle, type Titled } from './requirementTitle'
import { type Key, type PlacesOf, sayCoded, spokenLocale } from './say'

/**
 * A value as it is kept with a code, so that it can be written in whatever language it is read in: text that somebody typed
 * and numbers as they are, days in ISO form, kinds of the catalogue by their key, and what is itself said by a code.
 */
export type StoredValue =
  | string
  | number
  | { day: string }
  | { moment: string; timeZone: string }
  | { credential: string }
  | { language: string }
  | { title: string; part?: Titled['part']; translations?: Titled['translations'] }
  | StoredText
  | { list: readonly StoredValue[] }
  | { lines: readonly StoredValue[] }
export type StoredValues = { readonly [Name in string]?: StoredValue }

/** A text as it is kept. */
export type StoredText = { code: Key; values?: StoredValues }

/** What a text needs to be kept: nothing, or a value for each of its places. */
export type StoredGiven<Said extends Key> = [PlacesOf<Said>] extends [never]
  ? []
  : [values: { [Name in PlacesOf<Said>]: StoredValue }]

/** Something that was kept as a code and its values, said in the reader's language. */
export const sayStored = (code: string, values?: StoredValues): string =>
  sayCoded({
    code,
    values:
      values &&
      Object.fromEntries(
        Object.entries(values).map(([name, value]) => [name, typeof value === 'number' ? value : writeValue(value!)]),
      ),
  })

/** A value of a text, in the reader's language. */
export function writeValue(value: StoredValue): string {
  if (typeof value !== 'object') return String(value)
  if ('day' in value) return writeWhen(value.day)
  if ('moment' in value) return writeMomentIn(value.moment, value.timeZone)
  if ('credential' in value) return credentialName(value.credential)
  if ('language' in value) return languageName(value.language)
  if ('title' in value) return requirementTitle(value)
  if ('list' in value) return value.list.map((each) => writeValue(each)).join(', ')
  if ('lines' in value) return value.lines.map((each) => writeValue(each)).join('\n')
  return sayStored(value.code, value.values)
}

/** A moment in a time zone: `24 Nov, 17:00`. */
const writeMomentIn = (moment: string, timeZone: string) =>
  new Date(moment).toLocaleString(spokenLocale(), {
    timeZone,
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })
