import type { Translated } from './translated'
import type english from './zone.en'

export default {
  'zone.none':
    'Keine maschinenlesbaren Zeilen gefunden. Legen Sie das Papier flach hin, die zwei oder drei Zeilen mit Buchstaben im Bild.',
  'zone.notWhole':
    'Die maschinenlesbaren Zeilen waren nicht vollständig. Achten Sie darauf, dass kein Finger und kein Licht sie verdeckt.',
  'zone.visa': 'Das ist ein Visum. Es zeigt nicht, wer Sie sind; nehmen Sie Ihren Pass oder Ihren Ausweis auf.',
  'zone.the.number': 'die Nummer',
  'zone.the.born': 'das Geburtsdatum',
  'zone.the.through': 'der letzte Tag',
  'zone.the.whole': 'das Ganze',
  'zone.misread':
    'Die Prüfziffern stimmen nicht ({{fields}}): Es wurde falsch gelesen. Versuchen Sie es mit besserem Licht noch einmal.',
  'zone.field.issuer': 'Ausstellender Staat',
  'zone.field.nationality': 'Staatsangehörigkeit',
  'zone.field.names': 'Namen',
  'zone.field.number': 'Nummer',
  'zone.field.born': 'Geburtsdatum',
  'zone.field.through': 'Gültig bis',
  'zone.field.check digits': 'Prüfziffern',
  'zone.unreadable': 'Die maschinenlesbaren Zeilen dazu sind nicht zu lesen.',
  'zone.own.number': 'Nummer',
  'zone.own.issuer': 'Aussteller',
  'zone.own.familyName': 'Familienname',
  'zone.own.givenNames': 'Vornamen',
  'zone.own.born': 'Geburtsdatum',
  'zone.own.through': 'letzter Tag',
  'zone.own.whole': 'das Ganze',
  'zone.differs': 'Die Angabe weicht von den maschinenlesbaren Zeilen ab: {{fields}}.',
  'zone.wrongDigits': 'Prüfziffern der maschinenlesbaren Zeilen stimmen nicht: {{fields}}.',
  'zone.mended': 'Zeichen der maschinenlesbaren Zeilen wurden als ähnliche gelesen. Vergleichen Sie:',
  'zone.asInZone': 'Wie in den maschinenlesbaren Zeilen; jede Prüfziffer stimmt.',
} satisfies Translated<typeof english>
