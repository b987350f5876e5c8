import { type Mapping, proposeMapping } from '#core/imports/fields'
import { resumeMapping, rowsOfResumes } from '#core/imports/jsonResume'
import { type ImportedRow, type ImportFault, readRow } from '#core/imports/readRow'
import { coded, say, sayCoded } from '#core/words/say'
import { cellsOfCsv, plainCell, textOfBytes } from '../../platform/csv/readCsv'
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
  const text = textOfBytes(bytes)
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
  let cells: string[][]
  try {
    cells = cellsOfCsv(whole)
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
