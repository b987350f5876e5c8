import type english from './step.en'
import type { Translated } from './translated'

export default {
  'step.what.answer': 'antworten',
  'step.what.explain': 'erklären',
  'step.what.upload': 'Dokument schicken',
  'step.what.renew': 'erneuern',
  'step.what.look': 'Dokument ansehen',
  'step.what.ask': 'Quelle befragen',
  'step.what.reply': 'antworten',
  'step.what.compare': 'Antwort vergleichen',
  'step.what.decide': 'entscheiden',
  'step.what.sit check': 'Prüfung ablegen',
  'step.what.sign': 'unterschreiben',
  'step.what.do task': 'Aufgabe erledigen',
  'step.what.make offer': 'anbieten',
  'step.what.pay': 'zahlen',
  'step.what.name someone': 'jemanden nennen',
  'step.who.candidate': 'Bewerber/in',
  'step.who.desk': 'Koordination',
  'step.who.source': 'Quelle',
  'step.who.hiring manager': 'Fachbereich',
  'step.who.reader': 'Sie',
  'step.turn': '{{who}}: {{what}}',
  'step.what.take portrait': 'Bild aufnehmen',
  'step.what.certify': 'das Papier beglaubigen lassen',
  'step.who.employer': 'Arbeitgeber',
} satisfies Translated<typeof english>
