import type english from './permission.en'
import type { Translated } from './translated'

export default {
  'permission.permissionToCheckStatements': 'Erlaubnis, Angaben zu prüfen',
  'permission.givenTo': 'Gegeben an',
  'permission.application': 'Bewerbung',
  'permission.signedByDrawing': 'Unterschrieben durch Zeichnen',
  'permission.signedByTyping': 'Unterschrieben durch Tippen',
  'permission.signedAt': 'Unterschrieben am',
  'permission.text': 'Text',
  'permission.iAllowToCheckWhat':
    'Ich erlaube {{operator}}, meine Angaben in der Bewerbung bei denen zu prüfen, die sie ausgestellt haben: Schulen und Hochschulen, Behörden, Zertifizierer und frühere Arbeitgeber.',
  'permission.forEachCheckMayTell':
    'Für jede Prüfung darf {{operator}} dort meinen Namen, mein Geburtsdatum und die zu prüfende Angabe nennen und sonst nichts. Dort dürfen diese Fragen beantwortet werden und keine anderen.',
  'permission.employersIHaveMarkedAfter':
    'Arbeitgeber, bei denen ich „Nach einem Angebot“ oder „Gar nicht“ gewählt habe, werden vorher nicht oder überhaupt nicht gefragt.',
  'permission.iCanWithdrawThisPermission':
    'Ich kann diese Erlaubnis jederzeit auf meiner Statusseite zurückziehen. Was bis dahin geprüft wurde, bleibt vermerkt; mehr wird nicht gefragt.',
  'permission.sources': 'Gefragt würden:',
  'permission.source.now': '{{source}}, zu {{claim}}',
  'permission.source.after an offer': '{{source}}, zu {{claim}}, erst nach einem Angebot',
  'permission.source.never': 'nicht {{source}}, zu {{claim}}',
  'permission.byHand': 'Erlaubnis für {{source}}, von Hand zu unterschreiben',
  'permission.about': 'Über',
  'permission.nameInFull': 'Voller Name',
  'permission.born': 'Geburtsdatum',
  'permission.placeAndDay': 'Ort und Tag',
  'permission.signature': 'Unterschrift, von Hand',
  'permission.toRecipient': 'Erlaubnis, zu schicken, was über mich nachgewiesen ist',
  'permission.toRecipientAllows':
    'Ich erlaube {{operator}}, {{recipient}} zu schicken, was über mich nachgewiesen ist, und zwar über das, was unten genannt ist, und nichts anderes.',
  'permission.toRecipientMayEnd':
    'Geschickt werden darf bis {{day}}. Ich kann diese Erlaubnis jederzeit zurückziehen. Links schließen sich dann, und wer einen geschickten Bericht prüft, erfährt, dass er nicht mehr gilt. Was jemand gelesen oder gedruckt hat, bleibt bei ihm.',
  'permission.recipient': 'Empfänger',
  'permission.purpose': 'Wofür',
  'permission.ofWhat': 'Worüber',
  'permission.toChosenAllows':
    'Ich erlaube {{operator}}, {{recipient}} zu schicken, was über mich nachgewiesen ist, und zwar über das, was dort in dieser Bewerbung nötig ist, und nichts anderes.',
} satisfies Translated<typeof english>
