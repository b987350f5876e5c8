import type english from './check.en'
import type { Translated } from './translated'

export default {
  'check.questionsOneRightAnswerEach': '{{questions}} Fragen, je eine richtige Antwort.',
  'check.minutesFromTheMomentYou':
    '{{minutes}} Minuten ab dem Beginn. Die Uhr läuft weiter, auch wenn Sie die Seite schließen.',
  'check.everyAnswerIsSavedAs':
    'Jede Antwort wird sofort gespeichert. Nach einer verlorenen Verbindung sind Sie wieder da, wo Sie waren.',
  'check.areNeededToPassYou': 'Zum Bestehen braucht es {{passPercent}} %. Das Ergebnis sehen Sie gleich.',
  'check.itCovers': 'Es geht um: {{topics}}.',
  'check.youCanSitItAgain': 'Sie können sie ab {{day}} noch einmal ablegen, mit anderen Fragen.',
  'check.goOnWhereYouWere': 'Dort weiter, wo Sie waren',
  'check.beginNow': 'Jetzt beginnen',
  'check.minutesLeft': 'Noch {{left}} Minuten',
  'check.questions': 'Fragen',
  'check.questionIndexOpen': 'Frage {{index}}, {{open}}',
  'check.answered': 'beantwortet',
  'check.open': 'offen',
  'check.back': 'Zurück',
  'check.nextQuestion': 'Nächste Frage',
  'check.ofAnswered': '{{answered}} von {{count}} beantwortet',
  'check.handIn': 'Abgeben',
  'check.ofRight': '{{right}} von {{of}} richtig, {{percent}} %.',
  'check.youHavePassed': 'Sie haben bestanden.',
  'check.wereNeededSomebodyWillBe': 'Gebraucht wurden {{passPercent}} %. Jemand meldet sich, wie es weitergeht.',
  'check.backToWhereYourApplication': 'Zurück zum Stand Ihrer Bewerbung',
} satisfies Translated<typeof english>
