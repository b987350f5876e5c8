import { parse } from 'csv-parse/sync'

/** What a file says: UTF-8 or UTF-16 by its mark, else what spreadsheets save without one, Windows-1252. */
export function textOfBytes(bytes: Buffer): string {
  const [first, second] = bytes
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/**
 * The cells of a CSV text, divided by what its first line has most of: semicolon, tab or comma, or what it says itself.
 *
 * @throws CsvError where it cannot be read
 */
export function cellsOfCsv(whole: string): string[][] {
  // Some spreadsheets write down what they divide by.
  const [, told, text] = /^(?:sep=(.)\r?\n)?([\s\S]*)$/.exec(whole)!
  const [first = ''] = text!.split(/\r?\n/, 1)
  const delimiter = told ?? [';', '\t', ','].sort((a, b) => first.split(b).length - first.split(a).length)[0]!
  return parse(text!, {
    delimiter,
    bom: true,
    skip_empty_lines: true,
    skip_records_with_empty_values: true,
    trim: true,
    relax_column_count: true,
  })
}

/** Lists kept from here mark a cell that begins like a formula, such as a telephone number with +; the mark is no part of it. */
export const plainCell = (cell: string): string => cell.replace(/^'(?=[=+\-@])/, '')

/** The rows of a CSV file by the names in its heading, in small letters; none where there is no heading. */
export function rowsOfCsv(bytes: Buffer): Record<string, string>[] {
  const [heading = [], ...records] = cellsOfCsv(textOfBytes(bytes))
  const columns = heading.map((name) => name.toLowerCase())
  return records.map((record) =>
    Object.fromEntries(columns.map((column, nth) => [column, plainCell(record[nth] ?? '')])),
  )
}
