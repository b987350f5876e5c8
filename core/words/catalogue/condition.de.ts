import type english from './condition.en'
import type { Translated } from './translated'

export default {
  'condition.and': ' und ',
  'condition.or': ' oder ',
  'condition.neither': 'nichts davon trifft zu: ',
  'condition.always': 'immer',
  'condition.never': 'nie',
  'condition.is': '{{label}} ist {{is}}',
  'condition.oneOf': '{{label}} ist {{values}}',
  'condition.atLeast': '{{label}} ist mindestens {{atLeast}}',
  'condition.atMost': '{{label}} ist höchstens {{atMost}}',
  'condition.holds': '{{label}} enthält {{holds}}',
  'condition.onOrBefore': '{{label}} ist am oder vor dem {{onOrBefore}}',
  'condition.onOrAfter': '{{label}} ist am oder nach dem {{onOrAfter}}',
  'condition.operator.is': 'ist',
  'condition.operator.oneOf': 'ist eines von',
  'condition.operator.atLeast': 'ist mindestens',
  'condition.operator.atMost': 'ist höchstens',
  'condition.operator.holds': 'enthält',
  'condition.operator.onOrBefore': 'ist am oder vor dem',
  'condition.operator.onOrAfter': 'ist am oder nach dem',
  'condition.fault.unknown-fact':
    'Die Bedingung sieht „{{fact}}“ an, das hier nicht gefragt wird. Wählen Sie eine Frage, die gestellt wird.',
  'condition.fault.unfit-comparison': '„{{fact}}“ lässt sich so nicht vergleichen. Wählen Sie den Vergleich neu.',
  'condition.fault.unknown-option': '„{{fact}}“ hat nie den Wert „{{option}}“. Wählen Sie einen möglichen.',
  'condition.fault.asked-later':
    'Die Bedingung sieht „{{fact}}“ an, das erst später gefragt wird. Verschieben Sie die Frage nach oben, oder wählen Sie eine frühere.',
  'condition.fault.never-holds':
    'Die Bedingung kann nie zutreffen, was auch geantwortet wird. Entfernen Sie einen Teil.',
  'condition.fault.always-holds': 'Die Bedingung trifft immer zu, was auch geantwortet wird. Sie kann wegfallen.',
  'condition.source.own form': 'ihr eigenes Freigabeformular, von Hand unterschrieben',
  'condition.source.signature': 'eine von Hand unterschriebene Erlaubnis',
  'condition.source.copy of the paper': 'eine Kopie des Papiers',
  'condition.source.number': 'die Nummer',
  'condition.source.fee': 'einen Beleg, dass ihre Gebühr bezahlt ist',
  'condition.source.language': 'eine Übersetzung des Papiers',
} satisfies Translated<typeof english>
