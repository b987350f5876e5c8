import type english from './account.en'
import type { Translated } from './translated'

export default {
  'account.signIn': 'Anmelden',
  'account.yourAddressIsConfirmed': 'Ihre Adresse ist bestätigt',
  'account.youBeganInAnotherBrowser':
    'Sie haben in einem anderen Browser begonnen. Melden Sie sich hier an, um fortzufahren; was Sie dort geschrieben haben, können Sie auch von dort senden.',
  'account.thisLinkDoesNotWork': 'Dieser Link gilt nicht mehr',
  'account.confirmYourAddress': 'Bestätigen Sie Ihre Adresse',
  'account.onePressAndTheAddress': 'Ein Druck, und die Adresse ist Ihre.',
  'account.confirmMyAddress': 'Meine Adresse bestätigen',
  'account.myApplications': 'Meine Bewerbungen',
  'account.youHaveNotBegunOne': 'Sie haben noch keine begonnen.',
  'account.seeTheOpenVacancies': 'Zu den offenen Stellen',
  'account.notSentYetThingsAre_one': 'Noch nicht abgeschickt, eine Sache fehlt. Schließt {{when}}.',
  'account.notSentYetThingsAre_other': 'Noch nicht abgeschickt, {{count}} Dinge fehlen. Schließt {{when}}.',
  'account.deleteTheDraft': 'Entwurf löschen',
  'account.deleteYourApplicationFor': 'Ihre Bewerbung für {{title}} löschen?',
  'account.itsAnswersAreDeletedAnd':
    'Die Antworten werden gelöscht und lassen sich nicht zurückholen. Ihre Studien, Stellen und Papiere bleiben in Ihrer Akte für andere Bewerbungen.',
  'account.yourAccount': 'Ihr Konto',
  'account.mailAddress': 'Mailadresse',
  'account.password': 'Passwort',
  'account.codeOfYourAuthenticatorApp': 'Code Ihrer Authenticator-App oder ein Ersatzcode',
  'account.passwordForgotten': 'Passwort vergessen',
  'account.noAccountYet': 'Noch kein Konto?',
  'account.makeOne': 'Eines anlegen',
  'account.thisIsTheDemoSign': 'Das ist die Demo: Mit dem Passwort {{password}} können Sie sich anmelden als',
  'account.lookIntoYourMailbox': 'Sehen Sie in Ihr Postfach',
  'account.weHaveSentALink':
    'Wir haben einen Link an {{mail}} geschickt. Öffnen Sie ihn, um die Adresse zu bestätigen; danach geht es hier weiter.',
  'account.nothingThereAfterAFew':
    'Nach einigen Minuten nichts da? Sehen Sie bei der unerwünschten Post nach, oder legen Sie das Konto noch einmal an.',
  'account.inTheDemoEveryMail':
    'In der Demo kommt jede Mail in das Ersatzpostfach, dessen Adresse beim Start ausgegeben wurde.',
  'account.makeAnAccount': 'Ein Konto anlegen',
  'account.yourName': 'Ihr Name',
  'account.atLeast12CharactersA': 'Mindestens 12 Zeichen. Ein paar Wörter sind besser als eines mit Sonderzeichen.',
  'account.makeTheAccount': 'Das Konto anlegen',
  'account.youHaveOne': 'Sie haben eines?',
  'account.itHasBeenUsedOr':
    'Er wurde schon benutzt oder ist zu alt. Wenn Sie Ihre Bewerbung übernommen haben, melden Sie sich an, um weiterzumachen.',
  'account.yourApplicationFor': 'Ihre Bewerbung als {{title}}',
  'account.wroteItDownOnFrom': '{{by}} hat sie am {{when}} nach Ihrem Anruf aufgeschrieben.',
  'account.wroteItDownOnFromYour': '{{by}} hat sie am {{when}} nach Ihren Papieren aufgeschrieben.',
  'account.countAnswers_one': 'Eine Antwort',
  'account.countAnswers_other': '{{count}} Antworten',
  'account.entriesOfYourRecord_one': 'ein Eintrag Ihres Werdegangs',
  'account.entriesOfYourRecord_other': '{{count}} Einträge Ihres Werdegangs',
  'account.itCountsOnceYouHave':
    'Sie zählt, sobald Sie sie durchgelesen, unterschrieben und abgeschickt haben. Bis dahin können Sie alles ändern.',
  'account.chooseAPassword': 'Passwort wählen',
  'account.atLeast12CharactersAFew':
    'Mindestens 12 Zeichen. Ein paar Wörter ohne Zusammenhang sind schwer zu erraten und leicht zu merken.',
  'account.takeItOverAndRead': 'Übernehmen und durchlesen',
  'account.ifBelongsToAnAccount':
    'Wenn {{mail}} zu einem Konto gehört, ist ein Link für ein neues Passwort unterwegs. Er gilt zwei Stunden.',
  'account.sendMeALink': 'Einen Link schicken',
  'account.setANewPassword': 'Ein neues Passwort setzen',
  'account.newPassword': 'Neues Passwort',
  'account.atLeast12CharactersAFewUnrelated':
    'Mindestens 12 Zeichen. Ein paar Wörter ohne Zusammenhang sind schwer zu erraten und leicht zu merken. Sie werden überall abgemeldet.',
  'account.setIt': 'Setzen',
  'account.yourAddressIsChangedUse': 'Ihre Adresse ist geändert. Melden Sie sich von nun an mit ihr an.',
  'account.thankYouWeAreStill': 'Danke. Wir warten noch auf {{address}}.',
  'account.changeOfYourMailAddress': 'Änderung Ihrer Mailadresse',
  'account.itIsChangedOnceBoth': 'Sie wird geändert, sobald die alte und die neue Adresse zugestimmt haben.',
  'account.agree': 'Zustimmen',
  'account.yourRoleSignsInWith':
    'Ihre Rolle meldet sich auch mit Einmalcodes an. Richten Sie sie hier ein, dann öffnet sich der Arbeitsplatz.',
  'account.yourRecoveryCodes': 'Ihre Ersatzcodes',
  'account.eachOpensYourAccountOnce':
    'Jeder öffnet Ihr Konto einmal, wenn das Telefon verloren ist. Sie werden nur jetzt gezeigt; schreiben Sie sie auf oder drucken Sie sie.',
  'account.iHaveKeptThem': 'Ich habe sie verwahrt',
  'account.oneTimeCodes': 'Einmalcodes',
  'account.switchedOn': 'Eingeschaltet.',
  'account.recoveryCodesAreLeft_one': 'Ein Ersatzcode ist übrig.',
  'account.recoveryCodesAreLeft_other': '{{count}} Ersatzcodes sind übrig.',
  'account.switchThemOff': 'Ausschalten',
  'account.theQrCodeForYour': 'Der QR-Code für Ihre Authenticator-App',
  'account.scanThisWithAnAuthenticator':
    'Lesen Sie das mit einer Authenticator-App ein, oder tippen Sie dort dieses Geheimnis ein:',
  'account.theCodeItShowsNow': 'Der Code, den sie jetzt zeigt',
  'account.switchThemOn': 'Einschalten',
  'account.aCodeFromAnAuthenticator':
    'Ein Code aus einer Authenticator-App auf Ihrem Telefon, der neben dem Passwort verlangt wird. Freiwillig.',
  'account.setThemUp': 'Einrichten',
  'account.itIsChangedAndYou': 'Es ist geändert, und Sie sind überall sonst abgemeldet.',
  'account.changeIt': 'Ändern',
  'account.aLinkIsOnIts':
    'Ein Link ist unterwegs an {{now}} und an {{moving}}. Die Adresse ändert sich, sobald beide geöffnet sind.',
  'account.newAddress': 'Neue Adresse',
  'account.sendTheLinks': 'Die Links senden',
  'account.whereYouAreSignedIn': 'Wo Sie angemeldet sind',
  'account.onlyHere': 'Nur hier.',
  'account.inPlacesThisOneAmong': 'An {{sessions}} Orten, dieser ist einer davon.',
  'account.signOutEverywhereElse': 'Überall sonst abmelden',
  'account.yourData': 'Ihre Daten',
  'account.allWeKnowOfYou':
    'Alles, was wir von Ihnen wissen, mit jedem Papier, das Sie geschickt haben, können Sie mitnehmen.',
  'account.takeAllOfItAlong': 'Alles mitnehmen, als ZIP',
  'account.whatIsKeptAndWhy': 'Was aufbewahrt wird, und warum',
  'account.erasedYourAccountIsClosed':
    'Nach dem Löschen ist Ihr Konto geschlossen, Laufendes zurückgezogen, und niemand findet Sie hier mehr. Das lässt sich nicht rückgängig machen. Nur dies bleibt bis zu seinem Tag und geht dann von selbst:',
  'account.eraseMyData': 'Meine Daten löschen',
  'account.keepEverythingAsItIs': 'Alles lassen, wie es ist',
  'account.haveItErased': 'Löschen lassen',
  'account.untilDay': 'bis {{day}}',
  'account.yourPassword': 'Ihr Passwort',
  'account.language': 'Sprache',
} satisfies Translated<typeof english>
