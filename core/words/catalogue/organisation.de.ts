import type english from './organisation.en'
import type { Translated } from './translated'

export default {
  'organisation.field.name': 'Name',
  'organisation.field.street': 'Straße',
  'organisation.field.postcode': 'Postleitzahl',
  'organisation.field.town': 'Ort',
  'organisation.field.country': 'Land',
  'organisation.field.region': 'Region',
  'organisation.field.contact': 'Adresse für Fragen',
  'organisation.field.phone': 'Telefon',
  'organisation.field.timeZone': 'Zeitzone',
  'organisation.field.languages': 'Sprachen',
  'organisation.field.currency': 'Währung',
  'organisation.field.accent': 'Farbe',
  'organisation.field.referencePrefix': 'Anfang der Zeichen',
  'organisation.field.closedDays': 'geschlossene Tage',
  'organisation.field.families': 'Arten der Arbeit',
  'organisation.field.places': 'Orte',
  'organisation.field.welcome': 'Überschrift der Liste',
  'organisation.field.footer': 'Fuß der Mails',
  'organisation.field.keeping': 'Aufbewahrungsfristen',
  'organisation.field.freshMonths': 'wie lange Bestätigtes gilt',
  'organisation.field.enquiries': 'wie Quellen gefragt werden',
  'organisation.field.hearingDays': 'wie lange jemand antworten kann, bevor ein Widerspruch endgültig ist',
  'organisation.field.bank': 'wohin Überweisungen gehen',
} satisfies Translated<typeof english>
