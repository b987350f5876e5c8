import type english from './completion.en'
import type { Translated } from './translated'

export default {
  'completion.endsOn': 'Fertigzustellen bis {{day}}; danach wird es zurückgestellt, und alle Angaben bleiben erhalten.',
  'completion.moreTime': 'Ich brauche {{count}} Tage mehr',
  'completion.why': 'Warum Sie {{count}} Tage mehr brauchen',
  'completion.extend': 'Mehr Zeit nehmen',
  'completion.setAside':
    'Der letzte Tag zum Fertigwerden war {{day}}; deshalb ist es zurückgestellt. Alle Ihre Angaben sind erhalten.',
  'completion.takeUpAgain': 'Wieder aufnehmen',
  'completion.listed': 'Bis {{day}}',
  'completion.listedAside': 'Zurückgestellt',
  'completion.oncePaid': 'Es geht von selbst weiter, sobald bezahlt ist, was offen ist.',
} satisfies Translated<typeof english>
