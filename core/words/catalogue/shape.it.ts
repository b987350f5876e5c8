/** What the page of a reply may say is wrong. */
export default {
  'shape.invalid_one': 'Una cosa non va.',
  'shape.invalid_other': '{{count}} cose non vanno.',
  'shape.missing': 'Qui manca qualcosa.',
  'shape.empty': 'È vuoto.',
  'shape.tooShort': 'Servono almeno {{limit}} caratteri.',
  'shape.tooLong': 'Qui ci stanno al massimo {{limit}} caratteri.',
  'shape.email': 'Questo non è un indirizzo e-mail.',
  'shape.form': 'Ci si aspetta un’altra forma.',
  'shape.oneOf': 'Non è nessuno di: {{values}}.',
  'shape.oneLine': 'Qui ci sta una sola riga di testo.',
  'shape.wrong': 'Non è corretto.',
  'shape.character': 'Contiene un carattere che non si può conservare.',
}
