import type { KnownFact } from '../conditions/vocabulary'
import type { Recipient } from '../recipients/choice'
import { conditionWords } from './conditions'
import { say } from './say'
import { translated } from './translations'

/** A body that may be chosen, as a sentence: who it is, when it receives something, and to whom it is not open. */
export function recipientSentence(recipient: Recipient, known: readonly KnownFact[]): string {
  const { name, mail, gate, about = '', exclusions = [] } = translated(recipient)
  const closed = exclusions.map((exclusion) =>
    say('rules.notOpenIf', {
      condition: conditionWords(exclusion.when, known),
      because: translated(exclusion).because,
    }),
  )
  return [say('rules.recipient', { name, mail, gate: say(`ask.byGate.${gate}`), about }).trim(), ...closed].join(' ')
}
