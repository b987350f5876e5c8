import type english from './messages.en'
import type { Translated } from './translated'

export default {
  'messages.field.name': 'den vollen Namen',
  'messages.field.givenName': 'den Vornamen',
  'messages.field.vacancy': 'die Stelle, um die es geht',
  'messages.field.place': 'den Ort der Stelle',
  'messages.field.reference': 'das Zeichen der Bewerbung',
  'messages.field.start': 'den gewünschten Beginn, als Datum',
  'messages.field.link': 'die Adresse der eigenen Statusseite',
  'messages.field.contact': 'wie wir zu erreichen sind',
  'messages.noAddress': 'Es gibt keine Adresse, an die man schreiben könnte.',
  'messages.noValue': 'Für {{field}} gibt es nichts einzusetzen.',
  'messages.thereIsMail': '{{operator}}: {{subject}}. Näheres steht in der Mail und unter {{link}}',
  'messages.because.said': '{{said}}',
  'messages.because.notTakenYet': 'Noch nicht angenommen: {{said}}',
  'messages.because.notHandedOver': 'Nicht zu übergeben: {{said}}',
  'messages.because.noNumber': 'Kein Telefon hat diese Nummer.',
  'messages.byTextAlone': '{{operator}}: {{subject}}. Mehr unter {{link}}',
  'messages.refusesGeneral': 'Allgemeine Nachrichten wurden abgelehnt.',
  'messages.phoneCode.subject': 'Ein Code für Ihre Nummer',
  'messages.phoneCode.text':
    '{{operator}}: {{code}} ist der Code, der diese Nummer bestätigt. Er gilt {{minutes}} Minuten.',
} satisfies Translated<typeof english>
