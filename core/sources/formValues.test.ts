import { guessValue } from './formValues'

test.each([
  ['surname', 'family name'],
  ['given_names', 'given names'],
  ['Vorname', 'given names'],
  ['dateOfBirth', 'born'],
  ['Geburtsdatum', 'born'],
  ['Data di nascita', 'born'],
  ['name', 'name'],
  ['Full name', 'name'],
  ['Numero di matricola', 'number'],
  ['course', 'subject'],
  ['released_to', 'house'],
  ['E-mail', 'mail'],
  // A signature is never filled in, and what nobody would guess is left.
  ['signature', 'by hand'],
  ['Unterschrift', 'by hand'],
  ['field_17', 'by hand'],
  ['', 'by hand'],
  // Part of a word is not the word.
  ['hostname', 'by hand'],
  ['tonnage', 'by hand'],
])('the field %s begins with %s', (field, value) => expect(guessValue(field)).toBe(value))
