import { XMLParser, XMLValidator } from 'fast-xml-parser'
import { readAmount } from '#core/money/currency'
import { say } from '#core/words/say'
import { cellsOfCsv, plainCell, textOfBytes } from '../../platform/csv/readCsv'
import { invalidField } from '../../platform/errors/problems'

/** A transfer of a statement; `key` is the bank's own name for it, so that the same one is booked once. */
export type StatedTransfer = {
  key: string
  on: string
  amount: number
  currency: string
  payer: string
  reference: string
  text: string
}
export type Statement = { transfers: StatedTransfer[] /** What went out, or is not booked yet. */; passedOver: number }

const refused = (message: string) => invalidField('/body', message)
const mostTransfers = 5000

/**
 * Reads a bank's statement: camt.053 (ISO 20022, any version of `BkToCstmrStmt`) or CSV.
 *
 * @throws Problem `invalid` that says what cannot be read, and nothing of it is taken
 */
export function readStatement(bytes: Buffer): Statement {
  const text = textOfBytes(bytes)
  const statement = /^\s*(\uFEFF)?\s*</.test(text) ? readCamt(text) : readCsv(text)
  if (statement.transfers.length > mostTransfers)
    throw refused(say('problem.statementTooLong', { most: mostTransfers }))
  return statement
}

type Node = { [name: string]: Node | Node[] | string | undefined }
const list = (value: Node | Node[] | string | undefined): Node[] =>
  value === undefined || typeof value === 'string' ? [] : Array.isArray(value) ? value : [value]
const at = (node: Node | undefined, ...path: string[]): Node | undefined =>
  path.reduce<Node | undefined>((found, name) => list(found?.[name])[0], node)
const textAt = (node: Node | undefined, ...path: string[]): string => {
  const last = path.at(-1)!
  const holder = path.length > 1 ? at(node, ...path.slice(0, -1)) : node
  const value = holder?.[last]
  const first = Array.isArray(value) ? value[0] : value
  const text = typeof first === 'string' ? first : first?.['#text']
  return typeof text === 'string' ? plainText(text) : ''
}
const predefined: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" }
/** The five entities every XML has, and characters by their number; those a document defines itself stay as they are. */
const plainText = (text: string): string =>
  text
    .replace(/&(?:#(\d{1,7})|#x([0-9a-fA-F]{1,6})|(\w+));/g, (whole, decimal?: string, hex?: string, name?: string) => {
      if (name) return predefined[name] ?? whole
      const code = decimal ? Number(decimal) : Number.parseInt(hex ?? '', 16)
      return code > 0 && code <= 0x10_ff_ff ? String.fromCodePoint(code) : whole
    })
    .trim()

const textsAt = (node: Node | undefined, name: string): string => {
  const value = node?.[name]
  return (Array.isArray(value) ? value : [value])
    .flatMap((one) => (typeof one === 'string' ? [plainText(one)] : []))
    .join(' ')
}

function readCamt(text: string): Statement {
  const wellFormed = XMLValidator.validate(text)
  if (wellFormed !== true) throw refused(say('problem.notXml', { line: wellFormed.err.line }))
  const parser = new XMLParser({
    ...{ ignoreAttributes: false, attributeNamePrefix: '@', parseTagValue: false, parseAttributeValue: false },
    ...{ processEntities: false, removeNSPrefix: true, trimValues: true },
  })
  const document = at(parser.parse(text) as Node, 'Document', 'BkToCstmrStmt')
  const statements = list(document?.Stmt)
  if (statements.length === 0) throw refused(say('problem.notCamt'))
  let passedOver = 0
  const transfers = statements.flatMap((statement) =>
    list(statement.Ntry).flatMap((entry) => {
      const booked = (textAt(entry, 'Sts', 'Cd') || textAt(entry, 'Sts')) === 'BOOK'
      if (textAt(entry, 'CdtDbtInd') !== 'CRDT' || !booked || textAt(entry, 'RvslInd') === 'true') {
        passedOver += 1
        return []
      }
      const own = textAt(entry, 'AcctSvcrRef') || textAt(entry, 'NtryRef')
      const on = (textAt(entry, 'BookgDt', 'Dt') || textAt(entry, 'BookgDt', 'DtTm')).slice(0, 10)
      const parts = list(entry.NtryDtls).flatMap((details) => list(details.TxDtls))
      return (parts.length > 0 ? parts : [entry]).map((part, nth) =>
        transferOf(part, parts.length > 1 ? undefined : entry, { key: `${own || textAt(statement, 'Id')} ${nth}`, on }),
      )
    }),
  )
  return { transfers, passedOver }
}

