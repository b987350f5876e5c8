import type english from './mail.en'
import type { Translated } from './translated'

export default {
  'mail.hello': 'Guten Tag, {{name}}!',
  'mail.setNewPassword.subject': 'Setzen Sie ein neues Passwort',
  'mail.setNewPassword.text':
    'Öffnen Sie diesen Link, um ein neues Passwort zu setzen:\n\n{{link}}\n\nEr gilt einmal, zwei Stunden lang. Wenn Sie nicht darum gebeten haben, tun Sie nichts; Ihr Passwort bleibt, wie es ist.',
  'mail.leaveAddress.subject': 'Änderung Ihrer Mailadresse',
  'mail.leaveAddress.text':
    'Ihr Konto soll zu {{address}} wechseln. Öffnen Sie diesen Link, um zuzustimmen:\n\n{{link}}\n\nAuch die neue Adresse wird gefragt. Wenn Sie das nicht waren, tun Sie nichts und ändern Sie Ihr Passwort.',
  'mail.takeAddress.subject': 'Bestätigen Sie Ihre neue Mailadresse',
  'mail.takeAddress.text':
    'Öffnen Sie diesen Link, um diese Adresse für Ihr Konto zu verwenden:\n\n{{link}}\n\nAuch die alte Adresse wird gefragt. Wenn Sie das nicht waren, tun Sie nichts.',
  'mail.addressTaken.subject': 'Bestätigen Sie Ihre neue Mailadresse',
  'mail.addressTaken.text':
    'Jemand wollte diese Adresse für ein anderes Konto verwenden. Sie gehört schon zu einem Konto, also wurde nichts geändert. Sie müssen nichts tun.',
  'mail.accountExists.subject': 'Sie haben schon ein Konto',
  'mail.accountExists.text':
    'Jemand, wahrscheinlich Sie, wollte mit dieser Adresse ein Konto anlegen. Sie haben schon eines.\n\nAnmelden: {{link}}\n\nWenn Sie es nicht waren, ist nichts geschehen und nichts zu tun.',
  'mail.confirmAddress.subject': 'Bestätigen Sie Ihre Adresse',
  'mail.confirmAddress.text':
    'Öffnen Sie diesen Link, um Ihre Adresse zu bestätigen und dort weiterzumachen, wo Sie waren:\n\n{{link}}\n\nEr gilt zwei Tage. Wenn Sie kein Konto wollten, tun Sie nichts.',
  'mail.changePart.subject': 'Bitte ändern Sie etwas in Ihrer Bewerbung {{reference}}',
  'mail.changePart.text':
    'Zu „{{part}}“ in Ihrer Bewerbung als {{vacancy}}:\n\n{{reason}}\n\nBitte bis {{due}}. Alles andere bleibt, wie Sie es abgeschickt haben.\n{{link}}',
  'mail.received.subject': 'Wir haben Ihre Bewerbung {{reference}}',
  'mail.received.text':
    'Ihre Bewerbung als {{vacancy}} ist eingegangen. Ihr Zeichen ist {{reference}}.\n\nWie es weitergeht und was wir noch von Ihnen brauchen, steht auf Ihrer Statusseite. Alles Abgeschickte liegt bei.\n{{link}}',
  'mail.enquiryReminder.subject': 'Zur Erinnerung: Bitte bestätigen Sie {{claim}}, {{candidate}}',
  'mail.enquiryReminder.text':
    'Am {{asked}} haben wir Sie zu {{candidate}} gefragt. Ihre Antwort entscheidet, wann die Person beginnen kann. Es dauert etwa zwei Minuten:\n{{link}}',
  'mail.closingComplete.subject': 'Noch nicht abgeschickt: {{vacancy}} schließt {{closes}}',
  'mail.closingComplete.text':
    'Ihre Bewerbung als {{vacancy}} ist noch nicht abgeschickt. Sie ist vollständig. Geschlossen wird {{closes}} ({{zone}}).\n\n{{link}}',
  'mail.closing.subject': 'Noch nicht abgeschickt: {{vacancy}} schließt {{closes}}',
  'mail.closing.text_one':
    'Ihre Bewerbung als {{vacancy}} ist noch nicht abgeschickt. Eine Sache fehlt. Geschlossen wird {{closes}} ({{zone}}).\n\n{{link}}',
  'mail.closing.text_other':
    'Ihre Bewerbung als {{vacancy}} ist noch nicht abgeschickt. {{count}} Dinge fehlen. Geschlossen wird {{closes}} ({{zone}}).\n\n{{link}}',
  'mail.quiet.subject': 'Noch abzuschicken: {{vacancy}}',
  'mail.quiet.text':
    'Sie haben eine Bewerbung als {{vacancy}} begonnen und waren eine Woche nicht hier. Alles, was Sie geschrieben haben, ist noch da. Abgeschickt werden kann sie bis {{until}}:\n\n{{link}}\n\nWenn Sie es sich anders überlegt haben, ist nichts zu tun.',
  'mail.offerExtended.subject': 'Mehr Zeit, unser Angebot zu beantworten: {{vacancy}}',
  'mail.offerExtended.text':
    'Sie können unser Angebot einer Stelle als {{vacancy}} bis {{until}} beantworten:\n{{link}}',
  'mail.offerWithdrawn.subject': 'Unser Angebot ist zurückgezogen: {{vacancy}}',
  'mail.offerWithdrawn.text':
    'Wir haben unser Angebot einer Stelle als {{vacancy}} zurückgezogen. Wo Ihre Bewerbung steht:\n{{link}}',
  'mail.startChanged.subject': 'Ein anderer erster Tag: {{vacancy}}',
  'mail.startChanged.text':
    'Der erste Tag für Ihre Bewerbung als {{vacancy}} ist jetzt der {{start}} statt des {{before}}: {{reason}}\n\nWas das für Sie bedeutet, steht auf Ihrer Statusseite:\n{{link}}',
  'mail.rulesChanged.subject': 'Was wir für {{vacancy}} verlangen, hat sich geändert',
  'mail.rulesChanged.text':
    'Was wir von Ihnen für {{vacancy}} verlangen, hat sich geändert: {{reason}}\n\n{{changes}}\n\nWas das für Sie bedeutet, steht auf Ihrer Statusseite:\n{{link}}',
  'mail.rulesChanged.gone': '- Nicht mehr gefragt: {{title}}',
  'mail.rulesChanged.added': '- Zusätzlich gefragt: {{after}}',
  'mail.rulesChanged.now': '- Jetzt: {{after}}',
  'mail.offerReminder.subject': 'Unser Angebot wartet auf Ihre Antwort: {{vacancy}}',
  'mail.offerReminder.text':
    'Bitte beantworten Sie unser Angebot einer Stelle als {{vacancy}} bis {{until}}:\n{{link}}',
  'mail.offerExpired.subject': 'Der Tag, unser Angebot zu beantworten, ist vorbei: {{vacancy}}',
  'mail.offerExpired.text':
    'Der Tag, unser Angebot einer Stelle als {{vacancy}} zu beantworten, war der {{until}}. Wir wissen davon und schreiben Ihnen. Wo Ihre Bewerbung steht:\n{{link}}',
  'mail.offer.subject': 'Ein Angebot: {{vacancy}}',
  'mail.offer.text':
    'Wir möchten Sie ab {{start}} als {{vacancy}} bei uns haben. Lesen Sie das Angebot und antworten Sie bis {{until}}:\n{{link}}',
  'mail.shortlist.subject': 'Sie sind in der engeren Wahl für {{vacancy}}',
  'mail.shortlist.text':
    'Sie sind in der engeren Wahl für {{vacancy}}. Wie es weitergeht, steht auf Ihrer Statusseite:\n{{link}}',
  'mail.cleared.subject': 'Sie können am {{start}} als {{vacancy}} beginnen',
  'mail.cleared.text':
    'Sie können am {{start}} als {{vacancy}} beginnen. Wie es weitergeht, steht auf Ihrer Statusseite:\n{{link}}',
  'mail.begunForYou.on paper.subject': 'Ihre Bewerbung als {{vacancy}}',
  'mail.begunForYou.on paper.text':
    'Wie Sie uns auf Papier gesagt haben, haben wir Ihre Bewerbung als {{vacancy}} begonnen. Sie haben mit dieser Adresse ein Konto, das Weitere schreiben Sie also selbst:\n\n{{link}}',
  'mail.takeOver.on paper.subject': 'Bitte durchlesen: Ihre Bewerbung als {{vacancy}}',
  'mail.takeOver.on paper.text':
    'Wir haben Ihre Bewerbung als {{vacancy}} nach dem aufgeschrieben, was Sie uns auf Papier gesagt haben. Sie zählt, sobald Sie sie durchgelesen, unterschrieben und abgeschickt haben:\n\n{{link}}\n\nDer Link gilt zwei Wochen. Wenn Sie sich nicht bewerben wollten, tun Sie nichts oder sagen Sie es uns, dann löschen wir sie.',
  'mail.begunForYou.by phone.subject': 'Ihre Bewerbung als {{vacancy}}',
  'mail.begunForYou.by phone.text':
    'Wie Sie uns am Telefon gesagt haben, haben wir Ihre Bewerbung als {{vacancy}} begonnen. Sie haben mit dieser Adresse ein Konto, das Weitere schreiben Sie also selbst:\n\n{{link}}',
  'mail.takeOver.by phone.subject': 'Bitte durchlesen: Ihre Bewerbung als {{vacancy}}',
  'mail.takeOver.by phone.text':
    'Wir haben Ihre Bewerbung als {{vacancy}} nach dem aufgeschrieben, was Sie uns am Telefon gesagt haben. Sie zählt, sobald Sie sie durchgelesen, unterschrieben und abgeschickt haben:\n\n{{link}}\n\nDer Link gilt zwei Wochen. Wenn Sie sich nicht bewerben wollten, tun Sie nichts oder sagen Sie es uns, dann löschen wir sie.',
  'mail.resit.subject': 'Sie können eine Prüfung noch einmal ablegen: {{check}}',
  'mail.resit.text':
    'Sie können die Prüfung „{{check}}“ ab {{from}} noch einmal ablegen, mit anderen Fragen. Sie steht auf Ihrer Statusseite:\n{{link}}',
  'mail.betterCopy.subject': 'Bitte schicken Sie eine bessere Kopie: {{claim}}',
  'mail.betterCopy.text':
    '„{{file}}“ war nicht zu verwenden: {{reason}}\n\nSchicken Sie hier eine bessere; sonst ändert sich nichts:\n{{link}}',
  'mail.enquiry.work.subject': 'Bitte bestätigen Sie: {{claim}}, {{candidate}}',
  'mail.enquiry.work.text':
    '{{candidate}} hat sich bei {{operator}} beworben und gibt an, dass {{source}} die Person beschäftigt hat: {{claim}}.\n\nBitte sagen Sie uns, ob das stimmt. Es dauert etwa zwei Minuten und braucht kein Konto:\n{{link}}\n\nWir fragen nach: {{fields}}. {{candidate}} hat eine Erlaubnis zum Prüfen unterschrieben; sie liegt bei. Der Link ist für Sie bestimmt, gilt einmal und läuft ab.\n\nFür eine Antwort bis {{answerBy}} wären wir dankbar.',
  'mail.enquiry.issued.subject': 'Bitte bestätigen Sie: {{claim}}, {{candidate}}',
  'mail.enquiry.issued.text':
    '{{candidate}} hat sich bei {{operator}} beworben und gibt an, dass {{source}} das ausgestellt hat: {{claim}}.\n\nBitte sagen Sie uns, ob das stimmt. Es dauert etwa zwei Minuten und braucht kein Konto:\n{{link}}\n\nWir fragen nach: {{fields}}. {{candidate}} hat eine Erlaubnis zum Prüfen unterschrieben; sie liegt bei. Der Link ist für Sie bestimmt, gilt einmal und läuft ab.\n\nFür eine Antwort bis {{answerBy}} wären wir dankbar.',
  'mail.enquiry.linkToCome': '(ein Link für diese Frage)',
  'mail.enquiry.permission': 'Erlaubnis zum Prüfen, {{name}}',
  'mail.received.application': 'Bewerbung, {{reference}}',
  'mail.vouch.subject': '{{candidate}} bittet Sie zu bürgen',
  'mail.vouch.text':
    '{{candidate}} bewirbt sich bei uns als {{vacancy}} und hat Sie genannt ({{relation}}).\n\nBitte sagen Sie uns in ein paar Minuten, was Sie von der Arbeit gesehen haben:\n{{link}}\n\nSie brauchen kein Konto. Was Sie schreiben, lesen die, die entscheiden, und nicht {{candidate}}.',
  'mail.account.signedIn.subject': 'Eine neue Anmeldung',
  'mail.account.signedIn.text':
    'Jemand, wahrscheinlich Sie, hat sich mit einem uns unbekannten Browser bei Ihrem Konto angemeldet.\n\nWenn Sie das nicht waren, setzen Sie gleich ein neues Passwort: {{link}}',
  'mail.account.passwordReset.subject': 'Ihr Passwort wurde geändert',
  'mail.account.passwordReset.text':
    'Für Ihr Konto wurde ein neues Passwort gesetzt, und es wurde überall abgemeldet.\n\nWenn Sie das nicht waren, setzen Sie gleich ein neues Passwort: {{link}}',
  'mail.account.passwordChanged.subject': 'Ihr Passwort wurde geändert',
  'mail.account.passwordChanged.text':
    'Das Passwort Ihres Kontos wurde geändert, und es wurde überall sonst abgemeldet.\n\nWenn Sie das nicht waren, setzen Sie gleich ein neues Passwort: {{link}}',
  'mail.account.mailChanged.subject': 'Ihre Mailadresse wurde geändert',
  'mail.account.mailChanged.text':
    'Die Mailadresse Ihres Kontos wurde geändert; vorher war sie {{before}}.\n\nWenn Sie das nicht waren, setzen Sie gleich ein neues Passwort: {{link}}',
  'mail.account.codesOn.subject': 'Einmalcodes sind eingeschaltet',
  'mail.account.codesOn.text':
    'Für Ihr Konto wurden Einmalcodes eingeschaltet.\n\nWenn Sie das nicht waren, setzen Sie gleich ein neues Passwort: {{link}}',
  'mail.account.codesOff.subject': 'Einmalcodes sind ausgeschaltet',
  'mail.account.codesOff.text':
    'Für Ihr Konto wurden Einmalcodes ausgeschaltet.\n\nWenn Sie das nicht waren, setzen Sie gleich ein neues Passwort: {{link}}',
  'mail.invitation.subject': 'Einladung zu {{organisation}}',
  'mail.invitation.text':
    'Sie sind eingeladen, mit den Bewerbungen von {{organisation}} zu arbeiten, als {{roles}}.\n\nHier wählen Sie ein Passwort; der Link gilt einmal, sieben Tage lang:\n\n{{link}}',
  'mail.testMail.subject': 'Eine Testmail',
  'mail.testMail.text':
    'Diese Mail zeigt, dass {{organisation}} zu hören ist. Öffnen Sie das, dann ist vermerkt, dass sie angekommen ist:\n\n{{link}}',
  'mail.signInThroughProvider.subject': 'So melden Sie sich an',
  'mail.signInThroughProvider.text':
    'Für Ihre Adresse wurde ein neues Passwort verlangt. Sie haben hier keines: Sie melden sich über {{provider}} an. Geht das dort nicht, hilft Ihnen, wer {{provider}} in Ihrer Organisation betreut.\n\n{{link}}',
  'mail.breakGlassUsed.subject': '{{colleague}} hat sich mit Passwort angemeldet',
  'mail.breakGlassUsed.text':
    '{{colleague}} hat sich mit Passwort angemeldet, mit einem Konto für den Tag, an dem der Anmeldedienst ausfällt. Wenn niemand Grund dazu hatte, ändern Sie das Passwort dieses Kontos und melden Sie es unter „Wer hier arbeitet“ ab.',
  'mail.deskAnswered.subject': 'Eine Antwort auf Ihre Frage zu {{vacancy}}',
  'mail.deskAnswered.text': '{{answer}}\n\nSie können auf diese Nachricht antworten oder hier schreiben:\n{{link}}',
  'mail.general.stop': 'Sie bekommen dies, weil Sie sich einmal bei uns beworben haben. Nichts mehr davon: {{link}}',
  'mail.decisionDay.subject': 'Unsere Entscheidung zu {{vacancy}} kommt bis {{day}}',
  'mail.decisionDay.text':
    'Wir haben Ihnen zu {{vacancy}} eine Entscheidung bis {{before}} zugesagt. Sie fällt nun bis {{day}}.\n\nDer Grund: {{reason}}\n\nSie müssen nichts tun. Wie es um Ihre Bewerbung {link}',
  'mail.decisionLate.subject': 'Unsere Entscheidung zu {{vacancy}} verspätet sich',
  'mail.decisionLate.text':
    'Wir haben Ihnen zu {{vacancy}} eine Entscheidung bis {{day}} zugesagt und sie noch nicht getroffen. Das tut uns leid. Ihre Bewerbung liegt weiterhin bei uns, und Sie hören von uns, sobald entschieden ist, so oder so.\n\nWie es um sie steht: {link}',
  'mail.finalPaperDue.subject': 'Noch nachzureichen bis {{day}}: {{claim}}',
  'mail.finalPaperDue.text':
    'Zu {{claim}} haben Sie ein vorläufiges Papier gegeben und gesagt, dass das endgültige bis {{day}} kommt. Bitte legen Sie es auf Ihrer Seite dazu, sobald Sie es haben:\n\n{{link}}',
  'mail.finalPaperMissed.subject': 'Das endgültige Papier ist nicht gekommen: {{claim}}',
  'mail.finalPaperMissed.text':
    'Das endgültige Papier zu {{claim}} war bis {{day}} nachzureichen und ist nicht gekommen. Bis es da ist, ist wieder offen, was auf dem vorläufigen beruhte. Bitte legen Sie es dazu, oder ein neues vorläufiges mit dem Tag, an dem das endgültige kommt:\n\n{{link}}',
  'mail.matterToDecide.subject': 'Zu entscheiden: {{matter}}, {{reference}}',
  'mail.matterToDecide.text':
    'In der Bewerbung {{reference}} wurde etwas erklärt, worüber Sie entscheiden: {{matter}}. Was dazu geschrieben wurde, steht in der Akte:\n\n{{link}}',
  'mail.matterDecided.subject': 'Was Sie erklärt haben: {{vacancy}}',
  'mail.matterDecided.text':
    'Wir haben gelesen, was Sie zu „{{matter}}“ erklärt haben, und darüber entschieden. Was entschieden wurde und was daraus folgt, steht auf Ihrer Seite:\n\n{{link}}',
  'mail.deskAsks.subject': 'Eine Frage an Sie zu {{vacancy}}',
  'mail.deskAsks.text':
    'Zu Ihrer Bewerbung als {{vacancy}} möchten wir wissen:\n\n{{question}}\n\nAntworten Sie auf diese Mail, oder schreiben Sie auf Ihrer Seite:\n{{link}}',
  'mail.originalReceived.subject': 'Wir haben Ihr Original: {{paper}}',
  'mail.originalReceived.text':
    'Das Original zu {{paper}} ist angekommen und liegt in unserem Safe. Es wird mit Ihrem Scan verglichen und dann zurückgegeben. Wo es ist, steht auf Ihrer Seite:\n\n{{link}}',
  'mail.originalReturned.subject': 'Ihr Original ist zurückgegeben: {{paper}}',
  'mail.originalReturned.text':
    'Das Original zu {{paper}} ist zurückgegeben: {{to}}. Wenn das nicht stimmt, fragen Sie uns gleich auf Ihrer Seite:\n\n{{link}}',
  'mail.paperDiscarded.subject': 'Ein Papier von Ihnen wurde verworfen: {{claim}}',
  'mail.paperDiscarded.text':
    'Ein Papier, das Sie zu {{claim}} gegeben haben, sollte nicht bei uns sein; wir haben es gelöscht. Niemand kann es mehr öffnen.\n\nDer Grund: {{reason}}\n\nWas wir noch von Ihnen brauchen, falls etwas, steht auf Ihrer Seite:\n\n{{link}}',
  'mail.sheetNotRight.subject': 'Ihr Papier ist gekommen, und etwas stimmt nicht: {{paper}}',
  'mail.sheetNotRight.text':
    'Mit Ihrem Deckblatt {{sheet}} ist ein Papier gekommen, für {{paper}}.\n\n{{why}}\n\nSie sehen es auf Ihrer Statusseite: {{link}}',
  'mail.sourceAsksMore.subject': 'Noch eines für {{source}}: {{claim}}',
  'mail.sourceAsksMore.text':
    'Bevor {{source}} zu {{claim}} antwortet, verlangt sie: {{what}}.\n\nWas zu tun ist, finden Sie auf Ihrer Statusseite.\n{{link}}',
  'mail.postedMissed.subject': 'Nicht angekommen: {{paper}}',
  'mail.postedMissed.text':
    'Sie haben {{paper}} abgeschickt, und es ist nicht angekommen. Bitte schicken Sie es noch einmal, oder fotografieren Sie es: Das dauert eine Minute.\n{{link}}',
  'mail.enquiry.several.subject': 'Bitte bestätigen Sie die Angaben von {{count}} Personen',
  'mail.enquiry.several.text':
    'Diese Personen haben sich bei {{operator}} beworben und nennen {{source}} als Quelle ihrer Angaben:\n\n{{people}}\n\nBitte teilen Sie uns mit, ob das stimmt. Jede wird für sich beantwortet, auf einer Seite und ohne Konto:\n{{link}}\n\nFür jede liegt eine unterschriebene Erlaubnis zur Prüfung bei. Der Link ist für Sie bestimmt und läuft ab.\n\nFür eine Antwort bis {{answerBy}} wären wir dankbar.',
  'mail.enquiry.line': '{{candidate}}: {{claim}} ({{reference}})',
  'mail.enquiry.direct.subject': 'Bitte senden Sie uns Ihre Bestätigung, {{reference}}: {{claim}}, {{candidate}}',
  'mail.enquiry.direct.text':
    '{{candidate}} hat sich bei {{operator}} beworben und nennt {{source}} als Quelle dieser Angabe: {{claim}}.\n\nBitte senden Sie uns Ihre eigene Bestätigung zu: {{fields}}. Per E-Mail an {{contact}} oder in einem verschlossenen Brief an:\n{{address}}\n\nBitte geben Sie das Zeichen {{reference}} an, damit sie ihren Weg findet. {{candidate}} hat eine Erlaubnis zur Prüfung unterschrieben; sie liegt bei.\n\nFür eine Antwort bis {{answerBy}} wären wir dankbar.',
  'mail.enquiryReminder.several.subject': 'Erinnerung: Bitte bestätigen Sie die Angaben von {{count}} Personen',
  'mail.enquiryReminder.several.text':
    'Am {{asked}} haben wir Sie zu diesen Personen befragt. Von Ihrer Antwort hängt ab, wann sie anfangen können:\n\n{{people}}\n\nEs dauert wenige Minuten:\n{{link}}',
  'mail.enquiry.forwarded.subject': '{{by}} gibt eine Frage an Sie weiter: {{claim}}, {{candidate}}',
  'mail.enquiry.forwarded.text':
    '{{by}} von {{source}} hat diese Frage von {{operator}} an Sie weitergegeben.\n\n{{candidate}} nennt {{source}} als Quelle dieser Angabe: {{claim}}. Bitte teilen Sie uns mit, ob das stimmt. Es dauert etwa zwei Minuten und braucht kein Konto:\n{{link}}\n\nEine unterschriebene Erlaubnis zur Prüfung liegt bei. Der Link ist für Sie bestimmt, gilt einmal und läuft ab.\n\nFür eine Antwort bis {{answerBy}} wären wir dankbar.',
  'mail.enquiryWaits.subject': 'Bevor wir fragen können: Etwas fehlt noch von Ihnen',
  'mail.enquiryWaits.text':
    'Wir wollen bestätigen lassen, was Sie angegeben haben. Vorher fehlt noch etwas von Ihnen:\n\n{{what}}\n\nDas geht auf Ihrer Statusseite; die Frage geht dann von selbst hinaus.\n{{link}}',
  'mail.enquiryWaits.line': '{{claim}}, {{source}}: {{lacks}}',
  'mail.enquiryWaits.notSigned': 'Ihre unterschriebene Erlaubnis zum Prüfen',
  'mail.enquiryWaits.noPaper': 'ein Dokument, das es zeigt',
  'mail.enquiryWaits.askedFirst': '{{what}} (verlangt die Quelle)',
  'mail.hearing.subject': 'Bitte helfen Sie uns zu verstehen: {{claim}}',
  'mail.hearing.text':
    'Was Sie uns zu {{claim}} angegeben haben und was wir erfahren haben, passt noch nicht zusammen:\n\n{{what}}\n\nDafür gibt es viele Gründe: ein Versehen, eine andere Zählweise, ein neuer Name. Noch ist nichts entschieden. Bitte sagen Sie uns bis {{day}}, was Sie wissen, und legen Sie ein Papier bei, wenn Sie eines haben:\n{{link}}',
  'mail.report.subject': 'Bericht {{reference}}: was belegt ist',
  'mail.report.text':
    'Anbei Bericht {{reference}}, Stand {{day}}. Unter {{address}} kann jeder prüfen, dass er unverändert ist und noch gilt. Stellt sich etwas darin als anders heraus, schreiben wir Ihnen.',
  'mail.reportRevoked.subject': 'Bericht {{reference}} gilt nicht mehr',
  'mail.reportRevoked.text':
    'Bericht {{reference}} vom {{day}} gilt nicht mehr: {{why}}. Bitte verwenden Sie ihn nicht. Was jetzt belegt ist, steht in einem neuen Bericht.',
  'mail.recordLink.subject': 'Was über {{name}} nachgewiesen ist: Bericht {{reference}}',
  'mail.recordLink.text':
    'Mit der Erlaubnis von {{name}} lassen wir Sie lesen, was nachgewiesen ist, für: {{purpose}}.\n\n{{link}}\n\nDer Link ist offen bis {{day}}. Niemand muss sich anmelden. Sie können es von dort als PDF behalten oder als digitalen Nachweis, den jeder prüfen kann.',
  'mail.recordFile.subject': 'Was über {{name}} nachgewiesen ist: Bericht {{reference}}',
  'mail.recordFile.text':
    'Mit der Erlaubnis von {{name}} schicken wir Ihnen, was nachgewiesen ist, für: {{purpose}}. Es liegt bei.\n\nJeder kann auf {{address}} prüfen, dass es unverändert ist und noch gilt. Wenn sich etwas davon als anders herausstellt oder es zurückgenommen wird, schreiben wir Ihnen.',
  'mail.feeDue.subject': 'Zu zahlen: {{fee}}',
  'mail.feeDue.text':
    'Für Ihre Bewerbung um die Stelle {{vacancy}} macht {{fee}} {{amount}} aus. Bitte zahlen Sie bis {{day}}. Jede Zeile ist erklärt, und zahlen oder fragen können Sie hier:\n{{link}}',
  'mail.feeReceived.subject': 'Bezahlt: {{fee}}',
  'mail.feeReceived.text':
    'Danke. {{fee}} für Ihre Bewerbung um die Stelle {{vacancy}} ist bezahlt. Die Quittung finden Sie hier:\n{{link}}',
  'mail.feeChanged.subject': 'Zu dem, was Sie zahlen: {{fee}}',
  'mail.feeChanged.text': '{{what}}\n\n{{reason}}\n\nWas offen ist und bezahlt wurde, finden Sie hier:\n{{link}}',
  'mail.feeReminder.subject': 'Noch zu zahlen: {{fee}}',
  'mail.feeReminder.text':
    '{{amount}} für {{fee}} ist noch zu zahlen; fällig am {{day}}. Wenn Sie in den letzten Tagen bezahlt haben, ist nichts zu tun. Hier können Sie zahlen oder uns fragen:\n{{link}}',
  'mail.enquiryWaits.notPaid': 'die Zahlung, die vor der Bearbeitung kommt',
  'mail.employerInvitation.subject': '{{employer}} bei {{organisation}}',
  'mail.employerInvitation.text':
    'Sie sind eingeladen, für {{employer}} zu entscheiden, welche Gebühren Ihrer Leute bei {{organisation}} übernommen werden.\n\nWählen Sie hier ein Passwort; der Link gilt einmal, sieben Tage lang:\n\n{{link}}',
  'mail.employerAsked.subject': '{{employer}} soll eine Gebühr zahlen',
  'mail.employerAsked.text':
    'Jemand bittet {{employer}}, eine Gebühr bei {{organisation}} zu zahlen. Übernehmen Sie sie innerhalb von zwei Wochen, oder lehnen Sie mit Grund ab:\n\n{{link}}',
  'mail.employerWaited.subject': 'Noch zu entscheiden: {{employer}} soll eine Gebühr zahlen',
  'mail.employerWaited.text':
    'Jemand wartet seit einigen Tagen darauf, ob {{employer}} eine Gebühr bei {{organisation}} zahlt. Ohne Antwort geht sie an die Person zurück:\n\n{{link}}',
  'mail.employerInvoice.subject': 'Rechnung {{number}} für {{employer}}',
  'mail.employerInvoice.text': 'Die Rechnung {{number}} über {{amount}} liegt bei. Sie ist am {{day}} fällig.',
  'mail.employerReceipt.subject': 'Quittung {{number}} für {{employer}}',
  'mail.employerReceipt.text':
    'Wir haben {{amount}} zu einer Rechnung erhalten, fällig am {{day}}. Die Quittung {{number}} liegt bei.',
  'mail.employerLate.subject': 'Rechnung {{number}} war am {{day}} fällig',
  'mail.employerLate.text': 'Von der Rechnung {{number}} sind noch {{amount}} offen; sie war am {{day}} fällig.',
  'mail.payerAnswered.subject': '{{employer}}: {{fee}}',
  'mail.payerAnswered.text': '{{what}}\n\n{{reason}}\n\n{{link}}',
  'mail.timeToFinish.subject': 'Noch fertigzustellen bis {{day}}: {{vacancy}}',
  'mail.timeToFinish.text':
    'Für „{{vacancy}}“ ist noch etwas von Ihnen zu tun. Der letzte Tag ist {{day}}; danach wird es zurückgestellt, und alle Angaben bleiben erhalten.\n\n{{link}}',
  'mail.setAside.subject': 'Zurückgestellt: {{vacancy}}',
  'mail.setAside.text':
    '„{{vacancy}}“ war bis {{day}} nicht fertig und ist zurückgestellt. Alle Angaben bleiben erhalten; nehmen Sie es hier wieder auf:\n\n{{link}}',
} satisfies Translated<typeof english>
