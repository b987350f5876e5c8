/** What stands on paper that goes to a source by post, and on the form it answers on. */
export default {
  'letter.reference': 'Our reference',
  'letter.date': 'Date',
  'letter.contact': 'Write to us',
  'letter.phone': 'Ring us',
  'letter.subject': 'Please confirm: {{claim}}, {{candidate}}',
  'letter.subject.several': 'Please confirm what {{count}} people state',
  'letter.subject.reminder': 'A reminder: {{subject}}',
  'letter.dear': 'Dear {{source}},',
  'letter.text.work':
    '{{candidate}} has applied to us and states that you employed them: {{claim}}. Please tell us whether that is right.',
  'letter.text.issued':
    '{{candidate}} has applied to us and states that you issued this: {{claim}}. Please tell us whether that is right.',
  'letter.text.several': 'These people have applied to us and name you as the source of what they state:',
  'letter.text.reminder':
    'We wrote to you about this on {{day}} and have no answer yet. It decides when somebody can start.',
  'letter.text.how':
    'Please fill in the enclosed form, sign it, lay the sheet with the square on top and send both back by {{answerBy}}. A letter of your own will do as well; please lay the sheet on top of it.',
  'letter.text.permission': 'A signed permission to check is enclosed for each person.',
  'letter.regards': 'With kind regards',
  'letter.enclosures': 'Enclosed: form, sheet to lay on top, permission to check',
  'letter.form.title': 'Answer about {{candidate}}',
  'letter.form.right': 'Right',
  'letter.form.notSo': 'Not so, but:',
  'letter.form.cannotSay': 'Cannot say',
  'letter.form.unknown': 'We know nothing of this person or this paper.',
  'letter.form.standing': 'Today it is',
  'letter.form.hours': 'Worked',
  'letter.form.again': 'Would you employ them again?',
  'letter.form.add': 'Anything to add',
  'letter.form.name': 'Name',
  'letter.form.office': 'Office',
  'letter.form.signed': 'Day, signature and stamp',
  'letter.form.sendTo': 'Please send this to',
  'letter.sheet.title': 'Please lay this sheet on top of your answer',
  'letter.sheet.why': 'The square tells us what it belongs to, so that it is read the day it arrives.',
  'letter.form.terms': 'If restricted, on which terms',
} as const
