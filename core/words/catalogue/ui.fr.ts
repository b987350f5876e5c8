import type { Translated } from './translated'
import type english from './ui.en'

/** What sources read of these; the rest is never said to them. */
export default {
  'ui.ifAny': '(le cas échéant)',
  'ui.oneMoment': 'Un instant…',
  'ui.tryAgain': 'Réessayer',
  'ui.charactersLeft_one': 'encore {{count}} caractère',
  'ui.charactersLeft_other': 'encore {{count}} caractères',
  'ui.thisPageCouldNotBe': 'Cette page n’a pas pu être affichée',
  'ui.toTheContent': 'Aller au contenu',
  'ui.thereIsNoConnectionAt':
    'Pas de connexion pour le moment. Rien de ce que vous avez écrit n’est perdu ; réessayez.',
  'ui.vouchingForSomebody': 'Se porter garant',
  'ui.aQuestionToYou': 'Une question pour vous',
  'ui.noDate': 'Cette date est illisible. « 2021 », « 2021-07 » ou « 2021-07-09 » suffit.',
  'ui.openTheCalendar': 'Ouvrir le calendrier',
  'ui.nextMonth': 'Mois suivant',
  'ui.previousMonth': 'Mois précédent',
  'ui.year': 'Année',
  'ui.calendar': 'Calendrier',
} satisfies Partial<Translated<typeof english>>
