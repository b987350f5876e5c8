import type english from './field.en'
import type { Translated } from './translated'

export default {
  'field.name': 'Nome',
  'field.born': 'Data di nascita',
  'field.title': 'Tipo',
  'field.number': 'Numero',
  'field.issued': 'Rilasciato il',
  'field.through': 'Valido fino al',
  'field.award': 'Titolo',
  'field.subject': 'Materia',
  'field.awarded': 'Conferito il',
  'field.position': 'Funzione',
  'field.from': 'Primo giorno',
  'field.to': 'Ultimo giorno',
  'field.amount': 'Importo',
  'field.second': 'Seconda materia',
} satisfies Translated<typeof english>
