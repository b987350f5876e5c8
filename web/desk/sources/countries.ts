import { spokenLocale } from '#core/words/say'

/** Every country CLDR has a name for, in the reader's language. */
export function countries(): { value: string; label: string }[] {
  const names = new Intl.DisplayNames([spokenLocale()], { type: 'region', fallback: 'none' })
  const letters = Array.from({ length: 26 }, (_, nth) => String.fromCharCode(65 + nth))
  return letters
    .flatMap((one) => letters.map((two) => one + two))
    .flatMap((value) => {
      const label = names.of(value)
      return label && !/^(EU|EZ|UN|XA|XB|QO|ZZ)$/.test(value) ? [{ value, label }] : []
    })
    .sort((a, b) => a.label.localeCompare(b.label))
}
