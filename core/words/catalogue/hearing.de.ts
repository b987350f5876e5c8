export default {
  'hearing.sourceSays': '{{field}}: Sie haben {{claimed}} angegeben; die ausstellende Stelle sagt {{said}}.',
  'hearing.paperSays': '{{field}}: Sie haben {{claimed}} angegeben; auf dem Papier steht {{said}}.',
  'hearing.notKnown': 'Die Stelle, die Sie genannt haben, fand Sie nicht in ihren Unterlagen.',
  'hearing.other': 'Etwas von dem, was wir erfahren haben, weicht von Ihren Angaben ab.',
  'hearing.title': 'Wir möchten Sie hören',
  'hearing.about': 'Zu {{claim}}: Etwas passt noch nicht zusammen. Entschieden ist nichts.',
  'hearing.until': 'Sie können bis {{day}} antworten.',
  'hearing.yourAnswer': 'Was wissen Sie darüber?',
  'hearing.addPaper': 'Ein Papier beilegen',
  'hearing.send': 'Antwort schicken',
  'hearing.answered': 'Sie haben geantwortet. Ein Mensch liest es, bevor etwas entschieden wird.',
  'hearing.answerBelow': 'Unten antworten',
  'hearing.sourceHasOther':
    '{{field}}: Sie haben {{claimed}} angegeben; bei der ausstellenden Stelle steht dort etwas anderes.',
} as const
