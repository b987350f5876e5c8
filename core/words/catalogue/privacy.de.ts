import type english from './privacy.en'
import type { Translated } from './translated'

export default {
  'privacy.yourApplicationForNotSent': 'Ihre Bewerbung als {{title}}, nicht abgeschickt',
  'privacy.keptFor180DaysAfter': '180 Tage nach der letzten Änderung aufbewahrt, damit Sie weitermachen können.',
  'privacy.yourApplicationFor': 'Ihre Bewerbung als {{title}}',
  'privacy.keptWhileItIsUnder': 'Aufbewahrt, solange sie läuft.',
  'privacy.yourApplicationForEnded': 'Ihre Bewerbung als {{title}}, beendet',
  'privacy.keptFor183DaysAfter':
    '183 Tage nach dem Ende aufbewahrt, weil bis dahin Gleichbehandlung eingeklagt werden kann.',
  'privacy.yourApplicationForClearedTo': 'Ihre Bewerbung als {{title}}, freigegeben',
  'privacy.keptForSevenYearsBecause':
    'Sieben Jahre aufbewahrt, weil wir zeigen können müssen, wen wir an Fahrgäste und Seile gelassen haben.',
  'privacy.thatSomethingWasDoneWhen': 'Dass etwas getan wurde, wann, und in welcher Rolle',
  'privacy.keptForSevenYearsWithout':
    'Sieben Jahre ohne Namen und Inhalte aufbewahrt, damit niemand die Aufzeichnung ändern kann.',
  'privacy.exportFile': 'Meine Daten, {{name}}.zip',
} satisfies Translated<typeof english>
