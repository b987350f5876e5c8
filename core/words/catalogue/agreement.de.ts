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
  'agreement.field.name': 'Name',
  'agreement.field.birth date': 'Geburtsdatum',
  'agreement.field.phone': 'Telefon',
  'agreement.field.identity number': 'Nummer eines Ausweises',
  'agreement.field.paper number': 'Nummer eines Dokuments',
  'agreement.field.mail': 'Mailadresse',
} satisfies Translated<typeof english>
