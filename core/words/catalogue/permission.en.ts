export default {
  'permission.permissionToCheckStatements': 'Permission to check statements',
  'permission.givenTo': 'Given to',
  'permission.application': 'Application',
  'permission.signedByDrawing': 'Signed by drawing',
  'permission.signedByTyping': 'Signed by typing',
  'permission.signedAt': 'Signed at',
  'permission.text': 'Text',
  'permission.iAllowToCheckWhat':
    'I allow {{operator}} to check what I have stated in my application with those who issued it: schools and universities, licensing bodies, certifiers and former employers.',
  'permission.forEachCheckMayTell':
    'For each check, {{operator}} may tell the source my name, my date of birth and the statement to be checked, and nothing else. The source may answer these questions and no others.',
  'permission.employersIHaveMarkedAfter':
    'Employers I have marked “after an offer” or “not at all” are not asked before, or at all.',
  'permission.iCanWithdrawThisPermission':
    'I can withdraw this permission at any time on my status page. What was checked until then stays on record; nothing more will be asked.',
  'permission.sources': 'These would be asked:',
  'permission.source.now': '{{source}}, about {{claim}}',
  'permission.source.after an offer': '{{source}}, about {{claim}}, only after an offer',
  'permission.source.never': 'not {{source}}, about {{claim}}',
  'permission.byHand': 'Permission for {{source}}, to be signed by hand',
  'permission.about': 'About',
  'permission.nameInFull': 'Full name',
  'permission.born': 'Date of birth',
  'permission.placeAndDay': 'Place and day',
  'permission.signature': 'Signature, by hand',
  'permission.toRecipient': 'Permission to send what has been proven of me',
  'permission.toRecipientAllows':
    'I allow {{operator}} to send {{recipient}} what has been proven of me, of what is named below, and nothing else.',
  'permission.toRecipientMayEnd':
    'Something may be sent until {{day}}. I can withdraw this permission at any time. Links then close, and whoever checks a report that was sent learns that it does not hold any more. What somebody has read or printed stays with them.',
  'permission.recipient': 'Recipient',
  'permission.purpose': 'What for',
  'permission.ofWhat': 'Of what',
  'permission.toChosenAllows':
    'I allow {{operator}} to send {{recipient}} what has been proven of me, of what it needs for its own work in this application, and nothing else.',
} as const
