import type english from './access.en'
import type { Translated } from './translated'

export default {
  'access.file': 'die Akte',
  'access.imported': 'was importiert wurde',
  'access.name': 'Name und Papiere',
  'access.identity number': 'Ausweisnummer',
  'access.birth date': 'Geburtsdatum',
  'access.declarations': 'Erklärungen',
  'access.health': 'Papier über die Gesundheit',
  'access.paper name': 'Name und Papiere, auf dem Papier',
  'access.paper identity number': 'Ausweisnummer, auf dem Papier',
  'access.paper birth date': 'Geburtsdatum, auf dem Papier',
  'access.paper declarations': 'Erklärungen, auf dem Papier',
  'access.paper health': 'Papier über die Gesundheit, auf dem Papier',
  'access.money': 'Papier über Geld',
  'access.paper money': 'Papier über Geld, auf dem Papier',
} satisfies Translated<typeof english>
