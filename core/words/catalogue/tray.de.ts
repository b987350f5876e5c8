import type { Translated } from './translated'
import type english from './tray.en'

export default {
  'tray.fault.blank': 'Jede Seite ist leer.',
  'tray.fault.tooOften': 'Das ließ sich nicht verarbeiten. Legen Sie es noch einmal ein.',
  'tray.fault.unreadable': 'Der Scan war nicht zu lesen. Scannen Sie noch einmal, oder in Teilen.',
  'tray.fault.brokenPdf': 'Das PDF lässt sich nicht öffnen. Scannen Sie noch einmal, oder speichern Sie es neu.',
  'tray.fault.tooManyPages': 'Der Scan hat mehr als {{most}} Seiten. Scannen Sie in Teilen.',
  'tray.fault.wrongKind':
    'Die Datei ist kein PDF, TIFF, JPEG oder PNG oder nicht vollständig. Scannen Sie noch einmal.',
  'tray.sheetAlone': 'Ein Deckblatt kam ohne sein Papier.',
  'tray.notFiled': '{{sheet}} ließ sich nicht ablegen: {{why}}',
  'tray.sheetLikely': 'Das Deckblatt ist nicht sicher zu lesen; es ist wohl {{sheet}}.',
  'tray.sheetUnreadable': 'Das Deckblatt ist nicht sicher zu lesen.',
  'tray.noSheet': 'Es kam ohne Deckblatt.',
  'tray.sheetUnknown': 'Sein Deckblatt wurde nicht hier gedruckt, oder die Akte ist gelöscht.',
  'tray.sheetUsed': 'Sein Deckblatt {{sheet}} wurde schon benutzt, am {{day}}.',
  'tray.sheetWithdrawn': 'Sein Deckblatt {{sheet}} gehört zu einer zurückgezogenen Bewerbung.',
  'tray.sheetEnded': 'Sein Deckblatt {{sheet}} gehört zu einer Bewerbung, die zu Ende ist.',
  'tray.sheetClaimGone': 'Wofür sein Deckblatt {{sheet}} war, wurde aus der Akte entfernt.',
  'tray.erasedFile': 'einer gelöschten Akte',
  'tray.sheetBeneath':
    'Sein Deckblatt {{sheet}} liegt anscheinend unter dem Papier und nicht darauf: Sehen Sie nach, welches Papier zu welchem Blatt gehört.',
  'tray.sheetPages': 'Laut Deckblatt {{sheet}} hat es {{said}} Seiten; gekommen sind {{came}}.',
  'tray.enquiryOver': 'Sein Blatt gehört zur Frage {{reference}}; sie ist beendet oder zurückgenommen.',
  'tray.enquiryHasPaper': 'Sein Blatt gehört zur Frage {{reference}}, zu der schon ein Schreiben da ist.',
  'tray.withQuestion': 'bei der Frage {{reference}}',
} satisfies Translated<typeof english>
