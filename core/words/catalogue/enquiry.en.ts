export default {
  'enquiry.obstacle.ended': 'This application has ended; nobody is asked about it any more.',
  'enquiry.obstacle.notVetted':
    'This source is not in the directory yet; it has to be vetted before anyone writes to it.',
  'enquiry.obstacle.notSigned': 'The candidate has not signed the permission to check.',
  'enquiry.obstacle.asked': 'This is being asked already, or is ready to be.',
  'enquiry.obstacle.confirmed': 'This has already been confirmed.',
  'enquiry.obstacle.neverAsk':
    'The candidate does not want this source to be asked. Ask for other evidence, or talk to them.',
  'enquiry.obstacle.afterOffer': 'This source may be asked only after an offer.',
  'enquiry.obstacle.notSeen': 'Look at the document first: nobody has seen a readable one yet.',
  'enquiry.obstacle.notChecked': 'Nobody has checked this source yet; that is done under Sources.',
  'enquiry.obstacle.retired': 'This source is retired.',
  'enquiry.obstacle.noContact': 'No contact with a mail address is known of this source; add one under Sources.',
  'enquiry.obstacle.contactNotChecked':
    'The contact that would be asked has not been checked yet; that is done under Sources.',
  'enquiry.obstacle.seller': 'This source is, or passes itself off as, a known seller of degrees. It is not asked.',
  'enquiry.obstacle.askedFirst': 'This source asks for {{what}} before it answers; it is not there yet.',
  'enquiry.obstacle.signatureNotSeen': 'Look at the signature first: nobody has yet.',
  'enquiry.obstacle.formNotHere':
    'This source answers on its own form only, and the form is not here yet; add it under Sources.',
  'enquiry.obstacle.noPaper': 'The candidate has not put a document behind this yet.',
  'enquiry.obstacle.notApproved': 'What it costs has to be approved by somebody else.',
  'enquiry.obstacle.noRegister': 'Nothing can be looked up: the source keeps no register, or there is no number.',
  'enquiry.way.link': 'by mail',
  'enquiry.way.register': 'in its register',
  'enquiry.way.letter': 'by letter',
  'enquiry.way.telephone': 'by telephone',
  'enquiry.way.credential': 'by a digital credential',
  'enquiry.way.direct issue': 'by what it sends us itself',
  'enquiry.obstacle.notPaid': 'They have not paid yet what comes before anything is processed.',
} as const
