import type english from './documents.en'
import type { Translated } from './translated'

export default {
  'documents.arrivedNotLookedAtYet': 'eingegangen, noch nicht angesehen',
  'documents.lookedAtFine': 'angesehen, in Ordnung',
  'documents.aBetterCopyIsNeeded': 'eine bessere Kopie wird gebraucht',
  'documents.replaced': 'ersetzt',
  'documents.addAPdfPhotoOr': 'PDF, Foto oder Scan hinzufügen',
  'documents.countPages_one': '{{count}} Seite',
  'documents.countPages_other': '{{count}} Seiten',
  'documents.countSeconds_one': '{{count}} Sekunde',
  'documents.countSeconds_other': '{{count}} Sekunden',
  'documents.takeBack': '{{name}} zurücknehmen',
  'documents.takeBack2': 'Zurücknehmen',
  'documents.addTheTranslationOf': 'Die Übersetzung von {{name}} hinzufügen',
  'documents.sending': 'Wird geschickt',
  'documents.theSameFileIsAlso': 'Dieselbe Datei liegt auch bei {{claim}}.',
  'documents.theConnectionIsLostChoose':
    'Die Verbindung ist weg. Wählen Sie dieselbe Datei später noch einmal; es geht weiter, wo es aufgehört hat.',
  'documents.theVideoIsLargerThan': 'Das Video ist größer als 60 MB. Nehmen Sie es mit kleinerem Bild auf.',
  'documents.lookingThrough': 'Wird durchgesehen',
  'documents.whatItIs': 'Was es ist',
  'documents.anySizeSeveralPagesAt': 'jede Größe, mehrere Seiten auf einmal',
  'documents.mp4OrWebMUpTo': 'MP4 oder WebM, bis {{count}} Sekunden',
  'documents.useTheCameraFor': 'Die Kamera verwenden für {{claim}}',
  'documents.photographIt': 'Fotografieren',
  'documents.recordIt': 'Aufnehmen',
  'documents.nothingSeemsToBeOn': 'Auf dieser Seite scheint nichts zu stehen.',
  'documents.tooDarkToReadTake': 'Zu dunkel zum Lesen. Nehmen Sie es mit mehr Licht noch einmal auf.',
  'documents.blurredHoldStillAndTake':
    'Verwackelt. Halten Sie still und nehmen Sie es noch einmal auf, wenn es nicht lesbar ist.',
  'documents.somethingIsCutOffAt': 'Am Rand ist etwas abgeschnitten. Nehmen Sie die ganze Seite noch einmal auf.',
  'documents.opening': 'Wird geöffnet',
  'documents.joining': 'Wird verbunden',
  'documents.itIsLargerThan10': 'Auch so klein wie möglich sind es mehr als 10 MB. Nehmen Sie Seiten heraus.',
  'documents.thePagesCouldNotBe': 'Die Seiten konnten nicht verbunden werden. Nehmen Sie die beschädigte heraus.',
  'documents.onePdfWillBeMade':
    'Aus diesen Seiten wird ein PDF. Ordnen, drehen und beschneiden Sie sie; noch ist nichts abgeschickt.',
  'documents.pageOf': 'Seite {{number}} von {{from}}',
  'documents.pageNumber': 'Seite {{number}}',
  'documents.turnPageToTheLeft': 'Seite {{number}} nach links drehen',
  'documents.turnPageToTheRight': 'Seite {{number}} nach rechts drehen',
  'documents.cropPage': 'Seite {{number}} beschneiden',
  'documents.takePageOut': 'Seite {{number}} herausnehmen',
  'documents.wordsDoneOfOf': '{{words}}: {{done}} von {{of}}',
  'documents.atMostPagesCanBe': 'Höchstens {{most}} Seiten gehen. Nehmen Sie {{count}} heraus.',
  'documents.youCanSendItAs': 'Sie können es so abschicken. Eine unlesbare Seite kommt zurück, das kostet Tage.',
  'documents.sendPages_one': '{{count}} Seite abschicken',
  'documents.sendPages_other': '{{count}} Seiten abschicken',
  'documents.addPages': 'Seiten hinzufügen',
  'documents.morePages': 'Mehr Seiten',
  'documents.cancel': 'Abbrechen',
  'documents.picturesAreMadeSmallerSo': 'Bilder werden verkleinert, sodass alles unter {{size}} bleibt.',
  'documents.lookAtPageInFull': 'Seite {{number}} ganz ansehen',
  'documents.crop': 'Beschneiden',
  'documents.drawTheCornersToThe':
    'Ziehen Sie die Ecken an den Rand des Papiers, oder bewegen Sie sie mit den Pfeiltasten. Was außerhalb liegt, wird nicht abgeschickt.',
  'documents.thePageToCrop': 'Die Seite, die beschnitten wird',
  'documents.keepThisPart': 'Diesen Teil behalten',
  'documents.theWholePage': 'Die ganze Seite',
  'documents.theFileIsEmptyChoose':
    'Die Datei ist leer. Wählen Sie sie noch einmal; vielleicht ist sie nicht ganz gespeichert.',
  'documents.theFileHasMoreThan':
    'Die Datei hat mehr als {{count}} Seiten. Speichern Sie nur die, auf die es ankommt, als PDF und wählen Sie dieses.',
  'documents.thePdfIsLockedWith':
    'Das PDF ist mit einem Passwort gesperrt. Speichern Sie eine Kopie ohne Passwort und wählen Sie diese.',
  'documents.thePdfCannotBeOpened':
    'Das PDF lässt sich nicht öffnen. Vielleicht ist es beschädigt; drucken Sie es in ein neues PDF und wählen Sie dieses.',
  'documents.thisCannotBeOpenedAs':
    'Das lässt sich nicht als Bild öffnen. Wählen Sie eine Datei in PDF, JPEG oder PNG, oder fotografieren Sie die Seite.',
  'documents.noRoom': 'Dafür ist im Moment kein Platz. Versuchen Sie es später noch einmal.',
} satisfies Translated<typeof english>
