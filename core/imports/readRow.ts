import { Temporal } from 'temporal-polyfill'
import { catalogue } from '../catalogue/catalogue'
import { partialDate, readPartialDate, spanOf } from '../dates/partialDate'
import { readTyped } from '../dates/write'
import { type Coded, coded } from '../words/say'
import { divideName } from './divideName'
import type { ImportField, Mapping } from './fields'

/** What is wrong with a cell, or what somebody should look at; a column that the file does not have is named by its field. */
export type ImportFault = { column: string | { field: ImportField }; message: Coded }

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
  const fault = (field: ImportField, message: Coded) =>
    void faults.push({ column: columnOf(field) ?? { field }, message })
  const date = (field: ImportField, words: { also?: RegExp; as?: string } = {}) => {
    const typed = text(field)
    if (typed === '') return ''
    if (words.also?.test(typed)) return words.as!
    const read = readPartialDate(typed).ok ? typed : readTyped(typed)
    if (!read) fault(field, coded('imports.notADate', { typed }))
    return read ?? ''
  }
  const divided = divideName(text('fullName'))
  const givenNames = text('givenNames') || divided.givenNames
  const familyName = text('familyName') || divided.familyName
  if (divided.doubtful && familyName && !(text('givenNames') && text('familyName')))
    doubts.push({
      column: columnOf('fullName') ?? '',
      message: coded('imports.nameDivided', { name: text('fullName'), givenNames, familyName }),
    })
  const mail = text('mail').toLowerCase()
  if (!givenNames || !familyName) fault('familyName', coded('imports.namesNeeded'))
  if (!mailPattern.test(mail))
    fault('mail', mail === '' ? coded('imports.mailNeeded') : coded('imports.notAMailAddress', { mail }))
  const row: ImportedRow = {
    name: [givenNames, familyName].filter(Boolean).join(' '),
    givenNames,
    familyName,
    mail,
    phone: text('phone'),
    born: date('born'),
  }
  if (row.born && row.born.length < 10) fault('born', coded('imports.wholeBirthDate'))
  if (text('study.award') || text('study.source')) {
    const level = /^[0-8]$/.test(text('study.level')) ? Number(text('study.level')) : levelOfAward(text('study.award'))
    if (level === undefined) fault('study.award', coded('imports.levelUnknown', { award: text('study.award') }))
    row.study = {
      award: text('study.award'),
      subject: text('study.subject'),
      level: level ?? 0,
      source: text('study.source'),
      number: text('study.number'),
      from: date('study.from'),
      to: date('study.to', { also: present, as: 'present' }),
    }
    if (!row.study.from) fault('study.from', coded('imports.studyNeedsBeginning'))
    if (!row.study.to) fault('study.to', coded('imports.studyNeedsEnd'))
  }
  if (text('work.position') || text('work.source')) {
    row.work = {
      position: text('work.position'),
      source: text('work.source'),
      from: date('work.from'),
      to: date('work.to', { also: present, as: 'present' }),
    }
    if (!row.work.from) fault('work.from', coded('imports.jobNeedsBeginning'))
    if (!row.work.to) fault('work.to', coded('imports.jobNeedsEnd'))
  }
  if (text('credential.kind') || text('credential.number')) {
    const kind = credentialKeyOf(text('credential.kind'))
    if (!kind) fault('credential.kind', coded('imports.kindUnknown', { kind: text('credential.kind') }))
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
      fault(at, coded('problem.thisEndsBeforeItBegins'))
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

/** The credential somebody means by its key or its name, in whatever language. */
function credentialKeyOf(text: string): string | undefined {
  const wanted = text.trim().toLowerCase()
  return catalogue().credentials.find(({ key, name, translations = {} }) =>
    [key, name, ...Object.values(translations).flatMap((words) => words.name ?? [])].some(
      (known) => known.toLowerCase() === wanted,
    ),
  )?.key
}
