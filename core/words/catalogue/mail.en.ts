export default {
  'mail.hello': 'Hello {{name}},',
  'mail.setNewPassword.subject': 'Set a new password',
  'mail.setNewPassword.text':
    'Open this link to set a new password:\n\n{{link}}\n\nIt works once, for two hours. If you did not ask for it, ignore this mail; your password stays as it is.',
  'mail.leaveAddress.subject': 'Change of your mail address',
  'mail.leaveAddress.text':
    'Your account is to move to {{address}}. Open this link to agree:\n\n{{link}}\n\nThe new address has to confirm as well. If this was not you, do nothing and change your password.',
  'mail.takeAddress.subject': 'Confirm your new mail address',
  'mail.takeAddress.text':
    'Open this link to use this address for your account:\n\n{{link}}\n\nThe old address has to agree as well. If this was not you, do nothing.',
  'mail.addressTaken.subject': 'Confirm your new mail address',
  'mail.addressTaken.text':
    'Somebody tried to use this address for another account. It already belongs to an account, so nothing was changed. You do not need to do anything.',
  'mail.accountExists.subject': 'You already have an account',
  'mail.accountExists.text':
    'Somebody, most likely you, tried to create an account with this address. You already have one.\n\nSign in: {{link}}\n\nIf this was not you, nothing has happened and nothing is needed.',
  'mail.confirmAddress.subject': 'Confirm your address',
  'mail.confirmAddress.text':
    'Open this link to confirm your address and continue where you were:\n\n{{link}}\n\nIt works for two days. If you did not ask for an account, ignore this mail.',
  'mail.changePart.subject': 'Please change one thing in your application {{reference}}',
  'mail.changePart.text':
    'About “{{part}}” in your application for {{vacancy}}:\n\n{{reason}}\n\nPlease do so by {{due}}. Everything else stays as you sent it.\n{{link}}',
  'mail.received.subject': 'We have received your application {{reference}}',
  'mail.received.text':
    'Your application for {{vacancy}} has arrived. Its reference is {{reference}}.\n\nWhat happens next, and what we still need from you, is on your status page. Everything you sent is attached.\n{{link}}',
  'mail.enquiryReminder.subject': 'A reminder: please confirm {{claim}}, {{candidate}}',
  'mail.enquiryReminder.text':
    'On {{asked}} we asked you about {{candidate}}. Your answer decides when they can start. It takes about two minutes:\n{{link}}',
  'mail.closingComplete.subject': 'Not sent yet: {{vacancy}} closes {{closes}}',
  'mail.closingComplete.text':
    'Your application for {{vacancy}} has not been sent. It is complete. The vacancy closes on {{closes}} ({{zone}}).\n\n{{link}}',
  'mail.closing.subject': 'Not sent yet: {{vacancy}} closes {{closes}}',
  'mail.closing.text_one':
    'Your application for {{vacancy}} has not been sent. One thing is left to do. The vacancy closes on {{closes}} ({{zone}}).\n\n{{link}}',
  'mail.closing.text_other':
    'Your application for {{vacancy}} has not been sent. {{count}} things are left to do. The vacancy closes on {{closes}} ({{zone}}).\n\n{{link}}',
  'mail.quiet.subject': 'Still to send: {{vacancy}}',
  'mail.quiet.text':
    'You started an application for {{vacancy}} and have not been back for a week. Everything you wrote is kept. It can be sent until {{until}}:\n\n{{link}}\n\nIf you have changed your mind, you need not do anything.',
  'mail.offerExtended.subject': 'More time to answer our offer: {{vacancy}}',
  'mail.offerExtended.text': 'You can answer our offer of a post as {{vacancy}} until {{until}}:\n{{link}}',
  'mail.offerWithdrawn.subject': 'Our offer is withdrawn: {{vacancy}}',
  'mail.offerWithdrawn.text':
    'We have withdrawn our offer of a post as {{vacancy}}. Where your application stands:\n{{link}}',
  'mail.startChanged.subject': 'A new first day: {{vacancy}}',
  'mail.startChanged.text':
    'The first day for your application as {{vacancy}} is now {{start}} instead of {{before}}: {{reason}}\n\nWhat this means for you is on your status page:\n{{link}}',
  'mail.rulesChanged.subject': 'What we ask for {{vacancy}} has changed',
  'mail.rulesChanged.text':
    'What we ask of you for {{vacancy}} has changed: {{reason}}\n\n{{changes}}\n\nWhat this means for you is on your status page:\n{{link}}',
  'mail.rulesChanged.gone': '- No longer asked: {{title}}',
  'mail.rulesChanged.added': '- Also asked: {{after}}',
  'mail.rulesChanged.now': '- Now: {{after}}',
  'mail.offerReminder.subject': 'Our offer awaits your answer: {{vacancy}}',
  'mail.offerReminder.text': 'Please answer our offer of a post as {{vacancy}} by {{until}}:\n{{link}}',
  'mail.offerExpired.subject': 'The day to answer our offer has passed: {{vacancy}}',
  'mail.offerExpired.text':
    'The day to answer our offer of a post as {{vacancy}} was {{until}}. We have been told, and will write to you. Where your application stands:\n{{link}}',
  'mail.offer.subject': 'An offer: {{vacancy}}',
  'mail.offer.text':
    'We would like you to join us as {{vacancy}} from {{start}}. Read the offer and answer it by {{until}}:\n{{link}}',
  'mail.shortlist.subject': 'You are on the shortlist for {{vacancy}}',
  'mail.shortlist.text':
    'You are on the shortlist for {{vacancy}}. What happens next is on your status page:\n{{link}}',
  'mail.cleared.subject': 'You are cleared to start as {{vacancy}} on {{start}}',
  'mail.cleared.text':
    'You are cleared to start as {{vacancy}} on {{start}}. What happens next is on your status page:\n{{link}}',
  'mail.begunForYou.on paper.subject': 'Your application for {{vacancy}}',
  'mail.begunForYou.on paper.text':
    'As you told us on paper, we have started your application for {{vacancy}}. You have an account with this address, so the rest is yours to write:\n\n{{link}}',
  'mail.takeOver.on paper.subject': 'Please read through your application for {{vacancy}}',
  'mail.takeOver.on paper.text':
    'We have written your application for {{vacancy}} from what you told us on paper. It counts once you have read it through, signed it and sent it:\n\n{{link}}\n\nThe link works for two weeks. If you did not want to apply, ignore this mail, or tell us and we will delete it.',
  'mail.begunForYou.by phone.subject': 'Your application for {{vacancy}}',
  'mail.begunForYou.by phone.text':
    'As you told us by phone, we have started your application for {{vacancy}}. You have an account with this address, so the rest is yours to write:\n\n{{link}}',
  'mail.takeOver.by phone.subject': 'Please read through your application for {{vacancy}}',
  'mail.takeOver.by phone.text':
    'We have written your application for {{vacancy}} from what you told us by phone. It counts once you have read it through, signed it and sent it:\n\n{{link}}\n\nThe link works for two weeks. If you did not want to apply, ignore this mail, or tell us and we will delete it.',
  'mail.resit.subject': 'You can sit a skills check again: {{check}}',
  'mail.resit.text':
    'You can sit the skills check “{{check}}” again from {{from}}, with other questions. It is on your status page:\n{{link}}',
  'mail.betterCopy.subject': 'Please send a better copy: {{claim}}',
  'mail.betterCopy.text':
    'We could not use “{{file}}”: {{reason}}\n\nSend a better one here; nothing else is affected:\n{{link}}',
  'mail.enquiry.work.subject': 'Please confirm: {{claim}}, {{candidate}}',
  'mail.enquiry.work.text':
    '{{candidate}} has applied to {{operator}} and states that {{source}} employed them: {{claim}}.\n\nPlease tell us whether that is right. It takes about two minutes and needs no account:\n{{link}}\n\nWe ask about: {{fields}}. {{candidate}} has signed a permission to check, which is attached. The link is meant for you, works once, and expires.\n\nWe would be grateful for an answer by {{answerBy}}.',
  'mail.enquiry.issued.subject': 'Please confirm: {{claim}}, {{candidate}}',
  'mail.enquiry.issued.text':
    '{{candidate}} has applied to {{operator}} and states that {{source}} issued this: {{claim}}.\n\nPlease tell us whether that is right. It takes about two minutes and needs no account:\n{{link}}\n\nWe ask about: {{fields}}. {{candidate}} has signed a permission to check, which is attached. The link is meant for you, works once, and expires.\n\nWe would be grateful for an answer by {{answerBy}}.',
  'mail.enquiry.linkToCome': '(a link created for this question)',
  'mail.enquiry.permission': 'Permission to check, {{name}}',
  'mail.received.application': 'Application, {{reference}}',
  'mail.vouch.subject': '{{candidate}} asks you to vouch for them',
  'mail.vouch.text':
    '{{candidate}} is applying to us as {{vacancy}} and has named you as their {{relation}}.\n\nPlease tell us in a few minutes what you have seen of their work:\n{{link}}\n\nYou need no account. What you write is read by those who decide, and not by {{candidate}}.',
  'mail.account.signedIn.subject': 'A new sign-in',
  'mail.account.signedIn.text':
    'Somebody, most likely you, signed in to your account with a browser we have not seen before.\n\nIf this was not you, set a new password at once: {{link}}',
  'mail.account.passwordReset.subject': 'Your password was changed',
  'mail.account.passwordReset.text':
    'A new password was set for your account, and it was signed out everywhere.\n\nIf this was not you, set a new password at once: {{link}}',
  'mail.account.passwordChanged.subject': 'Your password was changed',
  'mail.account.passwordChanged.text':
    'The password of your account was changed, and it was signed out everywhere else.\n\nIf this was not you, set a new password at once: {{link}}',
  'mail.account.mailChanged.subject': 'Your mail address was changed',
  'mail.account.mailChanged.text':
    'The mail address of your account was changed; before it was {{before}}.\n\nIf this was not you, set a new password at once: {{link}}',
  'mail.account.codesOn.subject': 'One-time codes are switched on',
  'mail.account.codesOn.text':
    'One-time codes were switched on for your account.\n\nIf this was not you, set a new password at once: {{link}}',
  'mail.account.codesOff.subject': 'One-time codes are switched off',
  'mail.account.codesOff.text':
    'One-time codes were switched off for your account.\n\nIf this was not you, set a new password at once: {{link}}',
  'mail.invitation.subject': 'You are invited to {{organisation}}',
  'mail.invitation.text':
    'You are invited to work with the applications of {{organisation}}, as {{roles}}.\n\nChoose a password here; the link works once, for seven days:\n\n{{link}}',
  'mail.testMail.subject': 'A test mail',
  'mail.testMail.text':
    'This mail shows that {{organisation}} can be heard. Open this, and it is noted that it arrived:\n\n{{link}}',
  'mail.signInThroughProvider.subject': 'How you sign in',
  'mail.signInThroughProvider.text':
    'A new password was asked for with your address. You have none here: you sign in through {{provider}}. If you cannot do so there, whoever looks after {{provider}} in your organisation can help.\n\n{{link}}',
  'mail.breakGlassUsed.subject': '{{colleague}} signed in by password',
  'mail.breakGlassUsed.text':
    '{{colleague}} has signed in by password, with an account kept for the day the identity provider is away. If nobody had reason to, change the password of that account and sign it out under “People who work here”.',
  'mail.deskAnswered.subject': 'An answer to your question about {{vacancy}}',
  'mail.deskAnswered.text': '{{answer}}\n\nYou can answer this mail, or write here:\n{{link}}',
  'mail.general.stop': 'You get this because you once applied with us. No more of these: {{link}}',
  'mail.decisionDay.subject': 'Our decision on {{vacancy}} comes by {{day}}',
  'mail.decisionDay.text':
    'We promised you a decision on {{vacancy}} by {{before}}. It will now be made by {{day}}.\n\nThe reason: {{reason}}\n\nYou need not do anything. Where your application {link}',
  'mail.decisionLate.subject': 'Our decision on {{vacancy}} is late',
  'mail.decisionLate.text':
    'We promised you a decision on {{vacancy}} by {{day}}, and we have not made it yet. We are sorry. Your application is still with us, and you will hear as soon as it is decided, whichever way.\n\nWhere it stands: {link}',
  'mail.finalPaperDue.subject': 'Still to come by {{day}}: {{claim}}',
  'mail.finalPaperDue.text':
    'For {{claim}} you gave an interim paper and said that the final one would come by {{day}}. Please add it on your page as soon as you have it:\n\n{{link}}',
  'mail.finalPaperMissed.subject': 'The final paper has not come: {{claim}}',
  'mail.finalPaperMissed.text':
    'The final paper for {{claim}} was owed by {{day}} and has not come. Until it is here, what rested on the interim one is open again. Please add it, or a new interim paper with the day the final one will come:\n\n{{link}}',
  'mail.matterToDecide.subject': 'To decide: {{matter}}, {{reference}}',
  'mail.matterToDecide.text':
    'In the application {{reference}} something was declared that is for you to decide: {{matter}}. What was written stands in the file:\n\n{{link}}',
  'mail.matterDecided.subject': 'What you declared: {{vacancy}}',
  'mail.matterDecided.text':
    'We have read what you declared about “{{matter}}” and decided on it. What was decided, and what follows from it, stands on your page:\n\n{{link}}',
  'mail.deskAsks.subject': 'A question to you about {{vacancy}}',
  'mail.deskAsks.text':
    'About your application for {{vacancy}} we would like to know:\n\n{{question}}\n\nAnswer this mail, or write on your page:\n{{link}}',
  'mail.originalReceived.subject': 'We have your original: {{paper}}',
  'mail.originalReceived.text':
    'The original of {{paper}} has come and lies in our safe. It is compared with your scan and then given back. Where it is stands on your page:\n\n{{link}}',
  'mail.originalReturned.subject': 'Your original is given back: {{paper}}',
  'mail.originalReturned.text':
    'The original of {{paper}} has been given back: {{to}}. If that is wrong, ask us on your page at once:\n\n{{link}}',
  'mail.paperDiscarded.subject': 'A paper of yours was discarded: {{claim}}',
  'mail.paperDiscarded.text':
    'A paper you gave for {{claim}} should not be with us, so we have erased it. Nobody can open it any more.\n\nThe reason: {{reason}}\n\nWhat is still needed from you, if anything, stands on your page:\n\n{{link}}',
  'mail.sheetNotRight.subject': 'Your paper came, and something is not right: {{paper}}',
  'mail.sheetNotRight.text':
    'A paper came with your cover sheet {{sheet}}, for {{paper}}.\n\n{{why}}\n\nYou see it on your status page: {{link}}',
  'mail.sourceAsksMore.subject': 'One thing more for {{source}}: {{claim}}',
  'mail.sourceAsksMore.text':
    'Before {{source}} answers about {{claim}}, it asks for: {{what}}.\n\nYou find what to do on your status page.\n{{link}}',
  'mail.postedMissed.subject': 'Not here yet: {{paper}}',
  'mail.postedMissed.text':
    'You posted {{paper}}, and it has not come. Please send it again, or photograph it: that takes a minute.\n{{link}}',
  'mail.enquiry.several.subject': 'Please confirm what {{count}} people state',
  'mail.enquiry.several.text':
    'These people have applied to {{operator}} and name {{source}} as the source of what they state:\n\n{{people}}\n\nPlease tell us whether it is right. Each is answered by itself, on one page, without an account:\n{{link}}\n\nA signed permission to check is attached for each of them. The link is meant for you and expires.\n\nWe would be grateful for an answer by {{answerBy}}.',
  'mail.enquiry.line': '{{candidate}}: {{claim}} ({{reference}})',
  'mail.enquiry.direct.subject': 'Please send us your confirmation, {{reference}}: {{claim}}, {{candidate}}',
  'mail.enquiry.direct.text':
    '{{candidate}} has applied to {{operator}} and states that {{source}} is the source of this: {{claim}}.\n\nPlease send us your own confirmation of: {{fields}}. By mail to {{contact}}, or in a sealed letter to:\n{{address}}\n\nPlease put the reference {{reference}} on it, so that it finds its way. {{candidate}} has signed a permission to check, which is attached.\n\nWe would be grateful to have it by {{answerBy}}.',
  'mail.enquiryReminder.several.subject': 'A reminder: please confirm what {{count}} people state',
  'mail.enquiryReminder.several.text':
    'On {{asked}} we asked you about these people. Your answer decides when they can start:\n\n{{people}}\n\nIt takes a few minutes:\n{{link}}',
  'mail.enquiry.forwarded.subject': '{{by}} passes a question on to you: {{claim}}, {{candidate}}',
  'mail.enquiry.forwarded.text':
    '{{by}} of {{source}} has passed this question of {{operator}} on to you.\n\n{{candidate}} names {{source}} as the source of this: {{claim}}. Please tell us whether that is right. It takes about two minutes and needs no account:\n{{link}}\n\nA signed permission to check is attached. The link is meant for you, works once, and expires.\n\nWe would be grateful for an answer by {{answerBy}}.',
  'mail.enquiryWaits.subject': 'Before we can ask: something is needed from you',
  'mail.enquiryWaits.text':
    'We are about to have what you stated confirmed. Before that, something is needed from you:\n\n{{what}}\n\nYou give it on your status page; the question then goes out by itself.\n{{link}}',
  'mail.enquiryWaits.line': '{{claim}}, {{source}}: {{lacks}}',
  'mail.enquiryWaits.notSigned': 'your signed permission to check',
  'mail.enquiryWaits.noPaper': 'a document that shows it',
  'mail.enquiryWaits.askedFirst': '{{what}} (the source asks for it)',
  'mail.hearing.subject': 'Please help us understand: {{claim}}',
  'mail.hearing.text':
    'What you gave us about {{claim}} and what we were told do not match yet:\n\n{{what}}\n\nThere are many reasons why this happens: a slip, another way of counting, a name that changed. Nothing has been decided. Please tell us what you know, and add a paper if you have one, by {{day}}:\n{{link}}',
  'mail.report.subject': 'Report {{reference}}: what has been proven',
  'mail.report.text':
    'Enclosed is report {{reference}}, as at {{day}}. Anybody can check at {{address}} that it is unchanged and still holds. If something it says turns out otherwise, we write to you.',
  'mail.reportRevoked.subject': 'Report {{reference}} does not hold any more',
  'mail.reportRevoked.text':
    'Report {{reference}}, made on {{day}}, does not hold any more: {{why}}. Please do not use it. What is proven now is in a new report.',
  'mail.recordLink.subject': 'What has been proven of {{name}}: report {{reference}}',
  'mail.recordLink.text':
    'With the permission of {{name}} we let you read what has been proven of them, for: {{purpose}}.\n\n{{link}}\n\nThe link is open until {{day}}. Nobody has to sign in. You can keep it from there as PDF or as a digital credential that anybody can check.',
  'mail.recordFile.subject': 'What has been proven of {{name}}: report {{reference}}',
  'mail.recordFile.text':
    'With the permission of {{name}} we send you what has been proven of them, for: {{purpose}}. It is enclosed.\n\nAnybody can check at {{address}} that it is unchanged and still holds. If something it says turns out otherwise, or it is taken back, we write to you.',
  'mail.feeDue.subject': 'To pay: {{fee}}',
  'mail.feeDue.text':
    'For your application for the post {{vacancy}}, {{fee}} comes to {{amount}}. Please pay it by {{day}}. Every line is explained, and you can pay or ask, here:\n{{link}}',
  'mail.feeReceived.subject': 'Paid: {{fee}}',
  'mail.feeReceived.text':
    'Thank you. {{fee}} for your application for the post {{vacancy}} is paid. The receipt is here:\n{{link}}',
  'mail.feeChanged.subject': 'About what you pay: {{fee}}',
  'mail.feeChanged.text': '{{what}}\n\n{{reason}}\n\nWhat is owed and was paid is here:\n{{link}}',
  'mail.feeReminder.subject': 'Still to pay: {{fee}}',
  'mail.feeReminder.text':
    '{{amount}} for {{fee}} is still to pay; it is due on {{day}}. If you have paid in the last days, there is nothing to do. Here you can pay, or ask us:\n{{link}}',
  'mail.enquiryWaits.notPaid': 'the payment that comes before anything is processed',
  'mail.employerInvitation.subject': '{{employer}} at {{organisation}}',
  'mail.employerInvitation.text':
    'You are invited to decide for {{employer}} which fees of your people it pays at {{organisation}}.\n\nChoose a password here; the link works once, for seven days:\n\n{{link}}',
  'mail.employerAsked.subject': '{{employer}} is asked to pay a fee',
  'mail.employerAsked.text':
    'Somebody asks {{employer}} to pay a fee at {{organisation}}. Take it over, or decline it with a reason, within two weeks:\n\n{{link}}',
  'mail.employerWaited.subject': 'Still to decide: {{employer}} is asked to pay a fee',
  'mail.employerWaited.text':
    'Somebody has waited for some days to hear whether {{employer}} pays a fee at {{organisation}}. Without an answer it goes back to them:\n\n{{link}}',
  'mail.employerInvoice.subject': 'Invoice {{number}} for {{employer}}',
  'mail.employerInvoice.text': 'The invoice {{number}} over {{amount}} is attached. It is due on {{day}}.',
  'mail.employerReceipt.subject': 'Receipt {{number}} for {{employer}}',
  'mail.employerReceipt.text':
    'We have received {{amount}} for an invoice due on {{day}}. The receipt {{number}} is attached.',
  'mail.employerLate.subject': 'Invoice {{number}} was due on {{day}}',
  'mail.employerLate.text': '{{amount}} of the invoice {{number}} are still to be paid; it was due on {{day}}.',
  'mail.payerAnswered.subject': '{{employer}}: {{fee}}',
  'mail.payerAnswered.text': '{{what}}\n\n{{reason}}\n\n{{link}}',
  'mail.timeToFinish.subject': 'Still to finish by {{day}}: {{vacancy}}',
  'mail.timeToFinish.text':
    'Something is still yours to do for “{{vacancy}}”. The last day is {{day}}; afterwards it is set aside, with all that you gave kept.\n\n{{link}}',
  'mail.setAside.subject': 'Set aside: {{vacancy}}',
  'mail.setAside.text':
    '“{{vacancy}}” was not finished by {{day}} and is set aside. All that you gave is kept; take it up again here:\n\n{{link}}',
} as const
