import { Temporal } from 'temporal-polyfill'
import { partialDate, readPartialDate, spanOf } from '../dates/partialDate'
import { readTyped } from '../dates/write'
import { credentialKinds } from '../requirements/catalogue'
import { divideName } from './divideName'
import type { ImportField, Mapping } from './fields'

export type ImportFault = { column: string; message: string }

/** What a row says; dates as partial dates, `present` and `does not expire` as such. */
export type ImportedRow = {
  name: string
  givenNames: string
  familyName: string
  mail: string
  phone: string
  born: string
  study?: { award: string; subject: string; level: number; source: string; number: string; from: string; to: string }
  work?: { position: string; source: string; from: string; to: string }
  credential?: { kind: string; number: string; source: string; issued: string; through: string }
}

const mailPattern = /^[^\s@]+@[^\s@]+\.[^\s@]+$/
const present = /^(present|now|today|current|currently|ongoing|to date|until now|(bis )?(heute|jetzt)|laufend)$/i
const never = /^(never|does not expire|unlimited|no expiry|unbefristet)$/i

/** Reads a row by its mapping. What is wrong, and what somebody should look at, is said by column, all of it at once. */
export function readRow(
  cells: Readonly<Record<string, string>>,
  mapping: Mapping,
): { row: ImportedRow; faults: ImportFault[]; doubts: ImportFault[] } {
  const faults: ImportFault[] = []
  const doubts: ImportFault[] = []
  const columnOf = (field: ImportField) => Object.keys(mapping).find((column) => mapping[column] === field)
  const text = (field: ImportField) => (cells[columnOf(field) ?? ''] ?? '').trim()
  const fault = (field: ImportField, message: string) =>
    void faults.push({ column: columnOf(field) ?? fieldNames[field] ?? field, message })
  const date = (field: ImportField, words: { also?: RegExp; as?: string } = {}) => {
    const typed = text(field)
    if (typed === '') return ''
    if (words.also?.test(typed)) return words.as!
    const read = readPartialDate(typed).ok ? typed : readTyped(typed)
    if (!read) fault(field, `“${typed}” is not a date, such as 2021, Mar 2021 or 9 Mar 2021.`)
    return read ?? ''
  }
  const divided = divideName(text('fullName'))
  const givenNames = text('givenNames') || divided.givenNames
  const familyName = text('familyName') || divided.familyName
  if (divided.doubtful && familyName && !(text('givenNames') && text('familyName')))
    doubts.push({
      column: columnOf('fullName') ?? '',
      message: `“${text('fullName')}” is taken as given names ${givenNames}, family name ${familyName}.`,
    })
  const mail = text('mail').toLowerCase()
  if (!givenNames || !familyName) fault('familyName', 'A given name and a family name are needed.')
  if (!mailPattern.test(mail))
    fault('mail', mail === '' ? 'A mail address is needed.' : `“${mail}” is not a mail address.`)
  const row: ImportedRow = {
    name: [givenNames, familyName].filter(Boolean).join(' '),
    givenNames,
    familyName,
    mail,
    phone: text('phone'),
    born: date('born'),
  }
  if (row.born && row.born.length < 10) fault('born', 'The whole day of birth is needed.')
  if (text('study.award') || text('study.source')) {
    const level = /^[0-8]$/.test(text('study.level')) ? Number(text('study.level')) : levelOfAward(text('study.award'))
    if (level === undefined)
      fault(
        'study.award',
        `The level of “${text('study.award')}” is not known; give it from 0 to 8 (ISCED) in a column.`,
      )
    row.study = {
      award: text('study.award'),
      subject: text('study.subject'),
      level: level ?? 0,
      source: text('study.source'),
      number: text('study.number'),
      from: date('study.from'),
      to: date('study.to', { also: present, as: 'present' }),
    }
    if (!row.study.from) fault('study.from', 'A study needs a beginning.')
    if (!row.study.to) fault('study.to', 'A study needs an end, or “present”.')
  }
  if (text('work.position') || text('work.source')) {
    row.work = {
      position: text('work.position'),
      source: text('work.source'),
      from: date('work.from'),
      to: date('work.to', { also: present, as: 'present' }),
    }
    if (!row.work.from) fault('work.from', 'A job needs a beginning.')
    if (!row.work.to) fault('work.to', 'A job needs an end, or “present”.')
  }
  if (text('credential.kind') || text('credential.number')) {
    const kind = credentialKeyOf(text('credential.kind'))
    if (!kind) fault('credential.kind', `“${text('credential.kind')}” is no licence or certificate known here.`)
    row.credential = {
      kind: kind ?? '',
      number: text('credential.number'),
      source: text('credential.source'),
      issued: date('credential.issued'),
      through: date('credential.through', { also: never, as: 'does not expire' }) || 'unknown',
    }
  }
  for (const [claim, at] of [
    [row.study, 'study.to'],
    [row.work, 'work.to'],
  ] as const)
    if (claim?.from && claim.to && claim.to !== 'present' && endsBefore(claim.to, claim.from))
      fault(at, 'This ends before it begins.')
  return { row, faults, doubts }
}

/** Whether something ended before it can have begun, as exactly as both are known: `2021-03` to `2021` has not. */
const endsBefore = (to: string, from: string): boolean =>
  Temporal.PlainDate.compare(spanOf(partialDate(to)).latest, spanOf(partialDate(from)).earliest) < 0

/** What the usual names of awards say of their level (ISCED 2011). */
const levels: readonly [RegExp, number][] = [
  [/\b(ph\.?\s?d|doctor|doktor|dr)\b/i, 8],
  [/\b(m\.?\s?sc|m\.?\s?eng|m\.?\s?a|mba|master|magister|dipl\.?-?ing|diplom-ingenieur)\b/i, 7],
  [/\b(b\.?\s?sc|b\.?\s?eng|b\.?\s?a|bachelor)\b/i, 6],
  [/\b(higher diploma|meister|hnd|fachschule)\b/i, 5],
  [/\b(apprentice\w*|lehre|lehrabschluss|vocational|matura|abitur)\b/i, 3],
]
export const levelOfAward = (award: string): number | undefined => levels.find(([pattern]) => pattern.test(award))?.[1]

const fieldNames: Partial<Record<ImportField, string>> = { mail: 'Mail', familyName: 'Name' }

/** The credential somebody means by its key or its name. */
function credentialKeyOf(text: string): string | undefined {
  const wanted = text.trim().toLowerCase()
  return credentialKinds.find(({ key, name }) => key === wanted || name.toLowerCase() === wanted)?.key
}
