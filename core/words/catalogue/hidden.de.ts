import type english from './hidden.en'
import type { Translated } from './translated'

export default {
  'hidden.name': 'Name und Papiere',
  'hidden.identity number': 'Ausweisnummer',
  'hidden.birth date': 'Geburtsdatum',
  'hidden.declarations': 'Erklärungen',
  'hidden.health': 'Papier über die Gesundheit',
  'hidden.hidden': 'Verdeckt',
  'hidden.thisPerson': 'Diese Person',
  'hidden.event': 'Verdeckt bis zur engeren Wahl',
  'hidden.money': 'Papier über Geld',
} satisfies Translated<typeof english>
