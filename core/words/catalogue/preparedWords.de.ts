import type english from './preparedWords.en'
import type { Translated } from './translated'

export default {
  'preparedWords.preparedWords': 'Vorbereitete Texte',
  'preparedWords.aboutAPaper': 'Über ein Papier',
  'preparedWords.aboutAnAnswer': 'Über eine Antwort',
  'preparedWords.messages': 'Nachrichten',
  'preparedWords.englishAndGerman': 'Englisch und Deutsch',
  'preparedWords.englishOnly': 'nur Englisch',
  'preparedWords.prepareAMessage': 'Nachricht vorbereiten',
  'preparedWords.theSentencesAreSaved': 'Die Sätze sind gespeichert.',
  'preparedWords.short': 'Kurz',
  'preparedWords.english': 'Englisch',
  'preparedWords.german': 'Deutsch',
  'preparedWords.thisSentence': 'dieser Satz',
  'preparedWords.removeTitle': '{{title}} entfernen',
  'preparedWords.saveTheseSentences': 'Diese Sätze speichern',
  'preparedWords.addOne': 'Einen hinzufügen',
  'preparedWords.savedName': 'Gespeichert: {{name}}.',
  'preparedWords.removedName': 'Entfernt: {{name}}.',
  'preparedWords.whatItIsCalledHere': 'Wie es hier heißt',
  'preparedWords.save': 'Speichern',
  'preparedWords.remove': 'Entfernen',
  'preparedWords.subject': 'Betreff',
  'preparedWords.message': 'Nachricht',
  'preparedWords.subjectInGerman': 'Betreff auf Deutsch',
  'preparedWords.messageInGerman': 'Nachricht auf Deutsch',
  'preparedWords.itBeginsWithAGreeting':
    'Sie beginnt mit einem Gruß mit Namen und endet damit, wer Sie sind. Dazwischen können Sie einsetzen:',
  'preparedWords.forIs': 'für {{is}}',
  'preparedWords.sentencesForTheKeyA':
    'Sätze für die Taste A in einer Akte, wo die ersten neun die Tasten 1 bis 9 haben, und Nachrichten an mehrere. Alle lesen in ihrer eigenen Sprache.',
  'preparedWords.aSentence': 'ein Satz',
  'preparedWords.answersToQuestions': 'Antworten auf Fragen',
} satisfies Translated<typeof english>
