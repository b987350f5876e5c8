import { catalogue } from '../catalogue/catalogue'
import { cefrLevels } from '../catalogue/cefr'
import { languages } from '../words/say'
import type { Question } from './form'

/**
 * What a question about languages asks of each of them: which one, by its key in the catalogue, and how well, by the levels of
 * the Common European Framework of Reference.
 *
 * @param label what the two are called, which only where they are shown has to be in words
 */
export function languageParts(label: Record<'language' | 'level', string> = { language: '', level: '' }): Question[] {
  const known = catalogue().languages
  const names = languages.map((language) => [
    language,
    { options: known.map(({ name, translations }) => translations?.[language]?.name ?? name) },
  ])
  return [
    {
      key: 'language',
      label: label.language,
      kind: 'one of',
      required: true,
      options: known.map(({ key }) => key),
      translations: Object.fromEntries(names),
    },
    { key: 'level', label: label.level, kind: 'one of', required: true, options: cefrLevels },
  ]
}

/** What each record of an answer asks, by the kind of the question. */
export const partsOf = (question: Question): readonly Question[] =>
  question.kind === 'languages' ? languageParts() : (question.parts ?? [])

/** How well somebody speaks each language of the catalogue: 1 for A1 to 6 for C2, and 0 for one they did not name. */
export function languageLevels(answer: readonly Readonly<Record<string, string>>[]): Readonly<Record<string, number>> {
  const level = (key: string) => answer.find(({ language }) => language === key)?.level ?? ''
  return Object.fromEntries(
    catalogue().languages.map(({ key }) => [key, (cefrLevels as readonly string[]).indexOf(level(key)) + 1]),
  )
}
