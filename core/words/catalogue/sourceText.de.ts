import type english from './sourceText.en'
import type { Translated } from './translated'

/** Wie die Texte an Stellen heißen, und womit sie gefüllt werden. */
export default {
  'sourceText.mail.enquiry.work': 'Frage nach einer Arbeit, als Mail',
  'sourceText.mail.enquiry.issued': 'Frage nach einem Nachweis, als Mail',
  'sourceText.mail.enquiry.several': 'Frage nach mehreren Personen, als Mail',
  'sourceText.mail.enquiry.direct': 'Bitte, selbst eine Bestätigung zu schicken',
  'sourceText.mail.enquiryReminder': 'Erinnerung',
  'sourceText.mail.enquiryReminder.several': 'Erinnerung an mehrere Personen',
  'sourceText.mail.enquiry.forwarded': 'Frage, die jemand dort weiterreicht',
  'sourceText.letter.text.work': 'Frage nach einer Arbeit, im Brief',
  'sourceText.letter.text.issued': 'Frage nach einem Nachweis, im Brief',
  'sourceText.letter.text.several': 'Frage nach mehreren Personen, im Brief',
  'sourceText.field.candidate': 'der Name der Person',
  'sourceText.field.claim': 'wonach gefragt wird',
  'sourceText.field.source': 'der Name der Quelle',
  'sourceText.field.operator': 'unser Name',
  'sourceText.field.fields': 'was zu bestätigen ist',
  'sourceText.field.reference': 'das Zeichen der Frage',
  'sourceText.field.answerBy': 'bis wann eine Antwort erhofft wird',
  'sourceText.field.link': 'der Link zur Antwort',
  'sourceText.field.count': 'wie viele Personen',
  'sourceText.field.people': 'die Personen, je eine Zeile',
  'sourceText.field.asked': 'der Tag, an dem gefragt wurde',
  'sourceText.field.contact': 'unsere Mailadresse',
  'sourceText.field.address': 'unsere Postadresse',
  'sourceText.field.by': 'wer weiterreicht',
} satisfies Translated<typeof english>
