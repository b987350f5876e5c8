import type english from './absence.en'
import type { Translated } from './translated'

export default {
  'absence.awayFrom': 'Abwesend ab',
  'absence.awayThrough': 'Bis einschließlich',
  'absence.whoStandsIn': 'Vertretung',
  'absence.nobody': 'niemand',
  'absence.saveAbsence': 'Speichern',
  'absence.notAway': 'Nicht abwesend',
} satisfies Translated<typeof english>
