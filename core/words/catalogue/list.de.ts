import type english from './list.en'
import type { Translated } from './translated'

export default {
  'list.applications': 'Bewerbungen',
  'list.queue': 'Arbeitsliste',
  'list.behalf': 'Im Namen anderer',
  'list.tray': 'Papierablage',
  'list.imports': 'Importe',
  'list.duplicates': 'Doppelte',
  'list.sources': 'Stellen, die bestätigen',
  'list.vacancies': 'Stellen',
  'list.outbox': 'Nicht zugestellte Mails',
  'list.trail': 'Protokoll',
  'list.fingerprint': 'Fingerabdruck des Protokolls',
  'list.access-log': 'Wer was gesehen hat',
} satisfies Translated<typeof english>