/** One transaction of an entry; where it is the only one, its amount may stand with the entry. */
function transferOf(
  part: Node,
  entry: Node | undefined,
  { key, on }: Pick<StatedTransfer, 'key' | 'on'>,
): StatedTransfer {
  const holder = [part, at(part, 'AmtDtls', 'TxAmt'), entry].find((one) => one && textAt(one, 'Amt') !== '')
  const currency = textAt(at(holder, 'Amt'), '@Ccy')
  const amount = readAmount(textAt(holder, 'Amt'), currency)
  const refs = at(part, 'Refs')
  const unique = textAt(refs, 'AcctSvcrRef') || textAt(refs, 'TxId') || textAt(refs, 'EndToEndId')
  if (!amount || !/^\d{4}-\d{2}-\d{2}$/.test(on)) throw refused(say('problem.statementEntry', { entry: unique || key }))
  const remittance = at(part, 'RmtInf')
  return {
    ...{ key: `${key} ${unique}`.trim().slice(0, 200), on, amount, currency },
    payer: textAt(part, 'RltdPties', 'Dbtr', 'Nm') || textAt(part, 'RltdPties', 'Dbtr', 'Pty', 'Nm'),
    reference: textAt(remittance, 'Strd', 'CdtrRefInf', 'Ref'),
    text: textsAt(remittance, 'Ustrd') || textAt(entry, 'AddtlNtryInf'),
  }
}

/** What columns of a CSV are called, in banks' own words. */
const columns = {
  on: ['date', 'booked', 'booking date', 'datum', 'buchungsdatum', 'valuta'],
  amount: ['amount', 'betrag', 'umsatz'],
  currency: ['currency', 'währung', 'wahrung'],
  payer: ['payer', 'name', 'debtor', 'auftraggeber', 'zahler', 'partner'],
  reference: ['reference', 'zahlungsreferenz', 'referenz'],
  text: ['text', 'purpose', 'verwendungszweck', 'buchungstext', 'remittance'],
  key: ['id', 'bank reference', 'transaction id', 'bankreferenz'],
} as const

function readCsv(text: string): Statement {
  let cells: string[][]
  try {
    cells = cellsOfCsv(text)
  } catch {
    throw refused(say('problem.notAStatement'))
  }
  const [heading = [], ...records] = cells
  const names = heading.map((name) => name.trim().toLowerCase())
  const place = (column: keyof typeof columns) =>
    names.findIndex((name) => (columns[column] as readonly string[]).includes(name))
  if (place('on') < 0 || place('amount') < 0) throw refused(say('problem.notAStatement'))
  let passedOver = 0
  const seen = new Map<string, number>()
  const transfers = records.flatMap((record, nth) => {
    const cell = (column: keyof typeof columns) => plainCell(record[place(column)] ?? '').trim()
    const written = cell('amount').replace(/\s/g, '')
    const on = dayIn(cell('on'))
    const currency = cell('currency').toUpperCase() || 'EUR'
    if (written.startsWith('-')) {
      passedOver += 1
      return []
    }
    const amount = readAmount(plainAmount(written), currency)
    if (!amount || !on) throw refused(say('problem.statementRow', { row: nth + 2 }))
    const said = [on, amount, currency, cell('payer'), cell('reference'), cell('text')].join('|')
    // Two lines that say the same are two transfers; the same file read again is the same two.
    const before = seen.get(said) ?? 0
    seen.set(said, before + 1)
    const key = cell('key') || `${said}|${before}`
    return [
      {
        key: key.slice(0, 200),
        on,
        amount,
        currency,
        payer: cell('payer'),
        reference: cell('reference'),
        text: cell('text'),
      },
    ]
  })
  return { transfers, passedOver }
}

/** Without what stands between thousands: `1.250,00` and `1,250.00` are both 1250.00. */
function plainAmount(text: string): string {
  const plain = text.replace(/^\+/, '')
  const decimals = Math.max(plain.lastIndexOf(','), plain.lastIndexOf('.'))
  if (decimals < 0) return plain
  return `${plain.slice(0, decimals).replace(/[.,]/g, '')}.${plain.slice(decimals + 1)}`
}

function dayIn(text: string): string | undefined {
  const iso = /^(\d{4})-(\d{2})-(\d{2})/.exec(text)
  if (iso) return iso[0]
  const written = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text)
  return written ? `${written[3]}-${written[2]!.padStart(2, '0')}-${written[1]!.padStart(2, '0')}` : undefined
}
