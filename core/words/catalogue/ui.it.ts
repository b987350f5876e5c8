import type { Translated } from './translated'
import type english from './ui.en'

/** What sources read of these; the rest is never said to them. */
export default {
  'ui.ifAny': '(se del caso)',
  'ui.oneMoment': 'Un momento…',
  'ui.tryAgain': 'Riprova',
  'ui.charactersLeft_one': 'ancora {{count}} carattere',
  'ui.charactersLeft_other': 'ancora {{count}} caratteri',
  'ui.thisPageCouldNotBe': 'Non è stato possibile mostrare questa pagina',
  'ui.toTheContent': 'Vai al contenuto',
  'ui.thereIsNoConnectionAt': 'Al momento non c’è connessione. Nulla di ciò che ha scritto è perso; riprovi.',
  'ui.vouchingForSomebody': 'Garantire per qualcuno',
  'ui.aQuestionToYou': 'Una domanda per Lei',
  'ui.noDate': 'Questa data non è leggibile. Basta «2021», «2021-07» o «2021-07-09».',
  'ui.openTheCalendar': 'Apri il calendario',
  'ui.nextMonth': 'Mese successivo',
  'ui.previousMonth': 'Mese precedente',
  'ui.year': 'Anno',
  'ui.calendar': 'Calendario',
} satisfies Partial<Translated<typeof english>>
