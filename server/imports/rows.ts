import { parse } from 'csv-parse/sync'
import { type Mapping, proposeMapping } from '#core/importing/fields'
import { resumeMapping, rowsOfResumes } from '#core/importing/jsonResume'
import { type ImportedRow, readRow } from '#core/importing/readRow'
import { readBytes } from '../documents/bytes'
import { Problem } from '../http/problems'
import type { Import, RowFault } from './model'

export type Table = {
  format: Import['format']
  columns: string[]
  rows: Record<string, string>[]
  mapping: Mapping
  /** What of the file is left out, in words. */
  note: string | null
}

const mostRows = 20_000

/** Reads a CSV (any of comma, semicolon and tab; UTF-8 or Windows-1252) or one or several résumés. Throws a problem. */
export function readTable(bytes: Buffer): Table {
  const text = textOf(bytes)
  const table = /^\s*[[{]/.test(text) ? resumes(text) : csv(text)
  if (table.rows.length === 0) throw refused('There is nobody in this file.', 'It has a heading and no rows.')
  if (table.rows.length > mostRows)
    throw refused(`The file has ${table.rows.length} rows; at most ${mostRows} can be taken at once.`, 'Divide it.')
  return table
}

function csv(text: string): Table {
  const [first = ''] = text.split(/\r?\n/, 1)
  const delimiter = [';', '\t', ','].sort((a, b) => first.split(b).length - first.split(a).length)[0]!
  let rows: Record<string, string>[]
  try {
    rows = parse(text, {
      columns: (names: string[]) => names.map((name, nth) => name.trim() || `Column ${nth + 1}`),
      delimiter,
      bom: true,
      skip_empty_lines: true,
      skip_records_with_empty_values: true,
      trim: true,
    })
  } catch (error) {
    throw refused('The file cannot be read as CSV.', (error as Error).message)
  }
  const columns = Object.keys(rows[0] ?? {})
  return { format: 'csv', columns, rows, mapping: proposeMapping(columns), note: null }
}

function resumes(text: string): Table {
  try {
    const { rows, leftOut } = rowsOfResumes(text)
    const note =
      leftOut > 0
        ? `${leftOut === 1 ? 'One certificate is' : `${leftOut} certificates are`} left out: there they carry no number.`
        : null
    return { format: 'json resume', columns: Object.keys(resumeMapping), rows, mapping: resumeMapping, note }
  } catch (error) {
    throw error instanceof RangeError
      ? refused('This is JSON, and no résumé.', 'JSON Resume 1.0.0 is read, one or a list of them.')
      : refused('The file cannot be read as JSON.', (error as Error).message)
  }
}

/** What is no UTF-8 was most likely saved by a spreadsheet of the West. */
function textOf(bytes: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

const refused = (title: string, detail: string) => new Problem(422, 'unreadable', title, { detail })

export const tableOf = async ({ sha256 }: Pick<Import, 'sha256'>): Promise<Table> =>
  readTable((await readBytes(sha256)).bytes)

/** The number of the first row, as a spreadsheet counts; a list of résumés has no heading. */
export const firstRow = { csv: 2, 'json resume': 1 } as const

/** Reads every row by the mapping; faults count rows as a spreadsheet does. */
export function readRows({ rows, format }: Table, mapping: Mapping) {
  const read: ImportedRow[] = []
  const faults: RowFault[] = []
  const first = firstRow[format]
  const claimed = new Map<string, number>()
  rows.forEach((cells, nth) => {
    const { row, faults: own } = readRow(cells, mapping)
    read.push(row)
    faults.push(...own.map((fault) => ({ row: nth + first, ...fault })))
    const key = JSON.stringify([row.mail, row.study, row.work, row.credential])
    const before = claimed.get(key)
    if (row.mail && before !== undefined)
      faults.push({ row: nth + first, column: 'The row', message: `The same stands in row ${before}.` })
    else claimed.set(key, nth + first)
  })
  return { read, faults }
}
