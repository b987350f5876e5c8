import type english from './agreement.en'
import type { Translated } from './translated'

export default {
  'agreement.same': 'gleich',
  'agreement.equivalent': 'gleich, anders geschrieben',
  'agreement.close': 'fast gleich',
  'agreement.different': 'anders',
  'agreement.not stated': 'nicht in beiden angegeben',
  'agreement.misread': 'fast gleich: Zeichen, die einander ähneln',
  'agreement.swapped': 'fast gleich: zwei Zeichen vertauscht',
  'agreement.dayAndMonth': 'fast gleich: Tag und Monat vertauscht',
  'agreement.partMissing': 'gleich bis auf „{{parts}}“',
  'agreement.oneDigit': 'fast gleich: eine Ziffer ist anders',
  'agreement.sameName': 'derselbe Name, anders geschrieben',
} satisfies Translated<typeof english>
