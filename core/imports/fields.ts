import anyAscii from 'any-ascii'
import { jaroWinkler } from '../comparison/measures'

/** What a column of a list of people may hold. A row is one person with at most one claim of each kind. */
export const importFields = [
  'givenNames',
  'familyName',
  'fullName',
  'mail',
  'phone',
  'born',
  'study.award',
  'study.subject',
  'study.level',
  'study.source',
  'study.number',
  'study.from',
  'study.to',
  'work.position',
  'work.source',
  'work.from',
  'work.to',
  'credential.kind',
  'credential.number',
  'credential.source',
  'credential.issued',
  'credential.through',
] as const
export type ImportField = (typeof importFields)[number]

/** Which field each column holds; columns that are not named are left out. */
export type Mapping = Readonly<Record<string, ImportField>>

/** What columns are called by those who keep such lists, in English and German. */
const names: Record<ImportField, readonly string[]> = {
  givenNames: ['given name', 'given names', 'first name', 'forename', 'vorname', 'vornamen'],
  familyName: ['family name', 'last name', 'surname', 'nachname', 'familienname', 'zuname'],
  fullName: ['name', 'full name', 'candidate', 'person', 'applicant'],
  mail: ['mail', 'e mail', 'email', 'mail address', 'email address', 'mailadresse'],
  phone: ['phone', 'telephone', 'mobile', 'phone number', 'telefon', 'handy'],
  born: ['born', 'date of birth', 'birth date', 'birthday', 'dob', 'geburtsdatum', 'geboren'],
  'study.award': ['degree', 'award', 'qualification', 'diploma', 'abschluss'],
  'study.subject': ['subject', 'field of study', 'course', 'programme', 'studienrichtung', 'fach'],
  'study.level': ['level', 'isced', 'isced level', 'education level', 'bildungsstufe'],
  'study.source': ['university', 'institution', 'school', 'college', 'hochschule', 'schule'],
  'study.number': ['degree number', 'certificate number', 'diploma number', 'zeugnisnummer'],
  'study.from': ['study from', 'studied from', 'study start', 'studium von'],
  'study.to': ['study to', 'studied to', 'study end', 'graduated', 'graduation', 'studium bis'],
  'work.position': ['position', 'job title', 'occupation', 'role', 'beruf', 'stelle'],
  'work.source': ['employer', 'company', 'arbeitgeber', 'firma'],
  'work.from': ['work from', 'employed from', 'job start', 'beschaftigt von'],
  'work.to': ['work to', 'employed to', 'job end', 'beschaftigt bis'],
  'credential.kind': ['licence', 'license', 'certificate', 'credential', 'permit', 'berechtigung'],
  'credential.number': ['licence number', 'license number', 'permit number', 'credential number', 'ausweisnummer'],
  'credential.source': ['issued by', 'issuer', 'authority', 'ausgestellt von', 'behorde'],
  'credential.issued': ['issued', 'issued on', 'issue date', 'ausgestellt am'],
  'credential.through': ['valid until', 'valid through', 'expires', 'expiry', 'expiry date', 'gultig bis'],
}
const nearEnough = 0.93

const plain = (text: string) =>
  anyAscii(text)
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

/**
 * Proposes which field each column holds, by what it is called: as it is, or nearly so. Every field is proposed once, for
 * the column that is nearest to it.
 */
export function proposeMapping(columns: readonly string[]): Mapping {
  const likeness = columns.flatMap((column) =>
    importFields.map((field) => ({
      column,
      field,
      like: Math.max(
        ...[field.replace('.', ' '), ...names[field]].map((name) =>
          plain(name) === plain(column) ? 1 : jaroWinkler(plain(name), plain(column)),
        ),
      ),
    })),
  )
  const mapping: Record<string, ImportField> = {}
  const taken = new Set<ImportField>()
  for (const { column, field, like } of likeness.sort((a, b) => b.like - a.like)) {
    if (like < nearEnough || column in mapping || taken.has(field)) continue
    mapping[column] = field
    taken.add(field)
  }
  return mapping
}
