import type english from './enquiry.en'
import type { Translated } from './translated'

export default {
  'enquiry.obstacle.ended': 'Diese Bewerbung ist zu Ende; für sie wird niemand mehr gefragt.',
  'enquiry.obstacle.notVetted':
    'Diese Quelle steht noch nicht im Verzeichnis; sie muss geprüft werden, bevor ihr jemand schreibt.',
  'enquiry.obstacle.notSigned': 'Die Erlaubnis zum Prüfen ist nicht unterschrieben.',
  'enquiry.obstacle.asked': 'Danach wird schon gefragt, oder die Frage liegt bereit.',
  'enquiry.obstacle.confirmed': 'Das ist schon bestätigt.',
  'enquiry.obstacle.neverAsk':
    'Diese Stelle soll auf Wunsch der Person nicht gefragt werden. Verlangen Sie andere Nachweise, oder sprechen Sie mit ihr.',
  'enquiry.obstacle.afterOffer': 'Diese Stelle darf erst nach einem Angebot gefragt werden.',
  'enquiry.obstacle.notSeen': 'Sehen Sie zuerst das Dokument an: Noch niemand hat ein lesbares gesehen.',
  'enquiry.obstacle.notChecked': 'Diese Stelle hat noch niemand geprüft; das geschieht unter Stellen.',
  'enquiry.obstacle.retired': 'Diese Stelle ist stillgelegt.',
  'enquiry.obstacle.noContact':
    'Von dieser Stelle ist kein Kontakt mit Mailadresse bekannt; er wird unter Stellen hinzugefügt.',
  'enquiry.obstacle.contactNotChecked':
    'Der Kontakt, der gefragt würde, ist noch nicht geprüft; das geschieht unter Stellen.',
  'enquiry.obstacle.seller':
    'Diese Stelle ist ein bekannter Verkäufer von Abschlüssen oder gibt sich dafür aus. Sie wird nicht gefragt.',
  'enquiry.obstacle.askedFirst': 'Diese Quelle verlangt {{what}}, bevor sie antwortet; das liegt noch nicht vor.',
  'enquiry.obstacle.signatureNotSeen': 'Sehen Sie zuerst die Unterschrift an: Das hat noch niemand getan.',
  'enquiry.obstacle.formNotHere':
    'Diese Quelle antwortet nur auf ihrem eigenen Formular, und das ist noch nicht hier; fügen Sie es unter Quellen hinzu.',
  'enquiry.obstacle.noPaper': 'Die Person hat noch kein Dokument dazu vorgelegt.',
  'enquiry.obstacle.notApproved': 'Die Kosten muss noch jemand anderes genehmigen.',
  'enquiry.obstacle.noRegister': 'Nachschlagen geht nicht: Die Quelle führt kein Register, oder die Nummer fehlt.',
  'enquiry.way.link': 'per E-Mail',
  'enquiry.way.register': 'im Register',
  'enquiry.way.letter': 'per Brief',
  'enquiry.way.telephone': 'am Telefon',
  'enquiry.way.credential': 'durch einen digitalen Nachweis',
  'enquiry.way.direct issue': 'durch das, was sie uns selbst schickt',
  'enquiry.obstacle.notPaid': 'Was vor der Bearbeitung zu zahlen ist, ist noch nicht bezahlt.',
} satisfies Translated<typeof english>
