import type { PaperNeed, PaperPart } from '../documents/papers'
import { say } from './say'

export const paperPartWords = (part: PaperPart): string => say(`paper.part.${part}`)

export const paperListWords = (parts: readonly PaperPart[]): string => parts.map(paperPartWords).join(say('paper.and'))

/** What papers are wanted and what is still missing, in a sentence or two; nothing where all is there. */
export function paperNeedWords({ sets, missing, untranslated }: PaperNeed, held: number): string {
  const lack = () =>
    held === 0
      ? say('paper.needed', { wanted: sets.map(paperListWords).join(say('paper.or')) })
      : say('paper.missing', { missing: paperListWords(missing) })
  return [
    ...(missing.length > 0 ? [lack()] : []),
    ...(untranslated.length > 0 ? [say('paper.untranslated')] : []),
  ].join(' ')
}
