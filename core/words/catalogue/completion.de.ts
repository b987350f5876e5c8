import type english from './completion.en'
import type { Translated } from './translated'

export default {
  'completion.endsOn': 'Fertigzustellen bis {{day}}; danach wird es zurückgestellt, und alle Angaben bleiben erhalten.',
  'completion.moreTime': 'Ich brauche {{count}} Tage mehr',
  'completion.why': 'Warum Sie {{count}} Tage mehr brauchen',
  'completion.extend': 'Mehr Zeit nehmen',
  'completion.setAside': 'Das war bis {{day}} nicht fertig und ist zurückgestellt. Alle Ihre Angaben sind erhalten.',
  'completion.takeUpAgain': 'Wieder aufnehmen',
  'completion.listed': 'Bis {{day}}',
  'completion.listedAside': 'Zurückgestellt',
} satisfies Translated<typeof english>
