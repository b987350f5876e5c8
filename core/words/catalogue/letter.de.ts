import type english from './letter.en'
import type { Translated } from './translated'

export default {
  'letter.reference': 'Unser Zeichen',
  'letter.date': 'Datum',
  'letter.contact': 'Schreiben Sie uns',
  'letter.phone': 'Rufen Sie uns an',
  'letter.subject': 'Bitte um Bestätigung: {{claim}}, {{candidate}}',
  'letter.subject.several': 'Bitte um Bestätigung der Angaben von {{count}} Personen',
  'letter.subject.reminder': 'Erinnerung: {{subject}}',
  'letter.dear': 'Guten Tag {{source}},',
  'letter.text.work':
    '{{candidate}} hat sich bei uns beworben und gibt an, bei Ihnen beschäftigt gewesen zu sein: {{claim}}. Bitte teilen Sie uns mit, ob das stimmt.',
  'letter.text.issued':
    '{{candidate}} hat sich bei uns beworben und gibt an, dass Sie Folgendes ausgestellt haben: {{claim}}. Bitte teilen Sie uns mit, ob das stimmt.',
  'letter.text.several': 'Diese Personen haben sich bei uns beworben und nennen Sie als Quelle ihrer Angaben:',
  'letter.text.reminder':
    'Am {{day}} haben wir Ihnen dazu geschrieben und noch keine Antwort. Von ihr hängt ab, wann jemand anfangen kann.',
  'letter.text.how':
    'Bitte füllen Sie das beiliegende Formular aus, unterschreiben Sie es, legen Sie das Blatt mit dem Quadrat obenauf und senden Sie beides bis {{answerBy}} zurück. Ein eigenes Schreiben genügt ebenso; bitte legen Sie auch darauf das Blatt.',
  'letter.text.permission': 'Für jede Person liegt eine unterschriebene Erlaubnis zur Prüfung bei.',
  'letter.regards': 'Mit freundlichen Grüßen',
  'letter.enclosures': 'Anlagen: Formular, Blatt zum Obenauflegen, Erlaubnis zur Prüfung',
  'letter.form.title': 'Antwort zu {{candidate}}',
  'letter.form.right': 'Stimmt',
  'letter.form.notSo': 'Stimmt nicht, sondern:',
  'letter.form.cannotSay': 'Nicht bekannt',
  'letter.form.unknown': 'Uns ist diese Person oder dieses Papier nicht bekannt.',
  'letter.form.standing': 'Heute ist es',
  'letter.form.hours': 'Beschäftigt',
  'letter.form.again': 'Würden Sie die Person wieder einstellen?',
  'letter.form.add': 'Was Sie hinzufügen möchten',
  'letter.form.name': 'Name',
  'letter.form.office': 'Stelle',
  'letter.form.signed': 'Tag, Unterschrift und Stempel',
  'letter.form.sendTo': 'Bitte senden an',
  'letter.sheet.title': 'Bitte legen Sie dieses Blatt auf Ihre Antwort',
  'letter.sheet.why': 'Am Quadrat erkennen wir, wozu sie gehört; so wird sie am Tag ihrer Ankunft gelesen.',
  'letter.form.terms': 'Falls eingeschränkt, mit welchen Auflagen',
} satisfies Translated<typeof english>
