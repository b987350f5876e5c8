import type english from './field.en'
import type { Translated } from './translated'

export default {
  'field.name': 'Name',
  'field.born': 'Geboren',
  'field.title': 'Art',
  'field.number': 'Nummer',
  'field.issued': 'Ausgabe',
  'field.through': 'Gültig bis',
  'field.award': 'Abschluss',
  'field.subject': 'Fach',
  'field.awarded': 'Verliehen',
  'field.position': 'Position',
  'field.from': 'Erster Tag',
  'field.to': 'Letzter Tag',
  'field.amount': 'Betrag',
  'field.second': 'Zweites Fach oder Nebenfach',
} satisfies Translated<typeof english>
