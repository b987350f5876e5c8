import { parse } from 'csv-parse/sync'
import { type Mapping, proposeMapping } from '#core/imports/fields'
import { resumeMapping, rowsOfResumes } from '#core/imports/jsonResume'
import { type ImportedRow, type ImportFault, readRow } from '#core/imports/readRow'
import { coded, say, sayCoded } from '#core/words/say'
import { readBytes } from '../../records/documents/bytes'
import type { Import, RowFault } from '../../records/imports/model'
import { problems } from '../problems'

export type Table = {
  format: Import['format']
  columns: string[]
  rows: Record<string, string>[]
  /** Rows with more cells than the heading has. */
  tooLong: { nth: number; cells: number }[]
  mapping: Mapping
  /** What of the file is left out, in words. */
  note: string | null
}

const mostRows = 20_000

/** Reads a CSV (any of comma, semicolon and tab; UTF-8 or Windows-1252) or one or several résumés. Throws a problem. */
export function readTable(bytes: Buffer): Table {
  const text = textOf(bytes)
  const table = /^\s*[[{]/.test(text) ? resumes(text) : csv(text)
  if (table.rows.length === 0) throw problems.unreadable(coded('problem.import.nobody'), coded('problem.import.noRows'))
  if (table.rows.length > mostRows)
    throw problems.unreadable(
      coded('problem.import.tooMany', { rows: table.rows.length, most: mostRows }),
      coded('problem.import.divide'),
    )
  return table
}

function csv(whole: string): Table {
  // Some spreadsheets write down what they divide by.
  const [, told, text] = /^(?:sep=(.)\r?\n)?([\s\S]*)$/.exec(whole)!
  const [first = ''] = text!.split(/\r?\n/, 1)
  const delimiter = told ?? [';', '\t', ','].sort((a, b) => first.split(b).length - first.split(a).length)[0]!
  let cells: string[][]
  try {
    cells = parse(text!, {
      delimiter,
      bom: true,
      skip_empty_lines: true,
      skip_records_with_empty_values: true,
      trim: true,
      relax_column_count: true,
    })
  } catch (error) {
    throw problems.unreadable(
      coded('problem.import.notCsv'),
      coded('problem.reader', { message: (error as Error).message }),
    )
  }
  const [heading = [], ...records] = cells
  const columns = heading.map((name, nth) => name || `Column ${nth + 1}`)
  const rows = records.map((record) =>
    Object.fromEntries(columns.map((column, nth) => [column, plainCell(record[nth] ?? '')])),
  )
  const tooLong = records.flatMap((record, nth) =>
    record.slice(columns.length).some((cell) => cell !== '') ? [{ nth, cells: record.length }] : [],
  )
  return { format: 'csv', columns, rows, tooLong, mapping: proposeMapping(columns), note: null }
}

/** Lists kept from here mark a cell that begins like a formula, such as a telephone number with +; the mark is no part of it. */
const plainCell = (cell: string) => cell.replace(/^'(?=[=+\-@])/, '')

function resumes(text: string): Table {
  try {
    const { rows, leftOut } = rowsOfResumes(text)
    const parts = Object.entries(leftOut).flatMap(([part, count]) => (count > 0 ? [`${count} ${part}`] : []))
    const note = parts.length > 0 ? say('problem.import.leftOut', { parts: parts.join(', ') }) : null
    const columns = Object.keys(resumeMapping)
    return { format: 'json resume', columns, rows, tooLong: [], mapping: resumeMapping, note }
  } catch (error) {
    throw error instanceof RangeError
      ? problems.unreadable(coded('problem.import.notResume'), coded('problem.import.resumes'))
      : problems.unreadable(
          coded('problem.import.notJson'),
          coded('problem.reader', { message: (error as Error).message }),
        )
  }
}

/** UTF-8, or UTF-16 as spreadsheets save "Unicode"; what is neither was most likely saved by a spreadsheet of the West. */
function textOf(bytes: Buffer): string {
  const [first, second] = bytes
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

export const tableOf = async ({ sha256 }: Pick<Import, 'sha256'>): Promise<Table> =>
  readTable((await readBytes(sha256)).bytes)

/** The number of the first row, as a spreadsheet counts; a list of résumés has no heading. */
export const firstRow = { csv: 2, 'json resume': 1 } as const

/** Reads every row by the mapping; faults count rows as a spreadsheet does. */
export function readRows({ rows, format, tooLong, columns }: Table, mapping: Mapping) {
  const read: ImportedRow[] = []
  const doubts: RowFault[] = []
  const first = firstRow[format]
  const faults: RowFault[] = tooLong.map(({ nth, cells }) => ({
    row: nth + first,
    column: say('problem.import.theRow'),
    message: say('problem.itHasCellsAndThe', { cells, count: columns.length }),
  }))
  const claimed = new Map<string, number>()
  rows.forEach((cells, nth) => {
    const { row, faults: own, doubts: unsure } = readRow(cells, mapping)
    read.push(row)
    faults.push(...own.map((fault) => inWords(nth + first, fault)))
    doubts.push(...unsure.map((doubt) => inWords(nth + first, doubt)))
    const key = JSON.stringify([row.mail, row.study, row.work, row.credential])
    const before = claimed.get(key)
    if (row.mail && before !== undefined)
      faults.push({
        row: nth + first,
        column: say('problem.import.theRow'),
        message: say('problem.theSameStandsInRow', { before }),
      })
    else claimed.set(key, nth + first)
  })
  return { read, faults, doubts }
}

const inWords = (row: number, { column, message }: ImportFault): RowFault => ({
  row,
  column: typeof column === 'string' ? column : say(`imports.field.${column.field}`),
  message: sayCoded(message),
})
