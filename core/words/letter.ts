import type { LetterPart } from '../reading/letter'
import { say } from './say'

/** What a letter of work lacks. */
export const lacksSentence = (parts: readonly LetterPart[]): string =>
  say('reason.letterMissing', { parts: parts.map((part) => say(`reason.letterPart.${part}`)).join(', ') })
