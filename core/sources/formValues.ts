import type { FormValue } from './source'

/** Words that forms use for what can be filled in, in the languages they come in; the longer one counts before the shorter. */
const wordsFor: readonly [FormValue, readonly string[]][] = [
  ['family name', ['family name', 'surname', 'last name', 'familienname', 'nachname', 'nom de famille', 'cognome']],
  ['given names', ['given names', 'given name', 'first name', 'vorname', 'prenom', 'nome proprio']],
  [
    'born',
    ['date of birth', 'born', 'birth', 'geburtsdatum', 'geboren', 'date de naissance', 'data di nascita', 'dob'],
  ],
  ['mail', ['mail', 'email', 'e mail', 'courriel']],
  ['number', ['number', 'matriculation', 'matricola', 'nummer', 'numero', 'no']],
  ['award', ['award', 'degree', 'abschluss', 'diplome', 'titolo']],
  ['subject', ['subject', 'course', 'programme', 'studienfach', 'fach', 'matiere', 'corso']],
  ['position', ['position', 'post held', 'job title', 'stelle', 'poste', 'mansione']],
  ['from', ['from', 'begin', 'von', 'debut', 'dal']],
  ['to', ['to', 'until', 'bis', 'fin', 'al']],
  ['house address', ['requester address', 'address of requester', 'anschrift']],
  ['house', ['requester', 'released to', 'employer', 'arbeitgeber', 'employeur', 'richiedente']],
  ['source', ['institution', 'university', 'hochschule', 'universite', 'istituto']],
  ['reference', ['reference', 'our ref', 'aktenzeichen', 'riferimento']],
  ['name', ['full name', 'name', 'nom', 'nome']],
]

/**
 * What a field of a form most likely asks for, by its own name; what nobody would guess is written by hand. It is only what a
 * person begins with.
 */
export function guessValue(field: string): FormValue {
  // Fields are often named without spaces: `dateOfBirth`, `date_of_birth`.
  const words = field
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
  const said = ` ${words.trim()} `
  if (/ (signature|signed|unterschrift|firma|sign) /.test(said)) return 'by hand'
  const fitting = wordsFor
    .flatMap(([value, known]) => known.map((word) => ({ value, word })))
    .filter(({ word }) => said.includes(` ${word} `))
    .sort((a, b) => b.word.length - a.word.length)
  return fitting[0]?.value ?? 'by hand'
}
