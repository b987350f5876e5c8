import { cefrLevels } from '../catalogue/cefr'
import type { KnownFact } from '../conditions/vocabulary'
import { credentialName, languageName, studyFieldName, studyLevelName } from './names'
import { optionWords } from './options'
import { say } from './say'
import { translated } from './translations'

/** What something that a condition may look at is called. */
export function factLabel({ of }: Pick<KnownFact, 'of'>): string {
  if ('file' in of) return say(`names.fact.${of.file}`)
  const { label } = translated(of.question)
  if ('language' in of) return say('names.fact.languageLevel', { label, language: languageName(of.language) })
  return of.part ? say(`names.fact.${of.part}`, { label }) : label
}

/** What one of its values is called; a value that is no choice comes back as it is. */
export function factOptionLabel(fact: Pick<KnownFact, 'of'> | undefined, value: string): string {
  if (!fact) return value
  const { of } = fact
  if ('language' in of) return value === '0' ? say('names.languageNotAtAll') : (cefrLevels[Number(value) - 1] ?? value)
  if (!('file' in of)) return of.part ? value : optionWords(of.question, value)
  switch (of.file) {
    case 'file.studyLevel':
      return studyLevelName(Number(value))
    case 'file.studyFields':
    case 'file.accreditedFields':
      return studyFieldName(value)
    case 'file.credentials':
      return credentialName(value)
    case 'file.checksPassed':
      return of.titles?.[value] ?? value
    case 'file.workMonths':
    case 'file.workTags':
      return value
  }
}
