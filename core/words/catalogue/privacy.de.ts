import type english from './privacy.en'
import type { Translated } from './translated'

export default {
  'privacy.yourApplicationForNotSent': 'Ihre Bewerbung als {{title}}, nicht abgeschickt',
  'privacy.yourApplicationFor': 'Ihre Bewerbung als {{title}}',
  'privacy.keptWhileItIsUnder': 'Aufbewahrt, solange sie läuft.',
  'privacy.yourApplicationForEnded': 'Ihre Bewerbung als {{title}}, beendet',
  'privacy.yourApplicationForClearedTo': 'Ihre Bewerbung als {{title}}, freigegeben',
  'privacy.thatSomethingWasDoneWhen': 'Dass etwas getan wurde, wann, und in welcher Rolle',
  'privacy.exportFile': 'Meine Daten, {{name}}.zip',
  'privacy.keptAfterLastChange_one':
    '{{count}} Tag nach der letzten Änderung aufbewahrt, damit Sie weitermachen können.',
  'privacy.keptAfterLastChange_other':
    '{{count}} Tage nach der letzten Änderung aufbewahrt, damit Sie weitermachen können.',
  'privacy.keptAfterItsEnd_one':
    '{{count}} Tag nach dem Ende aufbewahrt, weil bis dahin Gleichbehandlung eingeklagt werden kann.',
  'privacy.keptAfterItsEnd_other':
    '{{count}} Tage nach dem Ende aufbewahrt, weil bis dahin Gleichbehandlung eingeklagt werden kann.',
  'privacy.keptOfWhoStarted_one':
    '{{count}} Jahr aufbewahrt, weil wir zeigen können müssen, wen wir diese Arbeit tun ließen.',
  'privacy.keptOfWhoStarted_other':
    '{{count}} Jahre aufbewahrt, weil wir zeigen können müssen, wen wir diese Arbeit tun ließen.',
  'privacy.keptWithoutNames_one':
    '{{count}} Jahr ohne Namen und Inhalte aufbewahrt, damit niemand die Aufzeichnung ändern kann.',
  'privacy.keptWithoutNames_other':
    '{{count}} Jahre ohne Namen und Inhalte aufbewahrt, damit niemand die Aufzeichnung ändern kann.',
} satisfies Translated<typeof english>
