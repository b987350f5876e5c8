import { spokenLocale } from '#core/words/say'

const codes =
  'ar az be bg bn bs ca cs da de el en es et eu fa fi fr ga gl he hi hr hu hy id is it ja ka kk ko lb lt lv mk ms mt nb nl nn pl ps pt rm ro ru sk sl sq sr sv sw ta th tr uk ur uz vi zh'.split(
    ' ',
  )

/** Languages of instruction by name (ISO 639-1). */
export function languageOptions() {
  const names = new Intl.DisplayNames([spokenLocale()], { type: 'language' })
  return codes
    .map((value) => ({ value, label: names.of(value) ?? value }))
    .sort((a, b) => a.label.localeCompare(b.label))
}
