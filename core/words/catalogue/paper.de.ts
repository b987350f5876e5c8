import type english from './paper.en'
import type { Translated } from './translated'

export default {
  'paper.study': 'die Urkunde über den Abschluss',
  'paper.identity': 'der Reisepass oder Personalausweis',
  'paper.document': 'das genannte Dokument',
  'paper.work': 'ein Zeugnis oder Schreiben zu jeder Stelle',
  'paper.form': '{{papers}}: PDF, JPEG oder PNG, bis 10 MB und 20 Seiten',
  'paper.part.certificate': 'Urkunde',
  'paper.part.transcript': 'Notenspiegel',
  'paper.part.letter of award': 'Verleihungsschreiben',
  'paper.part.proof of enrolment': 'Studienbestätigung',
  'paper.part.front': 'Vorderseite',
  'paper.part.back': 'Rückseite',
  'paper.part.translation': 'Übersetzung',
  'paper.part.data page': 'Seite mit Ihrem Bild',
  'paper.part.portrait': 'Porträt von Ihnen',
  'paper.part.one other paper': 'ein anderes Papier',
  'paper.part.second other paper': 'ein zweites anderes Papier',
  'paper.part.other': 'etwas anderes',
  'paper.and': ' und ',
  'paper.or': ', oder ',
  'paper.needed': 'Gebraucht wird: {{wanted}}.',
  'paper.missing': 'Es fehlt noch: {{missing}}.',
  'paper.untranslated': 'Diese Sprache wird hier nicht gelesen: Legen Sie eine Übersetzung dazu.',
  'paper.certificate': 'das Zeugnis',
  'paper.sheet.title': 'Deckblätter {{about}}',
  'paper.sheet.layOnTop':
    'Legen Sie dieses Blatt auf das Dokument, für das es bestimmt ist, und auf kein anderes. Senden oder scannen Sie beide, dieses Blatt zuerst.',
  'paper.sheet.worksOnce': 'Es findet seine Akte von selbst, wie herum es auch liegt. Es gilt einmal.',
} satisfies Translated<typeof english>
