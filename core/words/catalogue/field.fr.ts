import type english from './field.en'
import type { Translated } from './translated'

export default {
  'field.name': 'Nom',
  'field.born': 'Né(e) le',
  'field.title': 'Genre',
  'field.number': 'Numéro',
  'field.issued': 'Délivré le',
  'field.through': 'Valable jusqu’au',
  'field.award': 'Diplôme',
  'field.subject': 'Matière',
  'field.awarded': 'Décerné le',
  'field.position': 'Fonction',
  'field.from': 'Premier jour',
  'field.to': 'Dernier jour',
  'field.amount': 'Montant',
  'field.second': 'Deuxième branche ou mineure',
} satisfies Translated<typeof english>
