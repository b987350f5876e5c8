import type { Question } from '../form/form'
import { say } from './say'
import { translated, translationOf } from './translations'

/** What a choice is called that is kept as it was first written. */
export function optionWords(question: Question, option: string): string {
  if (question.kind === 'yes or no' && (option === 'yes' || option === 'no')) return say(`names.answer.${option}`)
  if (question.kind === 'declaration' && option === 'agreed') return say('names.answer.agreed')
  const recipient = question.recipients?.find(({ key }) => key === option)
  if (recipient) return translated(recipient).name
  const place = question.options?.indexOf(option) ?? -1
  return (place >= 0 && translationOf(question)?.options?.[place]) || option
}
