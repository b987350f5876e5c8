import { cefrLevels } from '../catalogue/cefr'
import type { KnownFact } from '../conditions/vocabulary'
import { type FeeFact, type PayMeans, payMeans } from '../fees/schedule'
import { credentialName, languageName, studyFieldName, studyLevelName } from './names'
import { optionWords } from './options'
import { say } from './say'
import { translated } from './translations'

/** What something that a condition may look at is called. */
export function factLabel({ of }: Pick<KnownFact, 'of'>): string {
  if ('file' in of) return say(`names.fact.${of.file}`)
  if ('fee' in of) return translated(of.fee).label
  if ('means' in of) return say('fees.means')
  const { label } = translated(of.question)
  if ('language' in of) return say('names.fact.languageLevel', { label, language: languageName(of.language) })
  return of.part ? say(`names.fact.${of.part}`, { label }) : label
}

/** What one of its values is called; a value that is no choice comes back as it is. */
export function factOptionLabel(fact: Pick<KnownFact, 'of'> | undefined, value: string): string {
  if (!fact) return value
  const { of } = fact
  if ('language' in of) return value === '0' ? say('names.languageNotAtAll') : (cefrLevels[Number(value) - 1] ?? value)
  if ('fee' in of) return feeOptionWords(of.fee, value)
  if ('means' in of) return payMeans.some((means) => means === value) ? say(`fees.means.${value as PayMeans}`) : value
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

/** A choice of a fee fact as it is read; what is stored is the one it was written with first. */
export function feeOptionWords(fact: FeeFact, value: string): string {
  if (fact.kind === 'yes or no') return value === 'yes' || value === 'no' ? say(`names.answer.${value}`) : value
  return translated(fact).options?.[fact.options?.indexOf(value) ?? -1] ?? value
}
