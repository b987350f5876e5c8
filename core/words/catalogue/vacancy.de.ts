import type { Translated } from './translated'
import type english from './vacancy.en'

export default {
  'vacancy.field.title': 'Titel',
  'vacancy.field.family': 'Art der Arbeit',
  'vacancy.field.place': 'Ort',
  'vacancy.field.payFrom': 'unteres Entgelt',
  'vacancy.field.payTo': 'oberes Entgelt',
  'vacancy.field.contract': 'Vertrag',
  'vacancy.field.hours': 'Arbeitszeit',
  'vacancy.field.headcount': 'Anzahl der Stellen',
  'vacancy.field.summary': 'Zusammenfassung',
  'vacancy.field.duties': 'Aufgaben',
  'vacancy.field.opensAt': 'Öffnung',
  'vacancy.field.closesAt': 'Schluss',
  'vacancy.field.timeZone': 'Zeitzone',
  'vacancy.field.targetStart': 'Antritt',
  'vacancy.field.paperLanguages': 'Sprachen der Papiere',
  'vacancy.field.decidedBy': 'wer entscheidet',
} satisfies Translated<typeof english>
